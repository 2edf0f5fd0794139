<?php

declare(strict_types=1);

namespace Octavum\Room\Sewing;

use Octavum\Account\AccountSettings;
use Octavum\Core\Measure\System;
use Octavum\Core\Sewing\Month;
use Octavum\Core\Sewing\Review;

/** A year's months as bars. */
final readonly class ReviewDrawing
{
    public function __construct(private AccountSettings $settings)
    {
    }

    /** @return array{hours: Chart, metres: Chart} */
    public function draw(Review $review): array
    {
        // yards where the sewist measures in them
        $unit = System::Metric === $this->settings->current()->system ? 1_000_000 : 914_400;

        return [
            'hours' => $this->chart(array_map(static fn (Month $month): array => ['hours' => $month->minutes / 60], $review->months)),
            'metres' => $this->chart(array_map(static fn (Month $month): array => [
                'in' => $month->in->micrometres / $unit,
                'out' => $month->out->micrometres / $unit,
            ], $review->months)),
        ];
    }

    /** @param list<non-empty-array<string, float|int>> $months kind → amount */
    private function chart(array $months): Chart
    {
        $step = $this->step(max(0.001, ...array_merge([], ...array_map(array_values(...), $months))));
        $top = $step;
        foreach ($months as $month) {
            $top = max($top, $step * ceil(max($month) / $step));
        }
        $each = Chart::WIDTH / 12;
        $bars = [];
        foreach ($months as $i => $month) {
            $width = ($each - 6) / \count($month);
            foreach (array_keys($month) as $k => $kind) {
                $height = Chart::HEIGHT * $month[$kind] / $top;
                $bars[] = new Bar($i * $each + 3 + $k * $width, Chart::HEIGHT - $height, $width - 1, $height, $kind);
            }
        }
        $lines = $marks = [];
        for ($at = 0.0; $at <= $top + 1e-9; $at += $step) {
            $lines[] = (string) round($at, 1);
            $marks[] = Chart::HEIGHT * (1 - $at / $top);
        }

        return new Chart($bars, $lines, $marks);
    }

    /** Of a scale with four marks at most, in ones, twos and fives. */
    private function step(float $most): float
    {
        $rough = $most / 3;
        $ten = 10 ** floor(log10($rough));
        foreach ([1, 2, 5, 10] as $factor) {
            if ($factor * $ten >= $rough) {
                return max(0.5, $factor * $ten);
            }
        }

        return 10 * $ten;
    }
}

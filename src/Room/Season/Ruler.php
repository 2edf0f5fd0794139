<?php

declare(strict_types=1);

namespace Octavum\Room\Season;

use Octavum\Core\Season\ProjectAnswer;
use Octavum\Core\Season\Season;

/** A season's weeks from left to right, in pixels: the names of its months, a line for the end of each week, and the bar of a project. */
final readonly class Ruler
{
    public const WIDTH = 156;

    /** how far apart two names stand at least */
    private const APART = 26;

    public function __construct(private Season $season)
    {
    }

    /** @return array<int, string> pixel → month */
    public function months(): array
    {
        $months = [0 => $this->season->starts->format('M')];
        $first = $this->season->starts->modify('first day of next month');
        while ($first <= $this->season->ends()) {
            $x = (int) round((($this->season->starts->diff($first)->days / 7) * self::WIDTH) / $this->season->weeks);
            if (1 === \count($months) && $x < self::APART) {
                $months = [];
            }
            if ([] === $months || ($x - array_key_last($months) >= self::APART && $x < self::WIDTH - 18)) {
                $months[$x] = $first->format('M');
            }
            $first = $first->modify('first day of next month');
        }

        return $months;
    }

    /** A path. */
    public function lines(): string
    {
        return implode(
            '',
            array_map(
                fn (int $i): string => \sprintf('M%.1f 10v14', 0.5 + ($i * (self::WIDTH - 1)) / $this->season->weeks),
                range(0, $this->season->weeks),
            ),
        );
    }

    /** What begins after the last week is drawn at the end. */
    public function bar(ProjectAnswer $answer): WeekBar
    {
        $week = self::WIDTH / $this->season->weeks;
        $x = fn (int $minutes): float => 0 === $this->season->minutesPerWeek
            ? 0
            : min(self::WIDTH, ($minutes / $this->season->minutesPerWeek) * $week);
        $from = min($x($answer->from), self::WIDTH - 12);
        $deadline = $answer->project->deadline;
        $due = null === $deadline ? null : ((float) $this->season->starts->diff($deadline)->format('%r%a') / 7) * $week;

        return new WeekBar(
            round($from, 1),
            round(max(3, $x($answer->to) - $from), 1),
            null === $due ? null : round(max(2, min(self::WIDTH - 2, $due)), 1),
        );
    }
}

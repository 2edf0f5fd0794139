<?php

declare(strict_types=1);

namespace Octavum\Core\Fit;

use Octavum\Core\Measure\Figure;
use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Measure\Unit;
use Octavum\Core\Pattern\SizeChart;

/**
 * A chart whose sizes have cups, 12B 12C 14B 14C: the high bust decides the number, bust − high bust the cup, 2.5 cm a step.
 * Source: docs/rules.md.
 */
final readonly class Cups
{
    /** How many steps a cup stands for. */
    private const STEPS = ['A' => 1, 'B' => 2, 'C' => 3, 'D' => 4, 'DD' => 5, 'E' => 5, 'F' => 6, 'G' => 7, 'H' => 8];

    /** @param non-empty-array<int|string, non-empty-array<string, int>> $numbers number → size → steps of its cup */
    private function __construct(private SizeChart $chart, private array $numbers)
    {
    }

    /** Null for a chart without cups. */
    public static function of(SizeChart $chart): ?self
    {
        $numbers = [];
        foreach ($chart->sizes as $size) {
            if (1 !== preg_match('/^(\d+)\s*([A-H]|DD)$/', $size, $found)) {
                return null;
            }
            $numbers[$found[1]][$size] = self::STEPS[$found[2]];
        }

        return \count($numbers) < \count($chart->sizes) ? new self($chart, $numbers) : null;
    }

    /** Whether a size has a smaller cup than another; the number is not looked at. */
    public function isSmaller(string $size, string $than): bool
    {
        $steps = array_merge(...array_values($this->numbers));

        return ($steps[$size] ?? 0) < ($steps[$than] ?? 0);
    }

    /** Of each number the size with the smallest cup that is not smaller than the difference, or with the nearest there is. */
    public function narrowed(Length $bust, Length $highBust, Length $tolerance): SizeChart
    {
        $steps = self::steps($bust, $highBust, $tolerance);
        $sizes = [];
        foreach ($this->numbers as $number => $cups) {
            $off = array_map(static fn (int $cup): int => abs($cup - $steps), $cups);
            asort($off);
            $sizes[$number] = array_key_first($off);
        }

        return new SizeChart(
            array_values($sizes),
            $this->rows($this->chart->body, $sizes),
            $this->rows($this->chart->finished, $sizes),
            by: $this->chart->by,
            height: $this->chart->height,
            runs: $this->chart->runs,
        );
    }

    /** What is to be altered where the number of a size has no cup so large, or so small: the cups of other numbers do not count. */
    public function flag(string $size, ?Length $bust, ?Length $highBust, Length $tolerance): ?Sentence
    {
        $own = array_values(array_filter($this->numbers, static fn (array $cups): bool => isset($cups[$size])))[0] ?? [];
        if (null === $bust || null === $highBust || [] === $own) {
            return null;
        }
        $steps = self::steps($bust, $highBust, $tolerance);
        $with = [
            'more' => Figure::body(Length::ofMicrometres(max(0, $bust->micrometres - $highBust->micrometres))),
            'number' => (int) $size,
            'cup' => (string) array_search($steps, self::STEPS, true),
        ];

        return match (true) {
            $steps > max($own) && '' !== $with['cup'] => new Sentence(
                'The bust is {more} more than the high bust, cup {cup}, and {number} has none so large: add to the bust.',
                $with,
            ),
            $steps > max($own) => new Sentence(
                'The bust is {more} more than the high bust, a larger cup than the chart has: add to the bust.',
                $with,
            ),
            $steps < min($own) => new Sentence(
                'The bust is {more} more than the high bust, cup {cup}, and {number} has none so small: take in the bust.',
                $with,
            ),
            default => null,
        };
    }

    private static function steps(Length $bust, Length $highBust, Length $tolerance): int
    {
        $more = $bust->micrometres - $highBust->micrometres;

        return max(1, (int) ceil(($more - $tolerance->micrometres) / Length::of('2.5', Unit::Centimetre)->micrometres));
    }

    /**
     * @param array<string, array<string, Length>> $rows
     * @param array<int|string, string>            $sizes one for each number
     *
     * @return array<string, array<string, Length>> a figure given once for a number stands for all its cups
     */
    private function rows(array $rows, array $sizes): array
    {
        $narrowed = [];
        foreach ($rows as $point => $row) {
            foreach ($sizes as $number => $size) {
                $figure = $row[$size] ?? array_values(array_intersect_key($row, $this->numbers[$number]))[0] ?? null;
                if (null !== $figure) {
                    $narrowed[$point][$size] = $figure;
                }
            }
        }

        return $narrowed;
    }
}

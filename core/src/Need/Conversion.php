<?php

declare(strict_types=1);

namespace Octavum\Core\Need;

use Octavum\Core\Measure\Assumptions;
use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\Rounding;
use Octavum\Core\Measure\Unit;

/**
 * The trade's chart of equal amounts of garment at different cloth widths (docs/rules.md).
 *
 * Between columns and lines it interpolates; above the last and below the first line it keeps the proportion of that
 * line; beyond the outer columns it keeps the area. All rounding is upwards.
 */
final class Conversion
{
    /** @var array<int, list<int>> the chart's amounts by width, in micrometres, so that a library is converted to one width quickly */
    private array $columns = [];

    /** Full widths of the columns in inches. */
    private const WIDTHS = [35, 39, 41, 44, 50, 52, 58];

    /** One line for each amount of garment, in eighths of a yard. */
    private const LINES = [
        [14, 12, 12, 11, 10, 9, 8],
        [16, 14, 14, 13, 12, 11, 10],
        [18, 16, 16, 14, 13, 12, 11],
        [20, 18, 18, 17, 14, 14, 13],
        [23, 20, 20, 18, 16, 15, 14],
        [25, 22, 22, 20, 18, 16, 15],
        [27, 24, 23, 22, 19, 18, 16],
        [30, 26, 25, 23, 21, 19, 18],
        [34, 28, 27, 25, 22, 21, 19],
        [36, 30, 29, 27, 24, 22, 21],
        [38, 32, 31, 29, 26, 23, 22],
        [40, 34, 33, 31, 27, 25, 23],
    ];

    /**
     * The length wanted at width $to for what takes $amount at width $from, by the chart alone.
     *
     * @param Length $from full width
     * @param Length $to   full width
     */
    public function convert(Length $amount, Length $from, Length $to): Length
    {
        $there = $this->columns[$from->micrometres] ??= $this->column($from);
        $here = $this->columns[$to->micrometres] ??= $this->column($to);
        $last = \count(self::LINES) - 1;
        $a = $amount->micrometres;

        return Length::ofMicrometres(
            match (true) {
                $a <= $there[0] => Rounding::Up->divide($a * $here[0], $there[0]),
                $a >= $there[$last] => Rounding::Up->divide($a * $here[$last], $there[$last]),
                default => $this->between($a, $there, $here),
            },
        );
    }

    /** What the chart adds for a large difference in width: ¼ yd, or nothing. */
    public function extra(Length $from, Length $to, Assumptions $assumptions): Length
    {
        $difference = abs($from->micrometres - $to->micrometres);

        return $difference > $assumptions->largeWidthDifference->micrometres
            ? Length::ofMicrometres(2 * Unit::EighthYard->value)
            : Length::zero();
    }

    /**
     * The chart's amounts at one width, a line each.
     *
     * @return list<int> micrometres, rising
     */
    private function column(Length $width): array
    {
        $widths = array_map(static fn (int $inches): int => $inches * Unit::Inch->value, self::WIDTHS);
        $last = \count($widths) - 1;
        $w = $width->micrometres;
        $right = 1;
        while ($right < $last && $widths[$right] < $w) {
            ++$right;
        }

        return array_map(static function (array $line) use ($w, $widths, $right, $last): int {
            $at = static fn (int $column): int => $line[$column] * Unit::EighthYard->value;

            return match (true) {
                $w < $widths[0] => Rounding::Up->divide($at(0) * $widths[0], $w),
                $w > $widths[$last] => Rounding::Up->divide($at($last) * $widths[$last], $w),
                default => $at($right - 1)
                    + Rounding::Up->divide(
                        ($w - $widths[$right - 1]) * ($at($right) - $at($right - 1)),
                        $widths[$right] - $widths[$right - 1],
                    ),
            };
        }, self::LINES);
    }

    /**
     * @param list<int> $there
     * @param list<int> $here
     */
    private function between(int $amount, array $there, array $here): int
    {
        $line = 1;
        while ($there[$line] < $amount) {
            ++$line;
        }
        $step = $there[$line] - $there[$line - 1];

        return 0 === $step
            ? $here[$line]
            : $here[$line - 1] + Rounding::Up->divide(($amount - $there[$line - 1]) * ($here[$line] - $here[$line - 1]), $step);
    }
}

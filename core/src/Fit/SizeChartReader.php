<?php

declare(strict_types=1);

namespace Octavum\Core\Fit;

use Octavum\Core\Body\BodyPoint;
use Octavum\Core\Measure\Figure;
use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\LengthFormatter;
use Octavum\Core\Measure\System;
use Octavum\Core\Measure\Unit;
use Octavum\Core\Measure\Unreadable;
use Octavum\Core\Pattern\SizeChart;

/**
 * Reads a size chart as it is typed or pasted: a line of sizes, then a line for each point, "bust 83 87 92", cells
 * separated by tabs, bars, semicolons or blanks, a range "80-84" by its upper end, "finished bust" for the garment.
 */
final readonly class SizeChartReader
{
    private const POINTS = [
        'chest' => BodyPoint::Bust,
        'seat' => BodyPoint::Hip,
        'hips' => BodyPoint::Hip,
        'back length' => BodyPoint::BackWaist,
        'nape to waist' => BodyPoint::BackWaist,
        'sleeve' => BodyPoint::Arm,
        'inseam' => BodyPoint::InsideLeg,
        'rise' => BodyPoint::Rise,
        'bicep' => BodyPoint::UpperArm,
    ];
    private const MOST_SIZES = 30;
    private const NUMBER = '\d+(?:[.,]\d+)?(?:[ -]\d+\/\d+|\s?[½¼¾⅛⅜⅝⅞])?';

    /**
     * @param Unit $default of the figures, unless a line says "cm" or "in"
     *
     * @throws Unreadable naming the line
     */
    public function read(string $text, Unit $default): SizeChart
    {
        $lines = array_values(array_filter(array_map(trim(...), explode("\n", $text)), static fn (string $line): bool => '' !== $line));
        if ([] === $lines) {
            return new SizeChart();
        }
        $sizes = $this->sizes(array_shift($lines));
        $rows = ['body' => [], 'finished' => []];
        $hasCups = null !== Cups::of(new SizeChart($sizes));
        foreach ($lines as $line) {
            [$point, $finished, $cells] = $this->row($line, $default, \count($sizes));
            if (\count($cells) > \count($sizes)) {
                throw Unreadable::because(
                    '“{line}” has {cells} figures for {sizes} sizes: type one for each size, or a dash where the chart has none.',
                    ['line' => mb_substr($line, 0, 60), 'cells' => \count($cells), 'sizes' => \count($sizes)],
                );
            }
            $row = [];
            $before = null;
            foreach ($cells as $i => $cell) {
                if (null === $cell) {
                    continue;
                }
                if (null !== $before && $cell->isLessThan($before) && !($hasCups && BodyPoint::Bust === $point)) {
                    throw Unreadable::because(
                        '“{line}” becomes smaller from one size to the next: is a figure mistyped, or are the sizes in another order?',
                        ['line' => mb_substr($line, 0, 60)],
                    );
                }
                $row[$sizes[$i]] = $before = $cell;
            }
            $kind = $finished ? 'finished' : 'body';
            if (isset($rows[$kind][$point->value])) {
                throw Unreadable::because('There are two lines for the {point}: keep one.', ['point' => $point->value]);
            }
            $rows[$kind][$point->value] = $row;
        }

        return new SizeChart($sizes, $rows['body'], $rows['finished']);
    }

    /** As it would be typed. */
    public function write(SizeChart $chart, LengthFormatter $tape): string
    {
        if ([] === $chart->sizes) {
            return '';
        }
        $unit = System::Metric === $tape->system ? ' cm' : ' in';
        $lines = [implode("\t", ['size', ...$chart->sizes])];
        foreach (['' => $chart->body, 'finished ' => $chart->finished] as $prefix => $rows) {
            foreach ($rows as $point => $row) {
                $lines[] = implode("\t", [
                    $prefix.$point.$unit,
                    ...array_map(
                        static fn (string $size): string => isset($row[$size])
                            ? strtr($tape->write(Figure::body($row[$size])), [$unit => ''])
                            : '-',
                        $chart->sizes,
                    ),
                ]);
            }
        }

        return implode("\n", $lines);
    }

    /** @return non-empty-list<string> */
    private function sizes(string $line): array
    {
        $bare = preg_replace('/^\s*(sizes?|for size)\b\s*[:|;\t]?\s*/iu', '', $line) ?? $line;
        if (1 === preg_match('/^\s*one[ -]size\s*$/iu', $line)) {
            return ['one size'];
        }
        $sizes = array_values(
            array_filter(
                array_map(
                    trim(...),
                    explode("\t", preg_replace(1 === preg_match('/[\t|;]/', $bare) ? '/[|;]/' : '/,\s*|\s+/u', "\t", $bare) ?? ''),
                ),
                static fn (string $size): bool => '' !== $size,
            ),
        );
        if ([] === $sizes || $this->point($bare) instanceof BodyPoint) {
            throw Unreadable::because('The first line of a chart names its sizes: type such as “size 8 10 12 14”.');
        }
        if (\count($sizes) > self::MOST_SIZES || max(array_map(mb_strlen(...), $sizes)) > 20) {
            throw Unreadable::because(
                'The first line is read as {count} sizes: up to {most} of at most 20 letters can be kept. Put a blank between them.',
                ['count' => \count($sizes), 'most' => self::MOST_SIZES],
            );
        }
        if (\count(array_unique($sizes)) < \count($sizes)) {
            throw Unreadable::because('A size stands twice in the first line of the chart: name each once.');
        }

        return $sizes;
    }

    /** @return array{BodyPoint, bool, list<?Length>} the point, whether of the garment, and its figures */
    private function row(string $line, Unit $default, int $columns): array
    {
        $plain = mb_strtolower($line);
        $finished = 1 === preg_match('/\b(finished|garment)\b/u', $plain);
        $unit =
            1 === preg_match('/(?<=[\s(\d])(cm|in|ins|inch|inches|")(?=[\s):]|$)/u', $plain, $said)
                ? ('cm' === $said[1]
                    ? Unit::Centimetre
                    : Unit::Inch)
                : $default;
        $point = $this->point($plain);
        if (null === $point) {
            throw Unreadable::because(
                '“{line}” does not begin with a point of the body: type one of {points}.',
                ['line' => mb_substr($line, 0, 60), 'points' => implode(', ', array_column(BodyPoint::cases(), 'value'))],
            );
        }
        $cells = $this->cells($plain, $unit, '\s*');
        $strict = \count($cells) === $columns ? $cells : $this->cells($plain, $unit, '');

        return [$point, $finished, \count($strict) === $columns ? $strict : $cells];
    }

    /**
     * @param string $blank that may stand about the dash of a range; "80 - 87" is a range or a gap, as the number of sizes says
     *
     * @return list<?Length>
     */
    private function cells(string $line, Unit $unit, string $blank): array
    {
        preg_match_all(
            '/('
                .self::NUMBER
                .')'
                .$blank
                .'["″]?'
                .$blank
                .'[-–]'
                .$blank
                .'('
                .self::NUMBER
                .')(?!\/)|'
                .self::NUMBER
                .'|(?<=\s)[-–—](?=\s|$)/u',
            $line,
            $found,
            \PREG_SET_ORDER,
        );

        return array_map(
            static fn (array $cell): ?Length => match (true) {
                '' !== ($cell[2] ?? '') => Length::parse($cell[2], $unit),
                1 === preg_match('/\d/', $cell[0]) => Length::parse($cell[0], $unit),
                default => null,
            },
            $found,
        );
    }

    /** The longest name that stands in the line, so that "high bust" is not taken for "bust". */
    private function point(string $line): ?BodyPoint
    {
        $names = self::POINTS;
        foreach (BodyPoint::cases() as $case) {
            $names[$case->value] = $case;
        }
        uksort($names, static fn (string $a, string $b): int => \strlen($b) <=> \strlen($a));
        foreach ($names as $name => $point) {
            if (1 === preg_match('/\b'.$name.'\b/iu', $line)) {
                return $point;
            }
        }

        return null;
    }
}

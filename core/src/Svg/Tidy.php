<?php

declare(strict_types=1);

namespace Octavum\Core\Svg;

use Octavum\Core\Shape\Outline;

/** The outlines of a group as pieces: without points that say nothing, and without those that lie within another. */
final readonly class Tidy
{
    private const SOME = 24;

    /** By how much points may be left out, mm. */
    private const SIMPLE = 0.2;

    public function __construct(private Budget $budget)
    {
    }

    /**
     * Leaves out points that lie within the tolerance of the line without them (Douglas and Peucker 1973).
     *
     * @param list<array{float, float}> $points
     *
     * @return list<array{float, float}>
     */
    public function simple(array $points): array
    {
        $count = \count($points);
        if ($count < 4) {
            return $points;
        }
        $far = 0;
        foreach ($points as $i => $p) {
            $far =
                hypot($p[0] - $points[0][0], $p[1] - $points[0][1])
                > hypot($points[$far][0] - $points[0][0], $points[$far][1] - $points[0][1])
                    ? $i
                    : $far;
        }
        $ring = [...$points, $points[0]];
        $keep = [0 => true, $far => true];
        for ($stack = [[0, $far], [$far, $count]]; null !== ($stretch = array_pop($stack));) {
            [$from, $to] = $stretch;
            $this->budget->spend($to - $from);
            [$a, $b] = [$ring[$from], $ring[$to]];
            $long = hypot($b[0] - $a[0], $b[1] - $a[1]);
            $most = self::SIMPLE;
            $at = null;
            for ($i = $from + 1; $i < $to; ++$i) {
                $p = $ring[$i];
                $along =
                    $long < 1e-9
                        ? 0.0
                        : max(0.0, min(1.0, (($p[0] - $a[0]) * ($b[0] - $a[0]) + ($p[1] - $a[1]) * ($b[1] - $a[1])) / $long ** 2));
                $off = hypot($p[0] - $a[0] - $along * ($b[0] - $a[0]), $p[1] - $a[1] - $along * ($b[1] - $a[1]));
                if ($off > $most) {
                    [$most, $at] = [$off, $i];
                }
            }
            if (null !== $at) {
                $keep[$at] = true;
                array_push($stack, [$from, $at], [$at, $to]);
            }
        }
        ksort($keep);

        return array_map(static fn (int $i): array => $points[$i], array_keys($keep));
    }

    /**
     * @param list<array{string, Outline}> $group
     *
     * @return list<array{string, Outline}> those that do not lie within another
     */
    public function outermost(array $group): array
    {
        uasort($group, static fn (array $a, array $b): int => $b[1]->area() <=> $a[1]->area());
        $kept = [];
        foreach ($group as $i => [, $outline]) {
            foreach ($kept as [, $outer]) {
                $this->budget->spend(1);
                if (self::inBox($outline, $outer)) {
                    // some of its points tell as much as all do
                    $some = array_filter(
                        $outline->points,
                        static fn (int $i): bool => 0 === $i % (1 + intdiv(\count($outline->points), self::SOME)),
                        \ARRAY_FILTER_USE_KEY,
                    );
                    $this->budget->spend(\count($some) * \count($outer->points));
                    if ($outer->holds(Outline::convex(array_values($some)))) {
                        continue 2;
                    }
                }
            }
            $kept[$i] = $group[$i];
        }
        ksort($kept);
        $same = array_count_values(array_column($kept, 0));
        $seen = [];
        foreach ($kept as $i => [$name]) {
            $seen[$name] = ($seen[$name] ?? 0) + 1;
            $kept[$i][0] = 1 === $same[$name] ? $name : $name.' '.$seen[$name];
        }

        return array_values($kept);
    }

    private static function inBox(Outline $inner, Outline $outer): bool
    {
        return $inner->left >= $outer->left - 1
            && $inner->right <= $outer->right + 1
            && $inner->bottom >= $outer->bottom - 1
            && $inner->top <= $outer->top + 1;
    }
}

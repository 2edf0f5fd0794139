<?php

declare(strict_types=1);

namespace Octavum\Core\Shape;

/**
 * How two convex parts stand to one another. All the exact geometry of a lay comes down to this: a piece is a union of
 * convex parts, and two pieces overlap where two of their parts do.
 */
final readonly class Convex
{
    /**
     * The x by which $moving must not be shifted along the cloth, as an open interval, when it is shifted by $dy across:
     * between, the two overlap. Null when they pass one another at any x.
     *
     * Where both have something at a height t, they overlap for shifts from (left of fixed − right of moving) to (right of
     * fixed − left of moving); both bounds are piecewise linear in t, so their extremes lie at a point of either.
     *
     * @param list<array{float, float}> $fixed
     * @param list<array{float, float}> $moving
     *
     * @return ?array{float, float}
     */
    public function blocked(array $fixed, array $moving, float $dy): ?array
    {
        [$fixedLow, $fixedHigh] = $this->extent($fixed, 0, 1);
        [$movingLow, $movingHigh] = $this->extent($moving, 0, 1);
        $low = max($fixedLow, $movingLow + $dy);
        $high = min($fixedHigh, $movingHigh + $dy);
        if ($high - $low < 1e-7) {
            return null;
        }
        $heights = [$low, $high];
        foreach ($fixed as [, $y]) {
            if ($y > $low && $y < $high) {
                $heights[] = $y;
            }
        }
        foreach ($moving as [, $y]) {
            if ($y + $dy > $low && $y + $dy < $high) {
                $heights[] = $y + $dy;
            }
        }
        $from = \INF;
        $to = -\INF;
        foreach ($heights as $t) {
            [$fl, $fr] = $this->at($fixed, $t);
            [$ml, $mr] = $this->at($moving, $t - $dy);
            $from = min($from, $fl - $mr);
            $to = max($to, $fr - $ml);
        }

        return $to - $from < 1e-7 ? null : [$from, $to];
    }

    /**
     * By how much two overlap: the least distance one must be moved to be free of the other; 0 when it is.
     *
     * @param list<array{float, float}> $a
     * @param list<array{float, float}> $b
     */
    public function depth(array $a, array $b): float
    {
        $least = \INF;
        foreach ([$a, $b] as $polygon) {
            $before = $polygon[\count($polygon) - 1];
            foreach ($polygon as $point) {
                [$nx, $ny] = [$point[1] - $before[1], $before[0] - $point[0]];
                $before = $point;
                $long = hypot($nx, $ny);
                if ($long < 1e-9) {
                    continue;
                }
                [$aLow, $aHigh] = $this->extent($a, $nx / $long, $ny / $long);
                [$bLow, $bHigh] = $this->extent($b, $nx / $long, $ny / $long);
                $least = min($least, $aHigh - $bLow, $bHigh - $aLow);
                if ($least <= 0) {
                    return 0.0;
                }
            }
        }

        return $least;
    }

    /**
     * How far it reaches in a direction.
     *
     * @param list<array{float, float}> $polygon
     *
     * @return array{float, float} lowest and highest
     */
    public function extent(array $polygon, float $dx, float $dy): array
    {
        $low = \INF;
        $high = -\INF;
        foreach ($polygon as [$x, $y]) {
            $reach = $x * $dx + $y * $dy;
            $low = $reach < $low ? $reach : $low;
            $high = $reach > $high ? $reach : $high;
        }

        return [$low, $high];
    }

    /**
     * Its extent along x at a height within it.
     *
     * @param list<array{float, float}> $polygon
     *
     * @return array{float, float}
     */
    private function at(array $polygon, float $t): array
    {
        $from = \INF;
        $to = -\INF;
        $before = $polygon[\count($polygon) - 1];
        foreach ($polygon as $point) {
            [$low, $high] = $before[1] <= $point[1] ? [$before, $point] : [$point, $before];
            $before = $point;
            if ($low[1] > $t + 1e-9 || $high[1] < $t - 1e-9) {
                continue;
            }
            $rise = $high[1] - $low[1];
            if ($rise < 1e-9) {
                $from = min($from, $low[0], $high[0]);
                $to = max($to, $low[0], $high[0]);
            } else {
                $x = $low[0] + ($high[0] - $low[0]) * max(0.0, min(1.0, ($t - $low[1]) / $rise));
                $from = min($from, $x);
                $to = max($to, $x);
            }
        }

        return [$from, $to];
    }

    /**
     * @param list<array{float, float}> $part
     *
     * @return list<array{float, float}> with the gap around it, square at the corners
     */
    public function widened(array $part, float $gap): array
    {
        if ($gap <= 0 || [] === $part) {
            return $part;
        }
        $points = [];
        foreach ($part as [$x, $y]) {
            foreach ([[-1, -1], [1, -1], [1, 1], [-1, 1]] as [$dx, $dy]) {
                $points[] = [$x + $dx * $gap, $y + $dy * $gap];
            }
        }

        return $this->hull($points);
    }

    /**
     * Andrew's monotone chain.
     *
     * @param list<array{float, float}> $points
     *
     * @return list<array{float, float}> counter-clockwise
     */
    public function hull(array $points): array
    {
        sort($points);

        return [...self::chain($points), ...self::chain(array_reverse($points))];
    }

    /**
     * @param list<array{float, float}> $points in order
     *
     * @return list<array{float, float}> the hull on their right, without the last point
     */
    private static function chain(array $points): array
    {
        $hull = [$points[0]];
        foreach (\array_slice($points, 1) as $p) {
            while (
                ($n = \count($hull)) > 1
                && ($hull[$n - 1][0] - $hull[$n - 2][0]) * ($p[1] - $hull[$n - 2][1])
                    - ($hull[$n - 1][1] - $hull[$n - 2][1]) * ($p[0] - $hull[$n - 2][0])
                    <= 0
            ) {
                --$n;
                array_splice($hull, $n);
            }
            $hull[] = $p;
        }

        return \count($hull) > 1 ? \array_slice($hull, 0, -1) : $hull;
    }
}

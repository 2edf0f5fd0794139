<?php

declare(strict_types=1);

namespace Octavum\Core\Shape;

/**
 * Adds an allowance around an outline: each edge is moved outwards, corners are mitred, or cut off where they would reach
 * far out. Where a narrow notch closes, the moved edges cross; the outline of all they enclose is what is left when one
 * walks around the outside, at each crossing taking the way furthest to the right. Cost: that of
 * EdgePairs.
 */
final readonly class Outset
{
    /** A mitre longer than so many allowances is cut off. */
    private const MITRE = 4.0;
    /** Moved edges nearer than so many mm may cross. */
    private const SLACK = 1e-6;

    /**
     * @param float $allowance in mm
     * @param bool  $onFold    an edge on y = 0 is a fold: nothing is added there
     */
    public function expand(Outline $outline, float $allowance, bool $onFold = false): Outline
    {
        if ($allowance <= 0) {
            return $outline;
        }
        $turnsLeft = $this->area($outline->points) > 0;
        $points = $this->distinct($turnsLeft ? $outline->points : array_reverse($outline->points));
        $lines = [];
        foreach ($points as $i => $a) {
            $b = $points[($i + 1) % \count($points)];
            $long = hypot($b[0] - $a[0], $b[1] - $a[1]);
            $by = $onFold && abs($a[1]) < 0.01 && abs($b[1]) < 0.01 ? 0.0 : $allowance;
            $lines[] = [$a, [($b[0] - $a[0]) / $long, ($b[1] - $a[1]) / $long], $by, $b];
        }
        $moved = [];
        foreach ($lines as $i => $line) {
            array_push($moved, ...$this->corner($lines[($i + \count($lines) - 1) % \count($lines)], $line, $allowance));
        }
        $around = $this->around($this->distinct($moved));

        return Outline::of($turnsLeft ? $around : array_reverse($around));
    }

    /**
     * Where two moved edges meet.
     *
     * @param array{array{float, float}, array{float, float}, float, array{float, float}} $before point, direction, allowance, end
     * @param array{array{float, float}, array{float, float}, float, array{float, float}} $after
     *
     * @return non-empty-list<array{float, float}>
     */
    private function corner(array $before, array $after, float $allowance): array
    {
        [[, [$ux, $uy], $by], [[$x, $y], [$vx, $vy], $to]] = [$before, $after];
        $p = [$x + $uy * $by, $y - $ux * $by];
        $q = [$x + $vy * $to, $y - $vx * $to];
        $turn = $ux * $vy - $uy * $vx;
        if (abs($turn) < 1e-6) {
            return hypot($p[0] - $q[0], $p[1] - $q[1]) < 1e-6 ? [$p] : [$p, $q];
        }
        if ($turn < 0) {
            return [$p, [$x, $y], $q];
        }
        $along = (($q[0] - $p[0]) * $vy - ($q[1] - $p[1]) * $vx) / $turn;
        $mitre = [$p[0] + $ux * $along, $p[1] + $uy * $along];

        if (hypot($mitre[0] - $x, $mitre[1] - $y) <= self::MITRE * $allowance) {
            return [$mitre];
        }
        $on = $allowance * tan(acos(max(-1.0, min(1.0, $ux * $vx + $uy * $vy))) / 4);

        return [[$p[0] + $ux * $on, $p[1] + $uy * $on], [$q[0] - $vx * $on, $q[1] - $vy * $on]];
    }

    /**
     * @param non-empty-list<array{float, float}> $points counter-clockwise, may cross itself
     *
     * @return list<array{float, float}> the outermost way round
     */
    private function around(array $points): array
    {
        $cuts = $this->cuts($points);
        if ([] === array_filter($cuts)) {
            return $points;
        }
        $ends = array_map($this->key(...), $points);
        $places = array_combine($ends, $points);
        $next = [];
        foreach ($ends as $i => $from) {
            usort($cuts[$i], static fn (array $a, array $b): int => $a[0] <=> $b[0]);
            foreach ([...array_column($cuts[$i], 1), $points[$i + 1] ?? $points[0]] as $point) {
                $to = $this->key($point);
                $places[$to] ??= $point;
                if ($from !== $to) {
                    $next[$from][$to] = $to;
                }
                $from = $to;
            }
        }
        $start = $this->key(min($points));
        $way = [$places[$start]];
        $course = [0.0, -1.0];
        for ($at = $start; \count($way) <= 4 * \count($next);) {
            [$x, $y] = $places[$at];
            $best = null;
            $least = \INF;
            foreach ($next[$at] ?? [] as $to) {
                [$along, $across] = [$places[$to][0] - $x, $places[$to][1] - $y];
                $turn = atan2($course[0] * $across - $course[1] * $along, $course[0] * $along + $course[1] * $across);
                if ($turn < $least) {
                    [$best, $least] = [$to, $turn];
                }
            }
            if (null === $best || $best === $start) {
                break;
            }
            $course = [$places[$best][0] - $x, $places[$best][1] - $y];
            $way[] = $places[$best];
            $at = $best;
        }

        return $way;
    }

    /**
     * Where edges cross that are no neighbours.
     *
     * @param non-empty-list<array{float, float}> $points
     *
     * @return list<list<array{float, array{float, float}}>> by edge, how far along it, and the point
     */
    private function cuts(array $points): array
    {
        $count = \count($points);
        $cuts = array_fill(0, $count, []);
        foreach ((new EdgePairs(self::SLACK))->find($points) as [$i, $j, $neighbours]) {
            $cross = $neighbours ? null : $this->crossing($points[$i], $points[$i + 1], $points[$j], $points[($j + 1) % $count]);
            if (null !== $cross) {
                [$s, $t, $at] = $cross;
                $cuts[$i][] = [$s, $at];
                $cuts[$j][] = [$t, $at];
            }
        }

        return $cuts;
    }

    /**
     * @param array{float, float} $a
     * @param array{float, float} $b
     * @param array{float, float} $c
     * @param array{float, float} $d
     *
     * @return ?array{float, float, array{float, float}} how far along each, and the point
     */
    private function crossing(array $a, array $b, array $c, array $d): ?array
    {
        $turn = ($b[0] - $a[0]) * ($d[1] - $c[1]) - ($b[1] - $a[1]) * ($d[0] - $c[0]);
        if (abs($turn) < 1e-9) {
            return null;
        }
        $s = (($c[0] - $a[0]) * ($d[1] - $c[1]) - ($c[1] - $a[1]) * ($d[0] - $c[0])) / $turn;
        $t = (($c[0] - $a[0]) * ($b[1] - $a[1]) - ($c[1] - $a[1]) * ($b[0] - $a[0])) / $turn;

        return $s > -1e-9 && $s < 1 + 1e-9 && $t > -1e-9 && $t < 1 + 1e-9
            ? [$s, $t, [$a[0] + $s * ($b[0] - $a[0]), $a[1] + $s * ($b[1] - $a[1])]]
            : null;
    }

    /**
     * @param non-empty-list<array{float, float}> $points
     *
     * @return non-empty-list<array{float, float}> no two neighbours in the same place
     */
    private function distinct(array $points): array
    {
        $kept = [$points[0]];
        foreach ($points as $point) {
            if (hypot($point[0] - $kept[\count($kept) - 1][0], $point[1] - $kept[\count($kept) - 1][1]) > 1e-3) {
                $kept[] = $point;
            }
        }
        if (\count($kept) > 1 && hypot($kept[0][0] - $kept[\count($kept) - 1][0], $kept[0][1] - $kept[\count($kept) - 1][1]) <= 1e-3) {
            array_pop($kept);
        }

        return $kept;
    }

    /** @param list<array{float, float}> $points */
    private function area(array $points): float
    {
        $sum = 0.0;
        foreach ($points as $i => $p) {
            $q = $points[($i + 1) % \count($points)];
            $sum += $p[0] * $q[1] - $q[0] * $p[1];
        }

        return $sum / 2;
    }

    /** @param array{float, float} $p */
    private function key(array $p): string
    {
        return (int) round(1e4 * $p[0]).' '.(int) round(1e4 * $p[1]);
    }
}

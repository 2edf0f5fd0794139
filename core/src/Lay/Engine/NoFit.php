<?php

declare(strict_types=1);

namespace Octavum\Core\Lay\Engine;

use Octavum\Core\Shape\Convex;

/**
 * Where one shape must not lie beside another: for each two of their convex parts the Minkowski difference, as half-planes with
 * a box. Within one the overlap is as deep as the least distance to a side, and along any line that depth is concave, so that
 * the least overlap on a line lies at the end of a part's stretch (Egeblad, Nielsen and Odgaard 2007).
 *
 * A face is a flat list: left, right, bottom, top of its box, then for each side nx, ny, d; inside, nx x + ny y < d.
 *
 * @internal
 */
final readonly class NoFit
{
    /** Corners closer than this are one, mm: rounded before the sum, a side shorter than that is noise. */
    private const GRAIN = 1e-3;

    /** Faces in which others are looked for. */
    private const LARGEST = 8;

    /** Shapes that touch may lie over one another by this much, mm, so that what was sawn apart goes together again. */
    private const TOUCH = 0.03;

    /** @var list<list<float>> where each face begins and ends on a line along x */
    public array $spans;

    /** @var list<list<float>> the same of those across, on a line along y */
    public array $spansAcross;

    /**
     * @param list<list<float>> $faces  to be looked at along x
     * @param list<list<float>> $across the same with x and y changed, to be looked at along y
     */
    private function __construct(public array $faces, public array $across)
    {
        $corners = array_map(self::corners(...), $faces);
        $this->spans = array_map(self::span(...), $corners);
        $this->spansAcross = array_map(static fn (array $points): array => self::span(array_map(
            static fn (array $p): array => [$p[1], $p[0]],
            array_reverse($points),
        )), $corners);
    }

    /**
     * Of the places of the moving shape's lowest x and y, seen from the fixed one's.
     *
     * @param list<list<array{float, float}>> $fixed  convex parts, counter-clockwise
     * @param list<list<array{float, float}>> $moving
     * @param float                           $gap    to be kept between them
     */
    public static function of(array $fixed, array $moving, float $gap, Convex $convex): self
    {
        $faces = [];
        $negated = array_map(
            static fn (array $part): array => self::cleaned(array_map(static fn (array $p): array => [-$p[0], -$p[1]], $part)),
            $moving,
        );
        foreach ($fixed as $part) {
            $part = self::cleaned($convex->widened($part, $gap));
            foreach ($negated as $other) {
                $faces[] = self::face($part, $other);
            }
        }

        $faces = self::needed($faces);

        return new self($faces, array_map(self::changed(...), $faces));
    }

    /**
     * @param list<array{float, float}> $part
     *
     * @return list<array{float, float}> rounded, without double points, from its lowest, leftmost corner
     */
    private static function cleaned(array $part): array
    {
        $points = [];
        foreach ($part as [$x, $y]) {
            $point = [round($x / self::GRAIN) * self::GRAIN, round($y / self::GRAIN) * self::GRAIN];
            if ([] === $points || $point !== $points[\count($points) - 1]) {
                $points[] = $point;
            }
        }
        if (\count($points) > 1 && $points[0] === $points[\count($points) - 1]) {
            array_pop($points);
        }
        $first = 0;
        foreach ($points as $i => $point) {
            if ([$point[1], $point[0]] < [$points[$first][1], $points[$first][0]]) {
                $first = $i;
            }
        }

        return [...\array_slice($points, $first), ...\array_slice($points, 0, $first)];
    }

    /**
     * The sum of two convex polygons: their sides in the order of their directions.
     *
     * @param list<array{float, float}> $a
     * @param list<array{float, float}> $b
     *
     * @return list<float>
     */
    private static function face(array $a, array $b): array
    {
        [$n, $m] = [\count($a), \count($b)];
        $x = $a[0][0] + $b[0][0];
        $y = $a[0][1] + $b[0][1];
        [$left, $right, $bottom, $top] = [$x, $x, $y, $y];
        $sides = [];
        for ($i = $j = 0; $i < $n || $j < $m;) {
            [$ax, $ay] = [$a[($i + 1) % $n][0] - $a[$i % $n][0], $a[($i + 1) % $n][1] - $a[$i % $n][1]];
            [$bx, $by] = [$b[($j + 1) % $m][0] - $b[$j % $m][0], $b[($j + 1) % $m][1] - $b[$j % $m][1]];
            $cross = $ax * $by - $ay * $bx;
            $takeA = $i < $n && ($j >= $m || $cross >= 0);
            $takeB = $j < $m && ($i >= $n || $cross <= 0);
            [$dx, $dy] = [($takeA ? $ax : 0.0) + ($takeB ? $bx : 0.0), ($takeA ? $ay : 0.0) + ($takeB ? $by : 0.0)];
            $i += $takeA ? 1 : 0;
            $j += $takeB ? 1 : 0;
            $long = sqrt($dx * $dx + $dy * $dy);
            if ($long > 1e-9) {
                [$nx, $ny] = [$dy / $long, -$dx / $long];
                array_push($sides, $nx, $ny, $nx * $x + $ny * $y - self::TOUCH);
            }
            $x += $dx;
            $y += $dy;
            $left = min($left, $x);
            $right = max($right, $x);
            $bottom = min($bottom, $y);
            $top = max($top, $y);
        }

        return [$left + self::TOUCH, $right - self::TOUCH, $bottom + self::TOUCH, $top - self::TOUCH, ...$sides];
    }

    /**
     * Its left and right border by the height of a line, so that where the line meets it is found without a look at every side: left,
     * right, bottom, top of its box, then where the right border's part begins in this list, then for each straight part of the left
     * border, the lowest first, its lowest y, the x there, and how x changes with y; likewise of the right one.
     *
     * @param list<array{float, float}> $points of the face, counter-clockwise
     *
     * @return list<float>
     */
    private static function span(array $points): array
    {
        [$xs, $ys] = [array_column($points, 0), array_column($points, 1)];
        $borders = [[], []];
        $count = \count($points);
        $lowest = [] === $ys ? 0 : (int) array_search(min($ys), $ys, true);
        // from the lowest corner counter-clockwise: up on the right, and down on the left
        for ($n = 0; $n < $count; ++$n) {
            $i = ($lowest + $n) % $count;
            $next = ($i + 1) % $count;
            $high = $ys[$next] - $ys[$i];
            if ($high > 1e-9) {
                array_push($borders[1], $ys[$i], $xs[$i], ($xs[$next] - $xs[$i]) / $high);
            } elseif ($high < -1e-9) {
                array_unshift($borders[0], $ys[$next], $xs[$next], ($xs[$next] - $xs[$i]) / $high);
            }
        }

        return [] === $xs || [] === $ys || [] === $borders[0] || [] === $borders[1]
            // what is thinner than shapes may lie over one another is met by no line
            ? [0.0, 0.0, \INF, -\INF]
            : [min($xs), max($xs), min($ys), max($ys), 5.0 + \count($borders[0]), ...$borders[0], ...$borders[1]];
    }

    /**
     * Where each side meets the next; where one is so short that shrinking has turned it round, its box with what lies beyond each
     * side taken off.
     *
     * @param list<float> $face
     *
     * @return list<array{float, float}> counter-clockwise
     */
    private static function corners(array $face): array
    {
        $points = [];
        $n = \count($face);
        [$lastX, $lastY] = [0.0, 0.0];
        for ($k = $n - 3, $next = 4; $next < $n; $k = $next, $next += 3) {
            $det = $face[$k] * $face[$next + 1] - $face[$k + 1] * $face[$next];
            if ($det < 1e-9) {
                return self::clipped($face);
            }
            $x = ($face[$k + 2] * $face[$next + 1] - $face[$k + 1] * $face[$next + 2]) / $det;
            $y = ($face[$k] * $face[$next + 2] - $face[$k + 2] * $face[$next]) / $det;
            if ([] !== $points && ($y - $lastY) * $face[$k] - ($x - $lastX) * $face[$k + 1] <= 0) {
                return self::clipped($face);
            }
            $points[] = [$lastX, $lastY] = [$x, $y];
        }
        $first = $points[0] ?? [0.0, 0.0];

        return ($first[1] - $lastY) * ($face[$n - 3] ?? 0.0) - ($first[0] - $lastX) * ($face[$n - 2] ?? 0.0) > 0
            ? $points
            : self::clipped($face);
    }

    /**
     * @param list<float> $face
     *
     * @return list<array{float, float}> counter-clockwise
     */
    private static function clipped(array $face): array
    {
        [$left, $right, $bottom, $top] = [$face[0] ?? 0.0, $face[1] ?? 0.0, $face[2] ?? 0.0, $face[3] ?? 0.0];
        $points = [[$left, $bottom], [$right, $bottom], [$right, $top], [$left, $top]];
        for ($k = 4, $n = \count($face); $k < $n; $k += 3) {
            $kept = [];
            foreach ($points as $i => $p) {
                $q = $points[($i + 1) % \count($points)] ?? $p;
                $here = $face[$k + 2] - $face[$k] * $p[0] - $face[$k + 1] * $p[1];
                $there = $face[$k + 2] - $face[$k] * $q[0] - $face[$k + 1] * $q[1];
                if ($here >= 0) {
                    $kept[] = $p;
                }
                if (($here > 0 && $there < 0) || ($here < 0 && $there > 0)) {
                    $share = $here / ($here - $there);
                    $kept[] = [$p[0] + $share * ($q[0] - $p[0]), $p[1] + $share * ($q[1] - $p[1])];
                }
            }
            $points = $kept;
        }

        return $points;
    }

    /**
     * Without those that lie within one of the largest: of two curves put against one another they are most.
     *
     * @param list<list<float>> $faces
     *
     * @return list<list<float>>
     */
    private static function needed(array $faces): array
    {
        if (\count($faces) <= self::LARGEST) {
            return $faces;
        }
        usort($faces, static fn (array $a, array $b): int => ($b[1] - $b[0]) * ($b[3] - $b[2]) <=> ($a[1] - $a[0]) * ($a[3] - $a[2]));
        $needed = [];
        foreach ($faces as $face) {
            $within = false;
            for ($n = 0; $n < self::LARGEST && isset($needed[$n]) && !$within; ++$n) {
                $within = self::isWithin($face, $needed[$n]);
            }
            if (!$within) {
                $needed[] = $face;
            }
        }

        return $needed;
    }

    /**
     * @param list<float> $face
     * @param list<float> $other
     */
    private static function isWithin(array $face, array $other): bool
    {
        if ($face[0] < $other[0] || $face[1] > $other[1] || $face[2] < $other[2] || $face[3] > $other[3]) {
            return false;
        }
        for ($k = 4, $n = \count($face); $k < $n; $k += 3) {
            $next = $k + 3 < $n ? $k + 3 : 4;
            $det = $face[$k] * $face[$next + 1] - $face[$k + 1] * $face[$next];
            if (abs($det) < 1e-9) {
                return false;
            }
            $x = ($face[$k + 2] * $face[$next + 1] - $face[$k + 1] * $face[$next + 2]) / $det;
            $y = ($face[$k] * $face[$next + 2] - $face[$k + 2] * $face[$next]) / $det;
            for ($m = 4, $sides = \count($other); $m < $sides; $m += 3) {
                if ($other[$m] * $x + $other[$m + 1] * $y > $other[$m + 2] + 1e-6) {
                    return false;
                }
            }
        }

        return true;
    }

    /**
     * @param list<float> $face
     *
     * @return list<float>
     */
    private static function changed(array $face): array
    {
        $changed = [$face[2], $face[3], $face[0], $face[1]];
        for ($k = 4, $n = \count($face); $k < $n; $k += 3) {
            array_push($changed, $face[$k + 1], $face[$k], $face[$k + 2]);
        }

        return $changed;
    }
}

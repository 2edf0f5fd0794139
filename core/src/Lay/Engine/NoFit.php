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

    /**
     * @param list<list<float>> $faces  to be looked at along x
     * @param list<list<float>> $across the same with x and y changed, to be looked at along y
     */
    private function __construct(public array $faces, public array $across)
    {
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

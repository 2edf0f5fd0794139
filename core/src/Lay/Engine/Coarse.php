<?php

declare(strict_types=1);

namespace Octavum\Core\Lay\Engine;

use Octavum\Core\Lay\Way\Solid;
use Octavum\Core\Lay\Way\Variant;
use Octavum\Core\Shape\Outline;

/**
 * A shape with its shallow hollows filled, so that a curve that bends inwards is a few convex parts and not twenty: what lies clear
 * of it lies clear of the shape, and settling, which goes by the shape itself, wins back what was filled.
 *
 * @internal
 */
final readonly class Coarse
{
    /** Of so many parts at least, a hollow so deep is filled, mm. */
    private const SHALLOW = [3 => 2.0, 5 => 5.0];

    /** @return list<list<array{float, float}>> convex parts */
    public static function parts(Variant $variant): array
    {
        $exact = array_map(static fn (Solid $solid): array => $solid->points, $variant->solids(0));
        if ([] !== $variant->members) {
            return $exact;
        }
        $least = $exact;
        foreach (self::SHALLOW as $many => $shallow) {
            if (\count($least) < $many) {
                break;
            }
            try {
                $parts = Outline::of(self::filled($variant->outline->points, $shallow))->convexParts();
                $least = \count($parts) < \count($least) ? $parts : $least;
            } catch (\InvalidArgumentException) {
                // filling has shut a narrow gap
                break;
            }
        }

        return $least;
    }

    /**
     * @param list<array{float, float}> $points
     * @param float                     $shallow hollows so deep are filled
     *
     * @return list<array{float, float}>
     */
    private static function filled(array $points, float $shallow): array
    {
        $turns = 0.0;
        foreach ($points as $i => $p) {
            $q = $points[($i + 1) % \count($points)];
            $turns += $p[0] * $q[1] - $p[1] * $q[0];
        }
        $way = $turns < 0 ? -1 : 1;
        $kept = [];
        $count = \count($points);
        for ($i = 0; $i < $count;) {
            $kept[] = $points[$i];
            $next = $i + 1;
            // as far as all between lies in one shallow hollow
            for ($j = $i + 2; $j <= $count && $j < $i + 12; ++$j) {
                $end = $points[$j % $count];
                for ($k = $i + 1; $k < $j; ++$k) {
                    $deep = $way * self::beside($points[$i], $end, $points[$k]);
                    if ($deep <= 0.0 || $deep > $shallow) {
                        break 2;
                    }
                }
                $next = $j;
            }
            $i = $next;
        }

        return $kept;
    }

    /**
     * How far a point lies to the left of a line.
     *
     * @param array{float, float} $from
     * @param array{float, float} $to
     * @param array{float, float} $point
     */
    private static function beside(array $from, array $to, array $point): float
    {
        [$dx, $dy] = [$to[0] - $from[0], $to[1] - $from[1]];
        $long = hypot($dx, $dy);

        return $long < 1e-9 ? 0.0 : ($dx * ($point[1] - $from[1]) - $dy * ($point[0] - $from[0])) / $long;
    }
}

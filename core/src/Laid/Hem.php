<?php

declare(strict_types=1);

namespace Octavum\Core\Laid;

use Octavum\Core\Shape\Outline;

/** The lower end of a piece, where its x is largest: what can lie at an edge of the cloth. */
final readonly class Hem
{
    /** One that rises by less is straight, mm. */
    private const STRAIGHT = 3;

    /** How far it curves, mm, so that only its lowest point can lie at an edge; null for one that is straight. */
    public function curve(Outline $outline): ?float
    {
        $rise = $this->rise($outline);

        return $rise < self::STRAIGHT ? null : $rise;
    }

    /**
     * How far its ends lie above its lowest point, mm: nought for one that is straight. It is followed from there on either side
     * as long as it runs more across the cloth than along.
     */
    private function rise(Outline $outline): float
    {
        $points = $outline->points;
        $count = \count($points);
        $along = array_column($points, 0);
        $lowest = (int) array_search(max($along), $along, true);
        $rise = 0.0;
        foreach ([1, -1] as $step) {
            for ($n = 1, $at = $lowest; $n < $count; ++$n) {
                $next = ($at + $step + $count) % $count;
                if (abs($points[$next][1] - $points[$at][1]) <= abs($points[$next][0] - $points[$at][0])) {
                    break;
                }
                $rise = max($rise, $outline->right - $points[$next][0]);
                $at = $next;
            }
        }

        return $rise;
    }
}

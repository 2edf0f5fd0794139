<?php

declare(strict_types=1);

namespace Octavum\Core\Lay\Engine;

use Octavum\Core\Lay\Way\Lane;
use Octavum\Core\Lay\Way\Solid;
use Octavum\Core\Shape\Convex;

/**
 * Looks once more, by the pieces' own parts and not by what a search knows of them, whether a lay on one lane is one: nothing over
 * another, off the lane or where there is no cloth by more than a twentieth of a millimetre. Cost: pieces² × parts².
 *
 * @internal
 */
final readonly class Guard
{
    private const MOST = 0.05;

    public function __construct(private Lane $lane, private Convex $convex = new Convex())
    {
    }

    /** @param list<Spot> $spots */
    public function isSound(array $spots): bool
    {
        $laid = [];
        foreach ($spots as $spot) {
            [$right, $top] = [$spot->x + $spot->variant->length, $spot->y + $spot->variant->width];
            if (
                min($spot->x, $spot->y) < -self::MOST
                || $top > $this->lane->width + self::MOST
                || $right > $this->lane->length + self::MOST
            ) {
                return false;
            }
            $parts = array_map(static fn (Solid $solid): array => array_map(
                static fn (array $p): array => [$p[0] + $spot->x, $p[1] + $spot->y],
                $solid->points,
            ), $spot->variant->solids(0));
            foreach ($laid as [$left, $end, $bottom, $high, $others]) {
                if ($spot->x < $end && $right > $left && $spot->y < $high && $top > $bottom && !$this->isFree($parts, $others)) {
                    return false;
                }
            }
            if (!$this->isFree($parts, $this->lane->missing)) {
                return false;
            }
            $laid[] = [$spot->x, $right, $spot->y, $top, $parts];
        }

        return true;
    }

    /**
     * @param list<list<array{float, float}>> $parts
     * @param list<list<array{float, float}>> $others
     */
    private function isFree(array $parts, array $others): bool
    {
        foreach ($parts as $part) {
            foreach ($others as $other) {
                if ($this->convex->depth($other, $part) > self::MOST) {
                    return false;
                }
            }
        }

        return true;
    }
}

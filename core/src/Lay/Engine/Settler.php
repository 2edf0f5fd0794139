<?php

declare(strict_types=1);

namespace Octavum\Core\Lay\Engine;

use Octavum\Core\Lay\Way\Lane;
use Octavum\Core\Lay\Way\Solid;
use Octavum\Core\Shape\Convex;

/**
 * Takes a lay that is good to the row and pushes its pieces together exactly: each in turn as far towards the cut end, and
 * then across towards y = 0, as its own shape and its neighbours' let it, until nothing moves any more. Cost: a few rounds of
 * pieces² × parts².
 */
final readonly class Settler
{
    private const ROUNDS = 6;

    private const X = 0;
    private const Y = 1;

    /** @param non-empty-list<Lane> $lanes */
    public function __construct(private array $lanes, private float $gap, private Convex $convex = new Convex())
    {
    }

    /**
     * @param list<Spot>        $spots
     * @param \Closure(): float $left  share of the time that is left; when there is none it stops where it is
     *
     * @return list<Spot>
     */
    public function settle(array $spots, \Closure $left): array
    {
        usort($spots, static fn (Spot $a, Spot $b): int => $a->x <=> $b->x);
        for ($round = 0; $round < self::ROUNDS; ++$round) {
            $moved = 0.0;
            foreach ($spots as $i => $spot) {
                if (null !== $spot->variant->match) {
                    continue;
                }
                if ($left() <= 0) {
                    return $spots;
                }
                $x = $this->slid($spot, $spots, $i, self::X);
                $y = $spot->item->held ?? $this->slid($spot->at($x, $spot->y), $spots, $i, self::Y);
                $moved += $spot->x - $x + $spot->y - $y;
                $spots[$i] = $spot->at($x, $y);
            }
            if ($moved < 0.05) {
                break;
            }
        }

        return $spots;
    }

    /**
     * How far a piece comes towards 0 along an axis. Only what shares some of its breadth and does not lie wholly ahead of it
     * can be in its way, so boxes are compared first.
     *
     * @param list<Spot> $spots
     */
    private function slid(Spot $spot, array $spots, int $own, int $axis): float
    {
        $start = self::X === $axis ? $spot->x : $spot->y;
        $side = self::X === $axis ? $spot->y : $spot->x;
        $reach = $start + (self::X === $axis ? $spot->variant->length : $spot->variant->width);
        $breadth = self::X === $axis ? $spot->variant->width : $spot->variant->length;
        $moving = $spot->variant->solids($axis);
        $least = 0.0;
        foreach ($spots as $j => $other) {
            [$at, $beside] = self::X === $axis ? [$other->x, $other->y] : [$other->y, $other->x];
            $wide = self::X === $axis ? $other->variant->width : $other->variant->length;
            if (
                $j === $own
                || $other->lane !== $spot->lane
                || $at - $this->gap >= $reach
                || $beside - $this->gap >= $side + $breadth
                || $beside + $wide + $this->gap <= $side
            ) {
                continue;
            }
            $free = $this->past(
                $other->variant->solids($axis),
                $this->gap,
                $moving,
                start: $start - $at,
                side: $side - $beside,
                least: $least - $at,
            );
            if (null === $free) {
                return $start;
            }
            $least = max($least, $free + $at);
        }
        foreach ($this->lanes[$spot->lane]->missing as $part) {
            $free = $this->past([Solid::of($part, $axis)], 0, $moving, start: $start, side: $side, least: $least);
            if (null === $free) {
                return $start;
            }
            $least = max($least, $free);
        }

        return min($start, $least);
    }

    /**
     * Where the moving parts come to rest at the fixed ones, all seen from the fixed; null when they overlap to begin with.
     *
     * @param list<Solid> $fixed
     * @param list<Solid> $moving
     */
    private function past(array $fixed, float $gap, array $moving, float $start, float $side, float $least): ?float
    {
        foreach ($fixed as $solid) {
            $points = null;
            foreach ($moving as $part) {
                if (
                    $solid->low - $gap >= $part->high + $side
                    || $solid->high + $gap <= $part->low + $side
                    || $solid->left - $gap >= $start + $part->right
                    || $solid->right + $gap - $part->left <= $least
                ) {
                    continue;
                }
                $points ??= $this->convex->widened($solid->points, $gap);
                $blocked = $this->convex->blocked($points, $part->points, $side);
                if (null === $blocked) {
                    continue;
                }
                if ($blocked[1] <= $start + 1e-6) {
                    $least = max($least, $blocked[1]);
                } elseif ($blocked[0] < $start - 1e-6) {
                    return null;
                }
            }
        }

        return $least;
    }
}

<?php

declare(strict_types=1);

namespace Octavum\Core\Lay;

/**
 * Takes a lay that is good to the row and pushes its pieces together exactly: each in turn as far towards the cut end, and
 * then across towards y = 0, as its own shape and its neighbours' let it, until nothing moves any more. Cost: a few rounds of
 * pieces² × parts².
 */
final readonly class Settler
{
    private const ROUNDS = 6;

    /** @param non-empty-list<Lane> $lanes */
    public function __construct(private array $lanes, private float $gap, private Convex $convex = new Convex())
    {
    }

    /**
     * @param list<Spot> $spots
     *
     * @return list<Spot>
     */
    public function settle(array $spots): array
    {
        usort($spots, static fn (Spot $a, Spot $b): int => $a->x <=> $b->x);
        for ($round = 0; $round < self::ROUNDS; ++$round) {
            $moved = 0.0;
            foreach ($spots as $i => $spot) {
                if (null !== $spot->variant->match) {
                    continue;
                }
                $x = $this->slid($spot, $spots, $i, false);
                $y = $spot->item->onFold ? $spot->y : $this->slid($spot->at($x, $spot->y), $spots, $i, true);
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
     * How far a piece comes towards 0, along the cloth or across it.
     *
     * @param list<Spot> $spots
     */
    private function slid(Spot $spot, array $spots, int $own, bool $across): float
    {
        $start = $across ? $spot->y : $spot->x;
        $least = 0.0;
        $fixed = array_map(static fn (array $part): array => [$part, 0.0, 0.0], $this->lanes[$spot->lane]->missing);
        foreach ($spots as $j => $other) {
            if ($j !== $own && $other->lane === $spot->lane) {
                foreach ($other->variant->parts as $part) {
                    $fixed[] = [$this->widened($part), $other->x, $other->y];
                }
            }
        }
        foreach ($fixed as [$part, $x, $y]) {
            foreach ($spot->variant->parts as $moving) {
                $blocked = $across
                    ? $this->convex->blocked(self::transposed($part), self::transposed($moving), $spot->x - $x)
                    : $this->convex->blocked($part, $moving, $spot->y - $y);
                $shift = $across ? $y : $x;
                if (null !== $blocked && $blocked[1] + $shift <= $start + 1e-6) {
                    $least = max($least, $blocked[1] + $shift);
                } elseif (null !== $blocked && $blocked[0] + $shift < $start - 1e-6) {
                    return $start;
                }
            }
        }

        return min($start, $least);
    }

    /**
     * @param list<array{float, float}> $part
     *
     * @return list<array{float, float}> with the gap around it, square at the corners
     */
    private function widened(array $part): array
    {
        if ($this->gap <= 0) {
            return $part;
        }
        $points = [];
        foreach ($part as [$x, $y]) {
            foreach ([[-1, -1], [1, -1], [1, 1], [-1, 1]] as [$dx, $dy]) {
                $points[] = [$x + $dx * $this->gap, $y + $dy * $this->gap];
            }
        }

        return self::hull($points);
    }

    /**
     * Andrew's monotone chain.
     *
     * @param list<array{float, float}> $points
     *
     * @return list<array{float, float}> counter-clockwise
     */
    private static function hull(array $points): array
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
            while (($n = \count($hull)) > 1 && ($hull[$n - 1][0] - $hull[$n - 2][0]) * ($p[1] - $hull[$n - 2][1]) - ($hull[$n - 1][1] - $hull[$n - 2][1]) * ($p[0] - $hull[$n - 2][0]) <= 0) {
                --$n;
                array_splice($hull, $n);
            }
            $hull[] = $p;
        }

        return \count($hull) > 1 ? \array_slice($hull, 0, -1) : $hull;
    }

    /**
     * @param list<array{float, float}> $part
     *
     * @return list<array{float, float}>
     */
    private static function transposed(array $part): array
    {
        return array_map(static fn (array $p): array => [$p[1], $p[0]], $part);
    }
}

<?php

declare(strict_types=1);

namespace Octavum\Core\Shape;

/**
 * Which edges of a closed line may cross: only those that share some of their x and y, so they are looked at from left to right.
 * Cost: edges² where all of them lie above one another, else far less.
 *
 * @internal
 */
final readonly class EdgePairs
{
    /** @param float $slack mm by which they may miss one another */
    public function __construct(private float $slack)
    {
    }

    /**
     * @param non-empty-list<array{float, float}> $points
     *
     * @return iterable<array{int, int, bool}> the edge from one point to the next, by the place of that point; the earlier first,
     *                                         and whether the two are neighbours
     */
    public function find(array $points): iterable
    {
        $count = \count($points);
        $edges = [];
        foreach ($points as $i => $a) {
            $b = $points[($i + 1) % $count];
            $edges[] = [min($a[0], $b[0]), max($a[0], $b[0]), min($a[1], $b[1]), max($a[1], $b[1]), $i];
        }
        sort($edges);
        foreach ($edges as $k => [, $right, $low, $high, $one]) {
            for ($l = $k + 1; $l < $count && $edges[$l][0] <= $right + $this->slack; ++$l) {
                [, , $from, $to, $other] = $edges[$l];
                if ($from <= $high + $this->slack && $to >= $low - $this->slack) {
                    [$i, $j] = [min($one, $other), max($one, $other)];
                    yield [$i, $j, $j === $i + 1 || (0 === $i && $j === $count - 1)];
                }
            }
        }
    }
}

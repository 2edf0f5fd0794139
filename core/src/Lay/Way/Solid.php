<?php

declare(strict_types=1);

namespace Octavum\Core\Lay\Way;

use Octavum\Core\Shape\Convex;

/** A convex part seen along one axis, with its box. */
final readonly class Solid
{
    /** @param list<array{float, float}> $points along the axis first, across it second */
    private function __construct(public array $points, public float $left, public float $right, public float $low, public float $high)
    {
    }

    /**
     * @param list<array{float, float}> $part
     * @param int                       $axis 0 to be moved along x, 1 along y
     */
    public static function of(array $part, int $axis): self
    {
        $points = 0 === $axis ? $part : array_map(static fn (array $p): array => [$p[1], $p[0]], $part);
        $convex = new Convex();

        return new self($points, ...$convex->extent($points, 1, 0), ...$convex->extent($points, 0, 1));
    }
}

<?php

declare(strict_types=1);

namespace Octavum\Document\Codec;

use Octavum\Core\Shape\Outline;
use Octavum\Document\Json\Node;

/** The corners of a piece, in millimetres. */
final readonly class OutlineCodec
{
    private const FARTHEST = 500_000;

    /** @param bool $trusted stored by ourselves, and checked before */
    public function read(Node $node, bool $trusted = false): ?Outline
    {
        $points = [];
        foreach ($node->items(2_000) as $point) {
            $xy = $point->items(2);
            if (2 !== \count($xy)) {
                $point->fault('A point is two numbers, [x, y].');

                return null;
            }
            $points[] = [$this->coordinate($xy[0]), $this->coordinate($xy[1])];
        }
        try {
            return $trusted ? Outline::convex($points) : Outline::of($points);
        } catch (\InvalidArgumentException $error) {
            $node->fault('{what}.', what: ucfirst($error->getMessage()));

            return null;
        }
    }

    public function coordinate(Node $node): float
    {
        return $node->numberWithin(-self::FARTHEST, self::FARTHEST);
    }

    /** @return list<array{float, float}> */
    public function write(Outline $outline): array
    {
        return array_map(static fn (array $p): array => [round($p[0], 2) + 0.0, round($p[1], 2) + 0.0], $outline->points);
    }
}

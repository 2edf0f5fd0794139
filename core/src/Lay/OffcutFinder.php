<?php

declare(strict_types=1);

namespace Octavum\Core\Lay;

use Octavum\Core\Lay\Engine\Leftovers;
use Octavum\Core\Shape\Outline;

/** What pieces leave of the cloth they are cut from. */
final readonly class OffcutFinder
{
    /**
     * @param list<Outline> $laid   on the cloth opened out
     * @param float         $width  of it, mm
     * @param float         $length that was cut off, mm
     *
     * @return list<array{x: float, y: float, length: float, width: float}> free rectangles that are worth keeping, the largest first
     */
    public function find(array $laid, float $width, float $length): array
    {
        $parts = array_merge(...array_map(static fn (Outline $outline): array => $outline->convexParts(), $laid));

        return (new Leftovers())->find($parts, $width, $length);
    }
}

<?php

declare(strict_types=1);

namespace Octavum\Core\Lay;

/**
 * A strip on which pieces are laid: a whole cut laid flat, a folded one, or half of one whose selvages meet in the middle.
 * Its own y runs from 0, where a fold edge lies if there is one.
 */
final readonly class Lane
{
    /**
     * @param float                           $length  \INF for a roll
     * @param int                             $layers  of cloth on one another
     * @param bool                            $fold    a fold edge lies at y = 0
     * @param float                           $offset  of its y = 0 in the cloth as it lies
     * @param bool                            $down    its y runs against the cloth's
     * @param list<list<array{float, float}>> $missing parts that are not cloth
     */
    public function __construct(
        public string $sheet,
        public float $width,
        public float $length,
        public int $layers = 1,
        public bool $fold = false,
        public float $offset = 0,
        public bool $down = false,
        public array $missing = [],
    ) {
    }
}

<?php

declare(strict_types=1);

namespace Octavum\Room\Cloth;

/** How many cloths each choice of a filter would show. */
final readonly class ClothCounts
{
    /**
     * @param array<string, int> $kind
     * @param array<string, int> $weight
     * @param array<string, int> $place
     * @param array<string, int> $set
     */
    public function __construct(
        public array $kind,
        public array $weight,
        public array $place,
        public array $set,
        public int $unwashed,
        public int $aside,
    ) {
    }
}

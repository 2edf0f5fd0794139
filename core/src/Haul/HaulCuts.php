<?php

declare(strict_types=1);

namespace Octavum\Core\Haul;

use Octavum\Core\Measure\Length;

/** The cuts that a line of a haul speaks of. */
final readonly class HaulCuts
{
    /**
     * @param int          $count   of this length, all alike
     * @param list<Length> $others  of further cuts
     * @param bool         $ordered and not here yet
     */
    public function __construct(
        public int $count = 1,
        public ?Length $length = null,
        public array $others = [],
        public string $label = '',
        public bool $ordered = false,
        public bool $washed = false,
    ) {
    }

    /** @return list<?Length> one for each cut */
    public function lengths(): array
    {
        return [...array_fill(0, $this->count, $this->length), ...$this->others];
    }
}

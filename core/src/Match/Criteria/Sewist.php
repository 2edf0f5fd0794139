<?php

declare(strict_types=1);

namespace Octavum\Core\Match\Criteria;

use Octavum\Core\Cloth\Warmth;
use Octavum\Core\Pattern\Technique;

/** What whoever sews would rather do, has, and has made before. */
final readonly class Sewist
{
    /**
     * @param list<Technique>                 $avoids
     * @param list<Technique>                 $learns wants to
     * @param list<Tool>                      $lacks  tools that are not in the house
     * @param ToileSchool                     $toiles when one is sewn
     * @param array<string, list<MadeBefore>> $made   by pattern
     * @param ?Warmth                         $days   it is sewn for; null for any
     */
    public function __construct(
        public array $avoids = [],
        public array $learns = [],
        public array $lacks = [],
        public ToileSchool $toiles = ToileSchool::FirstTime,
        public array $made = [],
        public ?Warmth $days = null,
    ) {
    }

    /** @param array<string, list<MadeBefore>> $made by pattern */
    public function having(array $made, ?Warmth $days = null): self
    {
        return new self($this->avoids, $this->learns, $this->lacks, toiles: $this->toiles, made: $made, days: $days);
    }

    /** Sewing for certain days. */
    public function forDays(?Warmth $days): self
    {
        return $this->having($this->made, $days);
    }
}

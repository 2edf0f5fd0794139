<?php

declare(strict_types=1);

namespace Octavum\Core\Match;

use Octavum\Core\Cloth\Cloth;
use Octavum\Core\Cloth\Cut;
use Octavum\Core\Measure\Length;

/** A cut and a version that nothing refuses, in the table of all. */
final readonly class Paired
{
    /**
     * @param int     $version its place among the makings
     * @param ?Length $spare   below nought what is missing; null when it is not known
     */
    public function __construct(
        public Cloth $cloth,
        public Cut $cut,
        public Making $making,
        public int $version,
        public Group $group,
        public int $points,
        public ?Length $spare,
    ) {
    }

    public function isEnough(): bool
    {
        return null !== $this->spare && Group::Short !== $this->group && $this->group->mayBe();
    }

    /** Of two that are enough: what is made for it first, then that for which more speaks, then that which leaves less. */
    public static function compare(self $a, self $b): int
    {
        return match (true) {
            $a->group !== $b->group => $a->group->place() <=> $b->group->place(),
            $a->points !== $b->points => $b->points <=> $a->points,
            default => $a->spare?->micrometres <=> $b->spare?->micrometres,
        };
    }
}

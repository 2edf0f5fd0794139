<?php

declare(strict_types=1);

namespace Octavum\Core\Season\BestUse;

/** The best use of the stash for a season beside the plan as it is. */
final readonly class Proposed
{
    /**
     * @param list<ClothChange> $changes
     * @param int               $fits      projects whose main cloth is enough now
     * @param int               $would     that it would be
     * @param int               $buys      main cloths to be bought now
     * @param int               $still     that would be
     * @param bool              $isSettled no assignment serves the projects better; otherwise the search was stopped
     * @param int               $looked    projects that were looked at
     * @param list<Sooner>      $sooner    what comes before another cloth
     */
    public function __construct(
        public array $changes,
        public int $fits,
        public int $would,
        public int $buys,
        public int $still,
        public bool $isSettled,
        public int $looked,
        public array $sooner = [],
    ) {
    }
}

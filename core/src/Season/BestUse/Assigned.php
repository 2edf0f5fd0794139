<?php

declare(strict_types=1);

namespace Octavum\Core\Season\BestUse;

/** What each project of a season has of the stash. */
final readonly class Assigned
{
    /**
     * @param list<?Choice>   $choices   of each project, in rank order; null where nothing is left for it
     * @param array{int, int} $cost      the less the better: who is left out, then all else
     * @param array{int, int} $bound     nothing can cost less
     * @param bool            $exact     nothing does cost less
     * @param bool            $isSettled nothing serves the projects better; there may be shorter useless ends
     */
    public function __construct(
        public array $choices,
        public array $cost,
        public array $bound,
        public bool $exact,
        public bool $isSettled,
    ) {
    }
}

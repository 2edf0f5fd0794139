<?php

declare(strict_types=1);

namespace Octavum\Core\Season\BestUse;

/** One way in which a project could have its cloth: a cut of the stash, or bought. */
final readonly class Choice
{
    /**
     * @param ?string $option  the option that would lead; null for the one that does
     * @param ?string $cut     null for cloth that is bought
     * @param int     $need    micrometres of the cut
     * @param int     $points  what speaks for the cloth
     * @param bool    $present as it is planned now
     */
    public function __construct(
        public ?string $option,
        public ?string $cut,
        public int $need,
        public int $points = 0,
        public bool $present = false,
    ) {
    }
}

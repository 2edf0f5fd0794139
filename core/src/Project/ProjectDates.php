<?php

declare(strict_types=1);

namespace Octavum\Core\Project;

/** By when a garment is to be done, and from when it can be begun. */
final readonly class ProjectDates
{
    /**
     * @param bool                $soft      the deadline is a wish
     * @param ?\DateTimeImmutable $notBefore it cannot be begun before that day
     */
    public function __construct(
        public ?\DateTimeImmutable $deadline = null,
        public bool $soft = false,
        public ?\DateTimeImmutable $notBefore = null,
    ) {
    }
}

<?php

declare(strict_types=1);

namespace Octavum\Room\Sewing;

use Octavum\Core\Project\Project;

/** What is to be said of garments that are sewn. */
final readonly class Unsaid
{
    /**
     * @param list<Project> $outcome all steps done, and nobody has said how it turned out
     * @param list<Project> $worn    done for a while, and nobody has said how often they are worn
     */
    public function __construct(
        public array $outcome,
        public array $worn,
    ) {
    }
}

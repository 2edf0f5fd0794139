<?php

declare(strict_types=1);

namespace Octavum\Core\Project;

use Octavum\Core\Project\Log\ProjectState;
use Octavum\Core\Project\Log\Sewing;

/** What has been done on a garment so far. */
final readonly class ProjectLog
{
    /**
     * @param list<Decision> $decisions    the earliest first
     * @param bool           $notionsTaken out of the tins already, so that none are given out to it
     * @param list<Picture>  $pictures
     */
    public function __construct(
        public ProjectState $state = ProjectState::Planned,
        public Sewing $sewing = new Sewing(),
        public array $decisions = [],
        public bool $notionsTaken = false,
        public array $pictures = [],
    ) {
    }

    /** With another record of its sewing. */
    public function sewn(Sewing $sewing): self
    {
        return new self($this->state, $sewing, $this->decisions, $this->notionsTaken, $this->pictures);
    }
}

<?php

declare(strict_types=1);

namespace Octavum\Core\Project;

use Octavum\Core\Body\Person;
use Octavum\Core\Measure\Length;

/** What is wanted of a garment before it is said how it is made: for whom, for what, by when and how surely. */
final readonly class ProjectBrief
{
    /**
     * @param string  $occasion what it is for: "the choir tour"
     * @param ?Length $ease     wanted between garment and body; null when the size goes by the body
     * @param ?bool   $toile    one is sewn first; null where it is not set
     */
    public function __construct(
        public ?Person $person = null,
        public ?Purpose $purpose = null,
        public string $occasion = '',
        public Certainty $certainty = Certainty::Likely,
        public ProjectDates $dates = new ProjectDates(),
        public ?Length $ease = null,
        public ?bool $toile = null,
        public string $notes = '',
    ) {
    }
}

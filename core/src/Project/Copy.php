<?php

declare(strict_types=1);

namespace Octavum\Core\Project;

use Octavum\Core\Body\Person;

/** One more of the same version under a project: for another person, in another size, from a cloth of its own. */
final readonly class Copy
{
    /** @param list<Claim> $claims */
    public function __construct(
        public ?Person $person = null,
        public ?string $size = null,
        public ?string $gradedTo = null,
        public array $claims = [],
    ) {
    }

    /** As a project of its own, called by whom it is for, or by which it is of the first and its copies. */
    public function line(Project $first, int $number): Project
    {
        return new Project(
            $first->id,
            $first->name.', '.($this->person->name ?? $number),
            $first->season,
            $first->rank,
            brief: new ProjectBrief($this->person, certainty: $first->brief->certainty, ease: $first->brief->ease),
            log: new ProjectLog(state: $first->log->state),
            current: new Option(
                '',
                $first->current->pattern,
                $first->current->version,
                $this->size,
                $this->gradedTo,
                alterations: $first->current->alterations,
                claims: $this->claims,
                matching: $first->current->matching,
                leftOut: $first->current->leftOut,
                declined: $first->current->declined,
                parts: $first->current->parts,
            ),
        );
    }
}

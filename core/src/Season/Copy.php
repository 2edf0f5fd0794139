<?php

declare(strict_types=1);

namespace Octavum\Core\Season;

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
            $this->person,
            $first->pattern,
            $first->version,
            $this->size,
            $this->gradedTo,
            $first->certainty,
            $first->state,
            alterations: $first->alterations,
            claims: $this->claims,
            matching: $first->matching,
            leftOut: $first->leftOut,
            declined: $first->declined,
            parts: $first->parts,
            ease: $first->ease,
        );
    }
}

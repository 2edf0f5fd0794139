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
}

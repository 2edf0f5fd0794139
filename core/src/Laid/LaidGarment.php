<?php

declare(strict_types=1);

namespace Octavum\Core\Laid;

use Octavum\Core\Piece\Role;

/** What was laid: a role of a project, or of a version alone, in a size. */
final readonly class LaidGarment
{
    /**
     * @param ?string      $project its id, null for a version alone
     * @param ?string      $version its id
     * @param string       $mark    of the pieces as they were; empty for pieces nobody has entered
     * @param list<string> $pieces  those that were asked for, by name; none for all of the role
     */
    public function __construct(
        public string $name,
        public ?string $project,
        public ?string $version,
        public Role $role,
        public string $size,
        public string $mark,
        public array $pieces = [],
    ) {
    }
}

<?php

declare(strict_types=1);

namespace Octavum\Core\Need;

use Octavum\Core\Measure\Length;
use Octavum\Core\Pattern\KeptAlteration;
use Octavum\Core\Piece\Role;

/** A change to the pattern that costs cloth or saves it: what it is, and the length it adds to the lay of some roles. */
final readonly class Alteration
{
    /**
     * @param Length     $length below nought where it shortens
     * @param list<Role> $roles  whose lays it lengthens
     */
    public function __construct(public string $name, public Length $length, public array $roles = KeptAlteration::ROLES)
    {
    }

    public function concerns(Role $role): bool
    {
        return \in_array($role, $this->roles, true);
    }
}

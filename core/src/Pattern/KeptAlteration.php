<?php

declare(strict_types=1);

namespace Octavum\Core\Pattern;

use Octavum\Core\Measure\Length;
use Octavum\Core\Piece\Role;

/** What is altered on a pattern for one person, kept for the next time. Source: docs/rules.md. */
final readonly class KeptAlteration
{
    public const ROLES = [Role::Main, Role::Lining];

    /**
     * @param string     $person id
     * @param ?Length    $length by which it makes the lay longer, below nought where it shortens; null when it costs no cloth
     * @param bool       $drawn  on the paper already
     * @param list<Role> $roles  whose lays it lengthens
     */
    public function __construct(
        public string $person,
        public string $name,
        public ?Length $length = null,
        public bool $drawn = false,
        public array $roles = self::ROLES,
    ) {
    }
}

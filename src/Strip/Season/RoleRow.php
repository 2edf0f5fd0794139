<?php

declare(strict_types=1);

namespace Octavum\Strip\Season;

use Octavum\Core\Season\Answer\RoleAnswer;
use Octavum\Strip\Strip;

final readonly class RoleRow
{
    public function __construct(public RoleAnswer $role, public ?Strip $strip)
    {
    }
}

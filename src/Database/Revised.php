<?php

declare(strict_types=1);

namespace Octavum\Database;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;

/** Counts its changes, so that what was typed from an older state is noticed. */
trait Revised
{
    #[ORM\Version]
    #[ORM\Column(type: Types::INTEGER, options: ['default' => 1])]
    public int $revision = 1;
}

<?php

declare(strict_types=1);

namespace Octavum\Database;

use Doctrine\ORM\Mapping as ORM;

/** A stored thing's own id: a ULID, so that rows sort by when they were made. The constructor sets it. */
trait Identified
{
    #[ORM\Id]
    #[ORM\Column(length: 26)]
    public readonly string $id;
}

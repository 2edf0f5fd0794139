<?php

declare(strict_types=1);

namespace Octavum\Database;

use Doctrine\ORM\Mapping as ORM;

/** Taken out but kept, so that taking out can be undone. */
trait Removable
{
    #[ORM\Column(nullable: true)]
    public ?\DateTimeImmutable $removedAt = null;
}

<?php

declare(strict_types=1);

namespace Octavum\Database;

use Doctrine\ORM\Mapping as ORM;

/** What every RemovableRecord has. */
trait Removable
{
    #[ORM\Column(nullable: true)]
    public ?\DateTimeImmutable $removedAt = null;

    public function remove(\DateTimeImmutable $at): void
    {
        $this->removedAt = $at;
    }
}

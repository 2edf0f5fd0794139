<?php

declare(strict_types=1);

namespace Octavum\Store\Pattern;

use Doctrine\ORM\Mapping as ORM;
use Octavum\Database\Identified;
use Octavum\Database\Revised;
use Symfony\Component\Uid\Ulid;

/** The pieces of a version, apart from it since few pages want them. */
#[ORM\Entity]
#[ORM\Table(name: 'piece_set')]
class PieceSetRecord
{
    use Identified;
    use Revised;

    /** @var list<array<string, mixed>> as in the exchange format */
    #[ORM\Column]
    public array $pieces = [];

    public function __construct(
        #[ORM\OneToOne] #[ORM\JoinColumn(nullable: false, onDelete: 'CASCADE')] public readonly VersionRecord $version,
    ) {
        $this->id = (string) new Ulid();
    }
}

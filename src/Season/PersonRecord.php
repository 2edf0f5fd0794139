<?php

declare(strict_types=1);

namespace Octavum\Season;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;
use Octavum\Account\Account;
use Octavum\Database\Identified;
use Symfony\Component\Uid\Ulid;

#[ORM\Entity]
#[ORM\Table(name: 'person')]
#[ORM\Index(columns: ['account_id'])]
class PersonRecord
{
    use Identified;

    #[ORM\Column(length: 120)]
    public string $name = '';

    #[ORM\Column]
    public bool $child = false;

    #[ORM\Column(type: Types::TEXT)]
    public string $notes = '';

    public function __construct(
        #[ORM\ManyToOne]
        #[ORM\JoinColumn(nullable: false, onDelete: 'CASCADE')]
        public readonly Account $account,
    ) {
        $this->id = (string) new Ulid();
    }
}

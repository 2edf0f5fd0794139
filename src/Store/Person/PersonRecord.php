<?php

declare(strict_types=1);

namespace Octavum\Store\Person;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;
use Octavum\Account\Account;
use Octavum\Account\Owned;
use Octavum\Account\OwnedByAccount;
use Octavum\Database\Identified;
use Octavum\Database\Removable;
use Octavum\Database\RemovableRecord;
use Octavum\Database\Revised;
use Symfony\Component\Uid\Ulid;

/** Someone who is sewn for, as stored; People turns it into the core's Person. */
#[ORM\Entity]
#[ORM\Table(name: 'person')]
#[ORM\Index(columns: ['account_id'])]
class PersonRecord implements Owned, RemovableRecord
{
    use Identified;
    use OwnedByAccount;
    use Removable;
    use Revised;

    #[ORM\Column(length: 120)]
    public string $name = '';

    #[ORM\Column]
    public bool $child = false;

    #[ORM\Column(type: Types::TEXT)]
    public string $notes = '';

    /** @var list<array<string, mixed>> days with their figures, as in the exchange format */
    #[ORM\Column(options: ['default' => '[]'])]
    public array $measured = [];

    /** @var array<string, string> by feature, as in the exchange format */
    #[ORM\Column(options: ['default' => '[]'])]
    public array $likings = [];

    /** @var list<array<string, mixed>> that stand for every pattern of a kind, as in the exchange format */
    #[ORM\Column(options: ['default' => '[]'])]
    public array $facts = [];

    public function __construct(#[ORM\ManyToOne] #[ORM\JoinColumn(nullable: false, onDelete: 'CASCADE')] public readonly Account $account)
    {
        $this->id = (string) new Ulid();
    }
}

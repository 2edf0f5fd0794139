<?php

declare(strict_types=1);

namespace Octavum\Store\Overrule;

use Doctrine\ORM\Mapping as ORM;
use Octavum\Account\Account;
use Octavum\Database\Identified;
use Octavum\Store\Cloth\ClothRecord;
use Octavum\Store\Pattern\VersionRecord;
use Symfony\Component\Uid\Ulid;

/** That a cloth will do for a version, as its owner says. */
#[ORM\Entity]
#[ORM\Table(name: 'overrule')]
#[ORM\UniqueConstraint(columns: ['cloth_id', 'version_id'])]
class OverruleRecord
{
    use Identified;

    #[ORM\Column(length: 300)]
    public string $reason = '';

    #[ORM\Column(name: 'said_on')]
    public \DateTimeImmutable $on;

    public function __construct(
        #[ORM\ManyToOne] #[ORM\JoinColumn(nullable: false, onDelete: 'CASCADE')] public readonly Account $account,
        #[ORM\ManyToOne] #[ORM\JoinColumn(nullable: false, onDelete: 'CASCADE')] public readonly ClothRecord $cloth,
        #[ORM\ManyToOne] #[ORM\JoinColumn(nullable: false, onDelete: 'CASCADE')] public readonly VersionRecord $version,
        \DateTimeImmutable $on,
    ) {
        $this->id = (string) new Ulid();
        $this->on = $on;
    }
}

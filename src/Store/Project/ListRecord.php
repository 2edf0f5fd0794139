<?php

declare(strict_types=1);

namespace Octavum\Store\Project;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;
use Octavum\Account\Account;
use Octavum\Account\Owned;
use Octavum\Account\OwnedByAccount;
use Octavum\Core\Season\Lists\ListRule;
use Octavum\Database\Identified;
use Octavum\Database\Removable;
use Octavum\Database\RemovableRecord;
use Octavum\Database\Revised;
use Symfony\Component\Uid\Ulid;

/** A list as stored; its projects by their ids, so that one that is taken off the plan comes back to its lists. */
#[ORM\Entity]
#[ORM\Table(name: 'sewing_list')]
#[ORM\Index(columns: ['account_id'])]
class ListRecord implements Owned, RemovableRecord
{
    use Identified;
    use OwnedByAccount;
    use Removable;
    use Revised;

    #[ORM\Column(length: 120)]
    public string $name = '';

    #[ORM\Column(nullable: true)]
    public ?\DateTimeImmutable $starts = null;

    #[ORM\Column(nullable: true)]
    public ?\DateTimeImmutable $closes = null;

    #[ORM\Column(nullable: true)]
    public ?int $target = null;

    #[ORM\Column(nullable: true)]
    public ?ListRule $rule = null;

    #[ORM\Column(length: 200)]
    public string $subject = '';

    /** @var list<string> */
    #[ORM\Column]
    public array $projects = [];

    #[ORM\Column(type: Types::TEXT)]
    public string $notes = '';

    public function __construct(
        #[ORM\ManyToOne] #[ORM\JoinColumn(nullable: false, onDelete: 'CASCADE')] public readonly Account $account,
    ) {
        $this->id = (string) new Ulid();
    }
}

<?php

declare(strict_types=1);

namespace Octavum\Store\Notion;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;
use Octavum\Account\Account;
use Octavum\Account\Owned;
use Octavum\Account\OwnedByAccount;
use Octavum\Core\Notion\NotionKind;
use Octavum\Database\Identified;
use Octavum\Database\Removable;
use Octavum\Database\RemovableRecord;
use Octavum\Database\Revised;
use Symfony\Component\Uid\Ulid;

/** A notion as stored; Tins turns it into the core's Notion and back. Lengths are micrometres. */
#[ORM\Entity]
#[ORM\Table(name: 'notion')]
#[ORM\Index(columns: ['account_id', 'removed_at'])]
class NotionRecord implements Owned, RemovableRecord
{
    use Identified;
    use OwnedByAccount;
    use Removable;
    use Revised;

    #[ORM\Column]
    public NotionKind $kind = NotionKind::Other;

    #[ORM\Column(type: Types::BIGINT, nullable: true)]
    public ?int $measure = null;

    #[ORM\Column(name: 'number', nullable: true)]
    public ?int $count = null;

    #[ORM\Column(type: Types::BIGINT, nullable: true)]
    public ?int $length = null;

    #[ORM\Column(length: 120)]
    public string $name = '';

    #[ORM\Column(length: 120)]
    public string $place = '';

    #[ORM\Column(type: Types::TEXT)]
    public string $notes = '';

    /** About when it comes, of what is ordered. */
    #[ORM\Column(type: Types::DATE_IMMUTABLE, nullable: true)]
    public ?\DateTimeImmutable $expected = null;

    public function __construct(#[ORM\ManyToOne] #[ORM\JoinColumn(nullable: false, onDelete: 'CASCADE')] public readonly Account $account)
    {
        $this->id = (string) new Ulid();
    }
}

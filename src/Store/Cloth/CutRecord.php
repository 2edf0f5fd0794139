<?php

declare(strict_types=1);

namespace Octavum\Store\Cloth;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;
use Octavum\Account\Account;
use Octavum\Account\Owned;
use Octavum\Core\Cloth\CutState;
use Octavum\Database\Identified;
use Octavum\Database\Removable;
use Octavum\Database\RemovableRecord;
use Octavum\Database\Revised;
use Symfony\Component\Uid\Ulid;

/** A cut as stored, its ledger with it so that both change together or not at all. */
#[ORM\Entity]
#[ORM\Table(name: 'cut')]
class CutRecord implements Owned, RemovableRecord
{
    use Identified;
    use Removable;
    use Revised;

    public const PART_OF = 'cloth';

    #[ORM\Column(length: 60)]
    public string $label = '';

    #[ORM\Column]
    public CutState $state = CutState::Arrived;

    #[ORM\Column(nullable: true)]
    public ?\DateTimeImmutable $expected = null;

    /** @var list<array<string, mixed>> as in the exchange format, oldest first */
    #[ORM\Column]
    public array $ledger = [];

    /** @var list<array{from: float|int, below: float|int, length: float|int, width: float|int}> as in the exchange format */
    #[ORM\Column(options: ['default' => '[]'])]
    public array $bites = [];

    /** Its own, where it is not the cloth's; micrometres. */
    #[ORM\Column(type: Types::BIGINT, nullable: true)]
    public ?int $width = null;

    public function __construct(
        #[ORM\ManyToOne(inversedBy: 'cuts')] #[ORM\JoinColumn(nullable: false, onDelete: 'CASCADE')] public readonly ClothRecord $cloth,
    ) {
        $this->id = (string) new Ulid();
        $cloth->cuts->add($this);
    }

    public function isOpenTo(Account $account): bool
    {
        return $this->cloth->account->id === $account->id;
    }
}

<?php

declare(strict_types=1);

namespace Octavum\Store\Pattern;

use Doctrine\Common\Collections\ArrayCollection;
use Doctrine\Common\Collections\Collection;
use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;
use Octavum\Account\Account;
use Octavum\Account\Owned;
use Octavum\Account\OwnedByAccount;
use Octavum\Core\Cloth\Structure;
use Octavum\Core\Pattern\Ownership;
use Octavum\Core\Pattern\PatternFormat;
use Octavum\Core\Piece\Garment;
use Octavum\Database\Identified;
use Octavum\Database\Removable;
use Octavum\Database\RemovableRecord;
use Octavum\Database\Revised;
use Symfony\Component\Uid\Ulid;

/** A pattern as stored; PatternMapper turns it into the core's Pattern and back. */
#[ORM\Entity(repositoryClass: PatternRepository::class)]
#[ORM\Table(name: 'pattern')]
#[ORM\Index(columns: ['account_id', 'removed_at'])]
class PatternRecord implements Owned, RemovableRecord
{
    use Identified;
    use OwnedByAccount;
    use Removable;
    use Revised;

    /** Counts changes to its versions, so that they too make a new revision. */
    #[ORM\Column]
    public int $changes = 0;

    #[ORM\Column(length: 120)]
    public string $title = '';

    #[ORM\Column(length: 120)]
    public string $maker = '';

    #[ORM\Column(length: 60)]
    public string $number = '';

    /** @var list<string> */
    #[ORM\Column]
    public array $otherNumbers = [];

    #[ORM\Column]
    public Garment $garment = Garment::Other;

    #[ORM\Column]
    public PatternFormat $format = PatternFormat::Tissue;

    #[ORM\Column]
    public Ownership $ownership = Ownership::Owned;

    #[ORM\Column(nullable: true)]
    public ?Structure $onlyFor = null;

    #[ORM\Column(nullable: true)]
    public ?int $minutes = null;

    #[ORM\Column(length: 120)]
    public string $place = '';

    #[ORM\Column(type: Types::TEXT)]
    public string $notes = '';

    /** @var list<array<string, mixed>> as in the exchange format */
    #[ORM\Column]
    public array $editions = [];

    /** @var array<string, mixed> as in the exchange format */
    #[ORM\Column(options: ['default' => '[]'])]
    public array $chart = [];

    /** @var array<string, mixed> as in the exchange format: cloth, techniques, alterations */
    #[ORM\Column(options: ['default' => '[]'])]
    public array $details = [];

    /** @var list<string> ids of its files */
    #[ORM\Column(options: ['default' => '[]'])]
    public array $files = [];

    /** @var Collection<int, VersionRecord> */
    #[ORM\OneToMany(targetEntity: VersionRecord::class, mappedBy: 'pattern', cascade: ['persist', 'remove'], orphanRemoval: true)]
    #[ORM\OrderBy(['name' => 'ASC'])]
    public Collection $versions;

    public function __construct(#[ORM\ManyToOne] #[ORM\JoinColumn(nullable: false, onDelete: 'CASCADE')] public readonly Account $account)
    {
        $this->id = (string) new Ulid();
        $this->versions = new ArrayCollection();
    }
}

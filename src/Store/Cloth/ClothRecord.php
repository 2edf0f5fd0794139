<?php

declare(strict_types=1);

namespace Octavum\Store\Cloth;

use Doctrine\Common\Collections\ArrayCollection;
use Doctrine\Common\Collections\Collection;
use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;
use Octavum\Account\Account;
use Octavum\Account\Owned;
use Octavum\Account\OwnedByAccount;
use Octavum\Core\Cloth\CareLabel;
use Octavum\Core\Cloth\ClothType;
use Octavum\Core\Cloth\Direction;
use Octavum\Core\Cloth\FibreFamily;
use Octavum\Core\Cloth\Knowledge;
use Octavum\Core\Cloth\PrintKind;
use Octavum\Core\Cloth\Structure;
use Octavum\Core\Cloth\WeightClass;
use Octavum\Database\Identified;
use Octavum\Database\Removable;
use Octavum\Database\RemovableRecord;
use Octavum\Database\Revised;
use Symfony\Component\Uid\Ulid;

/** A cloth as stored; ClothMapper turns it into the core's Cloth and back. Lengths are micrometres. */
#[ORM\Entity(repositoryClass: ClothRepository::class)]
#[ORM\Table(name: 'cloth')]
#[ORM\Index(columns: ['account_id', 'removed_at'])]
class ClothRecord implements Owned, RemovableRecord
{
    use Identified;
    use OwnedByAccount;
    use Removable;
    use Revised;

    #[ORM\Column(length: 120)]
    public string $name = '';

    #[ORM\Column(type: Types::BIGINT, nullable: true)]
    public ?int $width = null;

    #[ORM\Column(type: Types::BIGINT, nullable: true)]
    public ?int $selvage = null;

    /** Null when nobody has stated it. */
    #[ORM\Column(nullable: true)]
    public ?Structure $structure = null;

    #[ORM\Column(nullable: true)]
    public ?ClothType $type = null;

    /** @var array<string, int> fibre → per cent */
    #[ORM\Column]
    public array $fibres = [];

    #[ORM\Column]
    public Knowledge $fibresKnown = Knowledge::Unknown;

    #[ORM\Column(nullable: true)]
    public ?int $grams = null;

    #[ORM\Column(nullable: true)]
    public ?WeightClass $weight = null;

    #[ORM\Column]
    public PrintKind $print = PrintKind::Plain;

    /** Null when nobody has stated it. */
    #[ORM\Column(nullable: true)]
    public ?Direction $direction = null;

    #[ORM\Column(type: Types::BIGINT, nullable: true)]
    public ?int $repeatLength = null;

    /** Hundredths of a per cent, from a test square. */
    #[ORM\Column(nullable: true)]
    public ?int $shrinkAlong = null;

    #[ORM\Column(nullable: true)]
    public ?int $shrinkAcross = null;

    /** @var list<string> */
    #[ORM\Column]
    public array $colours = [];

    #[ORM\Column(length: 120)]
    public string $place = '';

    #[ORM\Column(nullable: true)]
    public ?int $pricePerMetre = null;

    #[ORM\Column(nullable: true)]
    public ?bool $moreToBeHad = null;

    #[ORM\Column(nullable: true)]
    public ?bool $precious = null;

    #[ORM\Column]
    public bool $setAside = false;

    /** @var array<string, mixed> as in the exchange format: stretch, drape, opacity, takesCrease, clearSide */
    #[ORM\Column(options: ['default' => '[]'])]
    public array $feel = [];

    /** The id of its file. */
    #[ORM\Column(length: 26, nullable: true)]
    public ?string $photo = null;

    #[ORM\Column(name: 'kept_with', length: 60, options: ['default' => ''])]
    public string $set = '';

    #[ORM\Column(nullable: true)]
    public ?CareLabel $care = null;

    #[ORM\Column(nullable: true)]
    public ?FibreFamily $family = null;

    /** @var list<array<string, mixed>> as in the exchange format */
    #[ORM\Column(options: ['default' => '[]'])]
    public array $tests = [];

    /** Micrometres. */
    #[ORM\Column(type: Types::BIGINT, nullable: true)]
    public ?int $motif = null;

    /** @var array<string, mixed> where it came from, as in the exchange format */
    #[ORM\Column(options: ['default' => '[]'])]
    public array $origin = [];

    #[ORM\Column(type: Types::TEXT)]
    public string $notes = '';

    /** @var Collection<int, CutRecord> */
    #[ORM\OneToMany(targetEntity: CutRecord::class, mappedBy: 'cloth', cascade: ['persist', 'remove'], orphanRemoval: true)]
    #[ORM\OrderBy(['id' => 'ASC'])]
    public Collection $cuts;

    public function __construct(#[ORM\ManyToOne] #[ORM\JoinColumn(nullable: false, onDelete: 'CASCADE')] public readonly Account $account)
    {
        $this->id = (string) new Ulid();
        $this->cuts = new ArrayCollection();
    }
}

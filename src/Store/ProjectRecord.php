<?php

declare(strict_types=1);

namespace Octavum\Store;

use Doctrine\Common\Collections\ArrayCollection;
use Doctrine\Common\Collections\Collection;
use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;
use Octavum\Core\Measure\Matching;
use Octavum\Core\Season\Certainty;
use Octavum\Core\Season\ProjectState;
use Octavum\Database\Identified;
use Octavum\Database\Removable;
use Octavum\Database\Revised;
use Symfony\Component\Uid\Ulid;

/** A project as stored; ProjectMapper turns it into the core's Project and back. */
#[ORM\Entity(repositoryClass: ProjectRepository::class)]
#[ORM\Table(name: 'project')]
class ProjectRecord
{
    use Identified;
    use Removable;
    use Revised;

    #[ORM\Column(length: 120)]
    public string $name = '';

    #[ORM\Column(name: 'place_in_rank')]
    public int $rank = 0;

    #[ORM\ManyToOne]
    #[ORM\JoinColumn(onDelete: 'SET NULL')]
    public ?PersonRecord $person = null;

    #[ORM\ManyToOne]
    #[ORM\JoinColumn(onDelete: 'SET NULL')]
    public ?VersionRecord $version = null;

    #[ORM\Column(length: 20, nullable: true)]
    public ?string $size = null;

    #[ORM\Column(length: 20, nullable: true)]
    public ?string $gradedTo = null;

    #[ORM\Column]
    public Certainty $certainty = Certainty::Likely;

    #[ORM\Column]
    public ProjectState $state = ProjectState::Planned;

    #[ORM\Column(nullable: true)]
    public ?\DateTimeImmutable $deadline = null;

    #[ORM\Column(nullable: true)]
    public ?int $minutes = null;

    /** @var list<array<string, mixed>> as in the exchange format */
    #[ORM\Column]
    public array $alterations = [];

    #[ORM\Column(type: Types::TEXT)]
    public string $notes = '';

    #[ORM\Column(options: ['default' => false])]
    public bool $notionsTaken = false;

    #[ORM\Column(nullable: true)]
    public ?Matching $matching = null;

    /** @var list<string> kept alterations that do not count, by name */
    #[ORM\Column(options: ['default' => '[]'])]
    public array $leftOut = [];

    /** @var list<string> roles left out on purpose */
    #[ORM\Column(options: ['default' => '[]'])]
    public array $declined = [];

    /** @var Collection<int, ClaimRecord> */
    #[ORM\OneToMany(targetEntity: ClaimRecord::class, mappedBy: 'project', cascade: ['persist', 'remove'], orphanRemoval: true)]
    #[ORM\OrderBy(['id' => 'ASC'])]
    public Collection $claims;

    public function __construct(#[ORM\ManyToOne] #[ORM\JoinColumn(nullable: false, onDelete: 'CASCADE')] public SeasonRecord $season)
    {
        $this->id = (string) new Ulid();
        $this->claims = new ArrayCollection();
    }
}

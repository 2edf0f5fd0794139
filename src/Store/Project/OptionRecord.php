<?php

declare(strict_types=1);

namespace Octavum\Store\Project;

use Doctrine\Common\Collections\ArrayCollection;
use Doctrine\Common\Collections\Collection;
use Doctrine\ORM\Mapping as ORM;
use Octavum\Core\Measure\Matching;
use Octavum\Database\Identified;
use Octavum\Database\Removable;
use Octavum\Database\RemovableRecord;
use Octavum\Database\Revised;
use Octavum\Store\Pattern\VersionRecord;
use Symfony\Component\Uid\Ulid;

/** One way to make a project, and the cloth it takes; the project points to the one that is current. */
#[ORM\Entity]
#[ORM\Table(name: 'project_option')]
class OptionRecord implements RemovableRecord
{
    use Identified;
    use Removable;
    use Revised;

    #[ORM\ManyToOne]
    #[ORM\JoinColumn(onDelete: 'SET NULL')]
    public ?VersionRecord $version = null;

    #[ORM\Column(length: 20, nullable: true)]
    public ?string $size = null;

    #[ORM\Column(length: 20, nullable: true)]
    public ?string $gradedTo = null;

    #[ORM\Column(nullable: true)]
    public ?int $minutes = null;

    /** @var list<array<string, mixed>> as in the exchange format */
    #[ORM\Column]
    public array $alterations = [];

    #[ORM\Column(nullable: true)]
    public ?Matching $matching = null;

    /** @var list<string> kept alterations that do not count, by name */
    #[ORM\Column(options: ['default' => '[]'])]
    public array $leftOut = [];

    /** @var list<string> roles left out on purpose */
    #[ORM\Column(options: ['default' => '[]'])]
    public array $declined = [];

    /** What it depends on. */
    #[ORM\Column(length: 200, options: ['default' => ''])]
    public string $hangsOn = '';

    /** @var list<array<string, string|int|float|list<string>>> from other patterns, as exchanged, with the ids of stored versions */
    #[ORM\Column(options: ['default' => '[]'])]
    public array $parts = [];

    /** Let go. */
    #[ORM\Column]
    public bool $past = false;

    /** Counts changes to what it claims, so that they too make a new revision. */
    #[ORM\Column(options: ['default' => 0])]
    public int $changes = 0;

    /** @var Collection<int, ClaimRecord> */
    #[ORM\OneToMany(targetEntity: ClaimRecord::class, mappedBy: 'option', cascade: ['persist', 'remove'], orphanRemoval: true)]
    #[ORM\OrderBy(['id' => 'ASC'])]
    public Collection $claims;

    public function __construct(
        #[ORM\ManyToOne(inversedBy: 'options')] #[ORM\JoinColumn(nullable: false, onDelete: 'CASCADE')]
        public readonly ProjectRecord $project,
    ) {
        $this->id = (string) new Ulid();
        $this->claims = new ArrayCollection();
        $project->options->add($this);
    }
}

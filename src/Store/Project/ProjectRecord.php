<?php

declare(strict_types=1);

namespace Octavum\Store\Project;

use Doctrine\Common\Collections\ArrayCollection;
use Doctrine\Common\Collections\Collection;
use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;
use Octavum\Account\Account;
use Octavum\Account\Owned;
use Octavum\Core\Project\Certainty;
use Octavum\Core\Project\Log\ProjectState;
use Octavum\Core\Project\Purpose;
use Octavum\Database\Identified;
use Octavum\Database\Removable;
use Octavum\Database\RemovableRecord;
use Octavum\Database\Revised;
use Octavum\Store\Person\PersonRecord;
use Symfony\Component\Uid\Ulid;

/** A project as stored; ProjectMapper turns it into the core's Project and back. */
#[ORM\Entity(repositoryClass: ProjectRepository::class)]
#[ORM\Table(name: 'project')]
class ProjectRecord implements Owned, RemovableRecord
{
    use Identified;
    use Removable;
    use Revised;

    public const PART_OF = 'season';

    #[ORM\Column(length: 120)]
    public string $name = '';

    #[ORM\Column(name: 'place_in_rank')]
    public int $rank = 0;

    #[ORM\ManyToOne]
    #[ORM\JoinColumn(onDelete: 'SET NULL')]
    public ?PersonRecord $person = null;

    #[ORM\Column]
    public Certainty $certainty = Certainty::Likely;

    #[ORM\Column]
    public ProjectState $state = ProjectState::Planned;

    #[ORM\Column(nullable: true)]
    public ?\DateTimeImmutable $deadline = null;

    /** The deadline is a wish. */
    #[ORM\Column(options: ['default' => false])]
    public bool $soft = false;

    #[ORM\Column(nullable: true)]
    public ?\DateTimeImmutable $notBefore = null;

    /** Wanted between the finished garment and the body, micrometres; null when the size goes by the body. */
    #[ORM\Column(type: Types::BIGINT, nullable: true)]
    public ?int $ease = null;

    #[ORM\Column(type: Types::TEXT)]
    public string $notes = '';

    #[ORM\Column(options: ['default' => false])]
    public bool $notionsTaken = false;

    /** @var list<array<string, mixed>> which options were taken and why, as in the exchange format */
    #[ORM\Column(options: ['default' => '[]'])]
    public array $decisions = [];

    /** @var list<array<string, mixed>> kept with it, as in the exchange format */
    #[ORM\Column(options: ['default' => '[]'])]
    public array $pictures = [];

    /** @var array<string, mixed> what was sewn of it, as in the exchange format */
    #[ORM\Column(options: ['default' => '[]'])]
    public array $sewing = [];

    #[ORM\Column(nullable: true)]
    public ?Purpose $purpose = null;

    #[ORM\Column(length: 200, options: ['default' => ''])]
    public string $occasion = '';

    /** One is sewn first; null while nobody has said. */
    #[ORM\Column(nullable: true)]
    public ?bool $toile = null;

    /** Counts changes to its current option, so that they too make a new revision. */
    #[ORM\Column(options: ['default' => 0])]
    public int $changes = 0;

    /** How it is made, as far as is decided: one of its options. */
    #[ORM\ManyToOne]
    #[ORM\JoinColumn(onDelete: 'SET NULL')]
    public OptionRecord $current;

    /** @var Collection<int, OptionRecord> the current one among them */
    #[ORM\OneToMany(targetEntity: OptionRecord::class, mappedBy: 'project', cascade: ['persist', 'remove'])]
    #[ORM\OrderBy(['id' => 'ASC'])]
    public Collection $options;

    public function __construct(#[ORM\ManyToOne] #[ORM\JoinColumn(nullable: false, onDelete: 'CASCADE')] public SeasonRecord $season)
    {
        $this->id = (string) new Ulid();
        $this->options = new ArrayCollection();
        $this->current = new OptionRecord($this);
    }

    public function findOption(?string $id): ?OptionRecord
    {
        return $this->options->findFirst(static fn (int $i, OptionRecord $option): bool => $option->id === $id);
    }

    /** @return list<OptionRecord> but the current one, that were not taken out */
    public function others(): array
    {
        return array_values($this->options->filter(
            fn (OptionRecord $option): bool => null === $option->removedAt && $option !== $this->current,
        )->toArray());
    }

    public function isOpenTo(Account $account): bool
    {
        return $this->season->account->id === $account->id && null === $this->removedAt;
    }
}

<?php

declare(strict_types=1);

namespace Octavum\Store;

use Doctrine\Common\Collections\ArrayCollection;
use Doctrine\Common\Collections\Collection;
use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;
use Octavum\Core\Season\Certainty;
use Octavum\Core\Season\ProjectState;
use Octavum\Core\Season\Purpose;
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
    use Made;
    use Removable;
    use Revised;

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

    /** @var array<string, mixed> its page in the workbook, as in the exchange format */
    #[ORM\Column(options: ['default' => '[]'])]
    public array $sewing = [];

    #[ORM\Column(nullable: true)]
    public ?Purpose $purpose = null;

    #[ORM\Column(length: 200, options: ['default' => ''])]
    public string $occasion = '';

    /** One is sewn first; null while nobody has said. */
    #[ORM\Column(nullable: true)]
    public ?bool $toile = null;

    /** @var Collection<int, OptionRecord> the ways that do not lead */
    #[ORM\OneToMany(targetEntity: OptionRecord::class, mappedBy: 'project', cascade: ['persist', 'remove'])]
    #[ORM\OrderBy(['id' => 'ASC'])]
    public Collection $options;

    /** @var Collection<int, ClaimRecord> of all its ways */
    #[ORM\OneToMany(targetEntity: ClaimRecord::class, mappedBy: 'project', cascade: ['persist', 'remove'], orphanRemoval: true)]
    #[ORM\OrderBy(['id' => 'ASC'])]
    public Collection $claims;

    public function __construct(#[ORM\ManyToOne] #[ORM\JoinColumn(nullable: false, onDelete: 'CASCADE')] public SeasonRecord $season)
    {
        $this->id = (string) new Ulid();
        $this->claims = new ArrayCollection();
        $this->options = new ArrayCollection();
    }

    /** @return list<ClaimRecord> of its leading way, or of an option */
    public function claimsOf(?OptionRecord $option = null): array
    {
        return array_values($this->claims->filter(static fn (ClaimRecord $claim): bool => $claim->option === $option)->toArray());
    }

    public function optionOf(?string $id): ?OptionRecord
    {
        return $this->options->findFirst(static fn (int $i, OptionRecord $option): bool => $option->id === $id);
    }

    /** The option leads from now on, with its claims, and stands for what led before. */
    public function take(OptionRecord $option): void
    {
        [$own, $its] = [$this->claimsOf(), $this->claimsOf($option)];
        foreach ($own as $claim) {
            $claim->option = $option;
        }
        foreach ($its as $claim) {
            $claim->option = null;
        }
        $this->changeWith($option);
    }

    /** @return list<OptionRecord> that were not taken out */
    public function optionsHere(): array
    {
        return array_values($this->options->filter(static fn (OptionRecord $option): bool => null === $option->removedAt)->toArray());
    }
}

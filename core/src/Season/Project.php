<?php

declare(strict_types=1);

namespace Octavum\Core\Season;

use Octavum\Core\Body\Person;
use Octavum\Core\Laid\Asked;
use Octavum\Core\Measure\Assumptions;
use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\Matching;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Need\Alteration;
use Octavum\Core\Need\LaidOut;
use Octavum\Core\Need\Wanted;
use Octavum\Core\Pattern\KeptAlteration;
use Octavum\Core\Pattern\Pattern;
use Octavum\Core\Pattern\Version;
use Octavum\Core\Piece\Garment;
use Octavum\Core\Piece\Role;

/** A garment planned for a season: as its leading option makes it, and what else it might be. */
final readonly class Project
{
    /**
     * @param int                 $rank         1 comes first
     * @param ?string             $gradedTo     the largest size used, when sizes are graded between
     * @param ?int                $minutes      the sewist's own figure; null for the version's or the pattern's
     * @param list<Alteration>    $alterations
     * @param list<Claim>         $claims
     * @param bool                $notionsTaken out of the tins already, so that none are given out to it
     * @param ?Matching           $matching     of a print; null for what the settings say
     * @param list<string>        $leftOut      alterations kept for this pattern and person that do not count here, by name
     * @param list<Role>          $declined     roles that are left out on purpose
     * @param list<Option>        $options      the others than the leading one
     * @param string              $when         what the leading option hangs on; empty when it hangs on nothing
     * @param string              $leads        the leading option's id
     * @param list<Decision>      $decisions    the earliest first
     * @param bool                $soft         its deadline is a wish
     * @param ?\DateTimeImmutable $notBefore    it cannot be begun before that day
     * @param list<Copy>          $copies       sewn with it: the same for others
     */
    public function __construct(
        public string $id,
        public string $name,
        public Season $season,
        public int $rank,
        public ?Person $person = null,
        public ?Pattern $pattern = null,
        public ?Version $version = null,
        public ?string $size = null,
        public ?string $gradedTo = null,
        public Certainty $certainty = Certainty::Likely,
        public ProjectState $state = ProjectState::Planned,
        public ?\DateTimeImmutable $deadline = null,
        public ?int $minutes = null,
        public array $alterations = [],
        public array $claims = [],
        public string $notes = '',
        public bool $notionsTaken = false,
        public ?Matching $matching = null,
        public array $leftOut = [],
        public array $declined = [],
        public array $options = [],
        public string $when = '',
        public string $leads = '',
        public array $decisions = [],
        public bool $soft = false,
        public ?\DateTimeImmutable $notBefore = null,
        public array $copies = [],
    ) {
    }

    /** What leads, as an option among the others. */
    public function lead(): Option
    {
        return new Option(
            $this->leads,
            $this->pattern,
            $this->version,
            $this->size,
            $this->gradedTo,
            $this->minutes,
            $this->alterations,
            $this->claims,
            $this->matching,
            $this->leftOut,
            $this->declined,
            $this->when,
            copies: $this->copies,
        );
    }

    /** The same project made another way; the others stay as they are. */
    public function made(Option $lead): self
    {
        return $this->with($lead, $this->options);
    }

    /** With one option more, or in place of the one it had by that id. */
    public function considering(Option $option): self
    {
        $others = array_filter($this->options, static fn (Option $one): bool => $one->id !== $option->id);

        return $this->with($this->lead(), [...array_values($others), $option]);
    }

    /** @param list<Option> $options */
    private function with(Option $lead, array $options): self
    {
        return new self(
            $this->id,
            $this->name,
            $this->season,
            $this->rank,
            $this->person,
            $lead->pattern,
            $lead->version,
            $lead->size,
            $lead->gradedTo,
            $this->certainty,
            $this->state,
            $this->deadline,
            $lead->minutes,
            $lead->alterations,
            $lead->claims,
            $this->notes,
            $this->notionsTaken,
            $lead->matching,
            $lead->leftOut,
            $lead->declined,
            $options,
            $lead->when,
            $lead->id,
            $this->decisions,
            $this->soft,
            $this->notBefore,
            $lead->copies,
        );
    }

    /** @return non-empty-list<self> itself, and each copy as a project of its own, called by whom it is for */
    public function lines(): array
    {
        $lines = [$this];
        foreach ($this->copies as $i => $copy) {
            $whose = $copy->person->name ?? (string) ($i + 2);
            $lines[] = new self(
                $this->id,
                $this->name.', '.$whose,
                $this->season,
                $this->rank,
                $copy->person,
                $this->pattern,
                $this->version,
                $copy->size,
                $copy->gradedTo,
                $this->certainty,
                $this->state,
                alterations: $this->alterations,
                claims: $copy->claims,
                matching: $this->matching,
                leftOut: $this->leftOut,
                declined: $this->declined,
            );
        }

        return $lines;
    }

    /** @return list<Option> that might still be taken */
    public function openOptions(): array
    {
        return array_values(array_filter($this->options, static fn (Option $option): bool => !$option->past));
    }

    /** @return list<string> the events on which it hangs which way it is made */
    public function hangsOn(): array
    {
        $events = [$this->when, ...array_map(static fn (Option $option): string => $option->when, $this->openOptions())];

        return array_values(array_unique(array_filter($events, static fn (string $event): bool => '' !== $event)));
    }

    /** @return list<Option> that were let go */
    public function pastOptions(): array
    {
        return array_values(array_filter($this->options, static fn (Option $option): bool => $option->past));
    }

    public function garment(): Garment
    {
        return $this->pattern->garment ?? Garment::Other;
    }

    /** With the lays of its former claims, by role, where it brings none. */
    public function keepingLays(self $former): self
    {
        $lays = [];
        foreach ($former->claims as $claim) {
            $lays[$claim->role->value] ??= $claim->lay;
        }
        $claims = array_map(
            static fn (Claim $claim): Claim => new Claim(
                $claim->id,
                $claim->role,
                $claim->cloth,
                $claim->cut,
                $claim->wish,
                $claim->stated,
                $claim->cutOut,
                $claim->lay ?? ($lays[$claim->role->value] ?? null),
            ),
            $this->claims,
        );

        return $this->made($this->lead()->claiming($claims));
    }

    public function expectedMinutes(): ?int
    {
        return $this->lead()->expectedMinutes();
    }

    /** For which cloth and pieces are worked out; empty when none is chosen. */
    public function largestSize(): string
    {
        return null === $this->size ? '' : $this->version?->table->largest($this->size, $this->gradedTo) ?? $this->size;
    }

    /** What it asks of a lay. */
    public function asked(Claim $claim, Assumptions $assumptions): Asked
    {
        $matched = Role::Main === $claim->role && Matching::Never !== ($this->matching ?? $assumptions->matching);

        return new Asked(
            $this->id,
            $claim->role,
            $this->largestSize(),
            $this->version,
            $claim->cut,
            null !== $claim->wish,
            true === $claim->wish?->oneWay,
            $matched ? $claim->cloth->repeat ?? $claim->wish?->repeat : null,
        );
    }

    /** Why the lay of a claim says nothing of it any more; null while it holds, and where there is none. */
    public function layStale(Claim $claim, Assumptions $assumptions): ?Sentence
    {
        return $claim->lay?->stale($this->asked($claim, $assumptions), $assumptions);
    }

    public function wanted(Claim $claim, ?LaidOut $laidOut = null): Wanted
    {
        return new Wanted(
            $this->version,
            $this->garment(),
            $claim->role,
            $this->size,
            $this->gradedTo,
            array_values(
                array_filter($this->allAlterations(), static fn (Alteration $alteration): bool => $alteration->concerns($claim->role)),
            ),
            $claim->stated,
            $laidOut,
            $this->matching,
            true === $this->person?->child,
        );
    }

    /** @return list<Alteration> its own, and those kept for its pattern and person that are not left out */
    public function allAlterations(): array
    {
        return [
            ...$this->alterations,
            ...array_map(
                static fn (KeptAlteration $kept): Alteration => new Alteration($kept->name, $kept->length ?? Length::zero(), $kept->roles),
                $this->kept(),
            ),
        ];
    }

    /** @return list<KeptAlteration> that count in it: those that cost or save cloth, and are not among its own or left out */
    public function kept(): array
    {
        $own = [...$this->leftOut, ...array_map(static fn (Alteration $alteration): string => $alteration->name, $this->alterations)];

        return array_values(array_filter($this->keepable(), static fn (KeptAlteration $kept): bool => !\in_array($kept->name, $own, true)));
    }

    /** @return list<KeptAlteration> of its pattern and person that cost or save cloth */
    public function keepable(): array
    {
        $all = null === $this->person ? [] : $this->pattern?->alterationsFor($this->person->id) ?? [];

        return array_values(array_filter($all, static fn (KeptAlteration $kept): bool => null !== $kept->length));
    }
}

<?php

declare(strict_types=1);

namespace Octavum\Core\Season;

use Octavum\Core\Body\Fact;
use Octavum\Core\Body\Person;
use Octavum\Core\Laid\Asked;
use Octavum\Core\Laid\SavedLay;
use Octavum\Core\Measure\Assumptions;
use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\Matching;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Need\Alteration;
use Octavum\Core\Need\LaidOut;
use Octavum\Core\Need\Wanted;
use Octavum\Core\Pattern\KeptAlteration;
use Octavum\Core\Pattern\Part;
use Octavum\Core\Pattern\Pattern;
use Octavum\Core\Pattern\PutTogether;
use Octavum\Core\Pattern\Version;
use Octavum\Core\Piece\Garment;
use Octavum\Core\Piece\Piece;
use Octavum\Core\Piece\Role;
use Octavum\Core\Season\Sewing\Sewing;

/**
 * A garment planned for a season: as its leading option makes it, and what else it might be.
 * Longer than other files: what leads has its fields here, where everybody reads them, and is given back as an option.
 */
final readonly class Project
{
    /** What is done to a garment that is there. */
    private const MENDING = '/\b(mend|repair|patch|darn|alter|rework|re-?hem|take (in|up)|let (out|down)'
        .'|shorten|lengthen|replace|unpick|refashion)(s|ed|ing)?\b/i';

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
     * @param list<Part>          $parts        that come from other patterns
     * @param list<Picture>       $pictures
     * @param ?Length             $ease         wanted between garment and body; null when the size goes by the body
     * @param string              $occasion     what it is for: "the choir tour"
     * @param ?bool               $toile        one is sewn first; null while nobody has said
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
        public array $parts = [],
        public ?Length $ease = null,
        public array $pictures = [],
        public Sewing $sewing = new Sewing(),
        public ?Purpose $purpose = null,
        public string $occasion = '',
        public ?bool $toile = null,
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
            parts: $this->parts,
        );
    }

    /** The same project made another way; the others stay as they are. */
    public function made(Option $lead): self
    {
        return $this->with($lead, $this->options);
    }

    /** @param array<string, SavedLay> $lays by id, in the place of those its claims have */
    public function relaid(array $lays): self
    {
        return $this->with(
            $this->lead()->relaid($lays),
            array_map(static fn (Option $option): Option => $option->relaid($lays), $this->options),
        );
    }

    /** With another page in the workbook. */
    public function sewn(Sewing $sewing): self
    {
        return $this->with($this->lead(), $this->options, $sewing);
    }

    /** @return non-empty-list<self> itself, and as each option that might still be taken would make it */
    public function ways(): array
    {
        return [$this, ...array_map($this->made(...), $this->openOptions())];
    }

    /** With one option more, or in place of the one it had by that id. */
    public function considering(Option $option): self
    {
        $others = array_filter($this->options, static fn (Option $one): bool => $one->id !== $option->id);

        return $this->with($this->lead(), [...array_values($others), $option]);
    }

    /** @param list<Option> $options */
    private function with(Option $lead, array $options, ?Sewing $sewing = null): self
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
            $lead->parts,
            $this->ease,
            $this->pictures,
            $sewing ?? $this->sewing,
            $this->purpose,
            $this->occasion,
            $this->toile,
        );
    }

    /** @return non-empty-list<self> itself, and each copy as a project of its own, called by whom it is for */
    public function lines(): array
    {
        $copies = array_map(fn (Copy $copy, int $i): self => $copy->line($this, $i + 2), $this->copies, array_keys($this->copies));

        return [$this, ...$copies];
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

    /** With the lays of its former claims, by what they are for, where it brings none. */
    public function keepingLays(self $former): self
    {
        return $this->made($this->lead()->keepingLays($former->lead()));
    }

    public function expectedMinutes(): ?int
    {
        return $this->lead()->expectedMinutes();
    }

    /** By how many days it would miss its deadline; nought when it meets it, or has none. */
    public function daysLate(\DateTimeImmutable $done): int
    {
        return null === $this->deadline || $done <= $this->deadline ? 0 : max(1, $this->deadline->diff($done)->days);
    }

    /** For which cloth and pieces are worked out; empty when none is chosen. */
    public function largestSize(): string
    {
        return null === $this->size ? '' : $this->version?->table->largest($this->size, $this->gradedTo) ?? $this->size;
    }

    /** What it asks of a lay. */
    public function asked(Claim $claim, Assumptions $assumptions): Asked
    {
        $matched = $claim->role->isMatched($this->matching ?? $assumptions->matching);

        return new Asked(
            $this->id,
            $claim->role,
            $this->largestSize(),
            $this->cutting($claim)?->version,
            $claim->cut,
            null !== $claim->wish,
            true === $claim->wish?->oneWay,
            $matched ? $claim->cloth->repeat ?? $claim->wish?->repeat : null,
            $claim->pieces,
        );
    }

    /** Why the lay of a claim says nothing of it any more; null while it holds, and where there is none. */
    public function layStale(Claim $claim, Assumptions $assumptions): ?Sentence
    {
        return $claim->lay?->stale($this->asked($claim, $assumptions), $assumptions);
    }

    public function wanted(Claim $claim, ?LaidOut $laidOut = null): Wanted
    {
        $cutting = $this->cutting($claim);

        return new Wanted(
            $cutting?->version,
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
            $cutting?->pieced,
        );
    }

    /** Whether a cloth is wanted for it: mending and altering want none unless one is planned. */
    public function wantsCloth(): bool
    {
        $isMending = null === $this->pattern && 1 === preg_match(self::MENDING, $this->name);

        return [] !== $this->claims || !($isMending || \in_array(Role::Main, $this->declined, true));
    }

    /** @return array<string, array{Piece, ?Part}> that are cut for it in its size, by name, with the part they come with */
    public function pieces(): array
    {
        return null === $this->version ? [] : (new PutTogether($this->version, $this->largestSize(), $this->parts))->pieces;
    }

    /** @return ?Cutting what comes from the cloth of a claim; null without a pattern */
    public function cutting(Claim $claim): ?Cutting
    {
        return null === $this->version ? null : Cutting::of($this->version, $this->largestSize(), $this->parts, $claim, $this->claims);
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

    /** @return list<Fact> that stand for whoever it is for, and are neither counted for the pattern nor left out */
    public function factsOffered(): array
    {
        $there = [...$this->alterations, ...$this->pattern?->alterationsFor($this->person->id ?? '') ?? []];
        $known = [...$this->leftOut, ...array_column($there, 'name')];

        return null === $this->pattern ? [] : $this->person?->factsFor($this->garment()->value, $known) ?? [];
    }

    /** @return list<KeptAlteration> of its pattern and person that cost or save cloth */
    public function keepable(): array
    {
        $all = null === $this->person ? [] : $this->pattern?->alterationsFor($this->person->id) ?? [];

        return array_values(array_filter($all, static fn (KeptAlteration $kept): bool => null !== $kept->length));
    }
}

<?php

declare(strict_types=1);

namespace Octavum\Core\Project;

use Octavum\Core\Body\Fact;
use Octavum\Core\Body\Person;
use Octavum\Core\Laid\LayRequirement;
use Octavum\Core\Laid\SavedLay;
use Octavum\Core\Measure\Assumptions;
use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Need\Alteration;
use Octavum\Core\Need\LaidOut;
use Octavum\Core\Need\NeedRequest;
use Octavum\Core\Pattern\KeptAlteration;
use Octavum\Core\Pattern\Part;
use Octavum\Core\Pattern\Pattern;
use Octavum\Core\Piece\Garment;
use Octavum\Core\Piece\Piece;
use Octavum\Core\Piece\Role;
use Octavum\Core\Project\Log\Sewing;

/** A garment planned for a season: for whom, when and how surely, and the options of how to make it, one of which is current. */
final readonly class Project
{
    /** What is done to a garment that is there. */
    private const MENDING = '/\b(mend|repair|patch|darn|alter|rework|re-?hem|take (in|up)|let (out|down)'
        .'|shorten|lengthen|replace|unpick|refashion)(s|ed|ing)?\b/i';

    /**
     * @param int          $rank    1 comes first
     * @param Option       $current how it is made, as far as is decided
     * @param list<Option> $others  that it might be made by as well
     */
    public function __construct(
        public string $id,
        public string $name,
        public Season $season,
        public int $rank,
        public Option $current = new Option(''),
        public array $others = [],
        public ProjectBrief $brief = new ProjectBrief(),
        public ProjectLog $log = new ProjectLog(),
    ) {
    }

    /** The same project made another way; the others stay as they are. */
    public function made(Option $current): self
    {
        return $this->with($current, $this->others);
    }

    /** @param array<string, SavedLay> $lays by id, in the place of those its claims have */
    public function relaid(array $lays): self
    {
        return $this->with(
            $this->current->relaid($lays),
            array_map(static fn (Option $option): Option => $option->relaid($lays), $this->others),
        );
    }

    /** With another record of its sewing. */
    public function sewn(Sewing $sewing): self
    {
        return $this->with($this->current, $this->others, $sewing);
    }

    /** @return non-empty-list<self> itself, and as each option that might still be taken would make it */
    public function ways(): array
    {
        return [$this, ...array_map($this->made(...), $this->openOptions())];
    }

    /** With one option more, or in place of the one it had by that id. */
    public function considering(Option $option): self
    {
        $others = array_filter($this->others, static fn (Option $one): bool => $one->id !== $option->id);

        return $this->with($this->current, [...array_values($others), $option]);
    }

    /** @param list<Option> $others */
    private function with(Option $current, array $others, ?Sewing $sewing = null): self
    {
        $log = null === $sewing ? $this->log : $this->log->sewn($sewing);

        return new self(
            $this->id,
            $this->name,
            $this->season,
            rank: $this->rank,
            current: $current,
            others: $others,
            brief: $this->brief,
            log: $log,
        );
    }

    /** @return non-empty-list<self> itself, and each copy as a project of its own, called by whom it is for */
    public function lines(): array
    {
        $all = $this->current->copies;
        $copies = array_map(fn (Copy $copy, int $i): self => $copy->line($this, $i + 2), $all, array_keys($all));

        return [$this, ...$copies];
    }

    /** @return list<Option> that might still be taken */
    public function openOptions(): array
    {
        return array_values(array_filter($this->others, static fn (Option $option): bool => !$option->past));
    }

    /** @return list<string> the events on which it hangs which way it is made */
    public function hangsOn(): array
    {
        $events = [$this->current->when, ...array_map(static fn (Option $option): string => $option->when, $this->openOptions())];

        return array_values(array_unique(array_filter($events, static fn (string $event): bool => '' !== $event)));
    }

    /** @return list<Option> that were let go */
    public function pastOptions(): array
    {
        return array_values(array_filter($this->others, static fn (Option $option): bool => $option->past));
    }

    public function garment(): Garment
    {
        return $this->current->pattern->makes->garment ?? Garment::Other;
    }

    /** With the lays of its former claims, by what they are for, where it brings none. */
    public function keepingLays(self $former): self
    {
        return $this->made($this->current->keepingLays($former->current));
    }

    public function expectedMinutes(): ?int
    {
        return $this->current->expectedMinutes();
    }

    /** By how many days it would miss its deadline; nought when it meets it, or has none. */
    public function daysLate(\DateTimeImmutable $done): int
    {
        $deadline = $this->brief->dates->deadline;

        return null === $deadline || $done <= $deadline ? 0 : max(1, $deadline->diff($done)->days);
    }

    /** For which cloth and pieces are worked out; empty when none is chosen. */
    public function largestSize(): string
    {
        return $this->current->largestSize();
    }

    /** What it asks of a lay. */
    public function asked(Claim $claim, Assumptions $assumptions): LayRequirement
    {
        $matched = $claim->role->isMatched($this->current->matching ?? $assumptions->matching);

        return new LayRequirement(
            $this->id,
            $claim->role,
            $this->largestSize(),
            version: $this->cutting($claim)?->version,
            cut: $claim->cut,
            boughtOneWay: null === $claim->wish ? null : true === $claim->wish->oneWay,
            repeat: $matched ? $claim->cloth->look->repeat ?? $claim->wish?->repeat : null,
            pieces: $claim->pieces,
        );
    }

    /** Why the lay of a claim says nothing of it any more; null while it holds, and where there is none. */
    public function layStale(Claim $claim, Assumptions $assumptions): ?Sentence
    {
        return $claim->lay?->stale($this->asked($claim, $assumptions), $assumptions);
    }

    public function wanted(Claim $claim, ?LaidOut $laidOut = null): NeedRequest
    {
        $cutting = $this->cutting($claim);

        return new NeedRequest(
            $cutting?->version,
            $this->garment(),
            $claim->role,
            size: $this->current->size,
            gradedTo: $this->current->gradedTo,
            alterations: array_values(
                array_filter($this->allAlterations(), static fn (Alteration $alteration): bool => $alteration->concerns($claim->role)),
            ),
            stated: $claim->stated,
            laidOut: $laidOut,
            matching: $this->current->matching,
            child: true === $this->brief->person?->child,
            pieced: $cutting?->pieced,
        );
    }

    /** Whether a cloth is wanted for it: mending and altering want none unless one is planned. */
    public function wantsCloth(): bool
    {
        $isMending = null === $this->current->pattern && 1 === preg_match(self::MENDING, $this->name);

        return [] !== $this->current->claims || !($isMending || \in_array(Role::Main, $this->current->declined, true));
    }

    /** @return array<string, array{Piece, ?Part}> that are cut for it in its size, by name, with the part they come with */
    public function pieces(): array
    {
        return $this->current->pieces();
    }

    /** @return ?Cutting what comes from the cloth of a claim; null without a pattern */
    public function cutting(Claim $claim): ?Cutting
    {
        return $this->current->cutting($claim);
    }

    /** @return list<Alteration> its own, and those kept for its pattern and person that are not left out */
    public function allAlterations(): array
    {
        return [
            ...$this->current->alterations,
            ...array_map(
                static fn (KeptAlteration $kept): Alteration => new Alteration($kept->name, $kept->length ?? Length::zero(), $kept->roles),
                $this->kept(),
            ),
        ];
    }

    /** @return list<KeptAlteration> that count in it: those that cost or save cloth, and are not among its own or left out */
    public function kept(): array
    {
        $own = [...$this->current->leftOut, ...array_column($this->current->alterations, 'name')];

        return array_values(array_filter($this->keepable(), static fn (KeptAlteration $kept): bool => !\in_array($kept->name, $own, true)));
    }

    /** @return list<Fact> that stand for whoever it is for, and are neither counted for the pattern nor left out */
    public function factsOffered(): array
    {
        $there = [...$this->current->alterations, ...$this->current->pattern?->alterationsFor($this->brief->person->id ?? '') ?? []];
        $known = [...$this->current->leftOut, ...array_column($there, 'name')];

        return null === $this->current->pattern ? [] : $this->brief->person?->factsFor($this->garment()->value, $known) ?? [];
    }

    /** @return list<KeptAlteration> of its pattern and person that cost or save cloth */
    public function keepable(): array
    {
        $all = null === $this->brief->person ? [] : $this->current->pattern?->alterationsFor($this->brief->person->id) ?? [];

        return array_values(array_filter($all, static fn (KeptAlteration $kept): bool => null !== $kept->length));
    }
}

<?php

declare(strict_types=1);

namespace Octavum\Core\Season;

use Octavum\Core\Body\Person;
use Octavum\Core\Need\Alteration;
use Octavum\Core\Need\LaidOut;
use Octavum\Core\Need\Wanted;
use Octavum\Core\Pattern\Garment;
use Octavum\Core\Pattern\Pattern;
use Octavum\Core\Pattern\Role;
use Octavum\Core\Pattern\Version;

/** A garment planned for a season. */
final readonly class Project
{
    /**
     * @param int              $rank         1 comes first
     * @param ?string          $gradedTo     the largest size used, when sizes are graded between
     * @param ?int             $minutes      the sewist's own figure; null for the version's or the pattern's
     * @param list<Alteration> $alterations
     * @param list<Claim>      $claims
     * @param bool             $notionsTaken out of the tins already, so that none are given out to it
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
    ) {
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
        $claims = array_map(static fn (Claim $claim): Claim => new Claim($claim->id, $claim->role, $claim->cloth, $claim->cut, $claim->wish, $claim->stated, $claim->cutOut, $claim->lay ?? $lays[$claim->role->value] ?? null), $this->claims);

        return new self($this->id, $this->name, $this->season, $this->rank, $this->person, $this->pattern, $this->version, $this->size, $this->gradedTo, $this->certainty, $this->state, $this->deadline, $this->minutes, $this->alterations, $claims, $this->notes, $this->notionsTaken);
    }

    public function expectedMinutes(): ?int
    {
        return $this->minutes ?? $this->version->minutes ?? $this->pattern->minutes ?? null;
    }

    /** For which cloth and pieces are worked out; empty when none is chosen. */
    public function largestSize(): string
    {
        return null === $this->size ? '' : ($this->version?->table->largest($this->size, $this->gradedTo) ?? $this->size);
    }

    public function wanted(Claim $claim, ?LaidOut $laidOut = null): Wanted
    {
        return new Wanted($this->version, $this->garment(), $claim->role, $this->size, $this->gradedTo, Role::Main === $claim->role ? $this->alterations : [], $claim->stated, $laidOut);
    }
}

<?php

declare(strict_types=1);

namespace Octavum\Core\Project\Log;

/** What is sewn of a project: its steps, the time spent, its states, and how it turned out. */
final readonly class Sewing
{
    /**
     * @param list<Step>        $steps     in order; none as long as the template says them
     * @param list<TimeEntry>   $stretches the earliest first
     * @param list<StateChange> $states    likewise
     * @param list<Worn>        $worn      likewise
     */
    public function __construct(
        public array $steps = [],
        public array $stretches = [],
        public ?Timer $timer = null,
        public array $states = [],
        public ?Finding $finding = null,
        public array $worn = [],
    ) {
    }

    /** Minutes spent on a step; on all of it, when none is named. */
    public function spent(?string $step = null): int
    {
        $minutes = 0;
        foreach ($this->stretches as $stretch) {
            $minutes += null === $step || $stretch->step === $step ? $stretch->minutes : 0;
        }

        return $minutes;
    }

    /** Minutes spent between two days, both counted. */
    public function spentBetween(\DateTimeImmutable $from, \DateTimeImmutable $to): int
    {
        $minutes = 0;
        foreach ($this->stretches as $stretch) {
            $minutes += $stretch->on >= $from && $stretch->on <= $to ? $stretch->minutes : 0;
        }

        return $minutes;
    }

    /** The day it came into a state last; null when nobody kept it. */
    public function since(ProjectState $state): ?\DateTimeImmutable
    {
        return $this->entered($state)?->on;
    }

    /** When it came into a state last, and why; null when nobody kept it. */
    public function entered(ProjectState $state): ?StateChange
    {
        $all = array_filter($this->states, static fn (StateChange $entered): bool => $entered->state === $state);

        return [] === $all ? null : end($all);
    }

    /** @param list<Step> $steps */
    public function steps(array $steps): self
    {
        return new self($steps, $this->stretches, $this->timer, states: $this->states, finding: $this->finding, worn: $this->worn);
    }

    /** @param list<TimeEntry> $stretches */
    public function stretches(array $stretches): self
    {
        return new self($this->steps, $stretches, $this->timer, states: $this->states, finding: $this->finding, worn: $this->worn);
    }

    public function timed(?Timer $timer): self
    {
        return new self($this->steps, $this->stretches, $timer, states: $this->states, finding: $this->finding, worn: $this->worn);
    }

    public function entering(StateChange $entered): self
    {
        $last = $this->states[\count($this->states) - 1] ?? null;
        if ($last?->state === $entered->state && '' === $entered->why) {
            return $this;
        }

        return new self(
            $this->steps,
            $this->stretches,
            $this->timer,
            states: [...$this->states, $entered],
            finding: $this->finding,
            worn: $this->worn,
        );
    }

    public function found(?Finding $finding): self
    {
        return new self($this->steps, $this->stretches, $this->timer, states: $this->states, finding: $finding, worn: $this->worn);
    }

    /** @param list<Worn> $worn */
    public function wearing(array $worn): self
    {
        return new self($this->steps, $this->stretches, $this->timer, states: $this->states, finding: $this->finding, worn: $worn);
    }
}

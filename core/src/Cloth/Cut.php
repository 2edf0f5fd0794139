<?php

declare(strict_types=1);

namespace Octavum\Core\Cloth;

use Octavum\Core\Measure\Length;

/** One continuous piece of a cloth. What it is now follows from its ledger, oldest entry first. */
final readonly class Cut
{
    public ?Length $length;
    public bool $washed;
    /** The length was taken after the last wash: no shrinkage is left in it. */
    public bool $measuredSinceWash;
    public bool $gone;

    /**
     * @param list<LedgerEntry> $ledger
     * @param list<Bite>        $bites  that are missing from it
     */
    public function __construct(
        public string $id,
        public array $ledger,
        public string $label = '',
        public CutState $state = CutState::Arrived,
        public ?\DateTimeImmutable $expected = null,
        public array $bites = [],
    ) {
        $length = null;
        $washed = $settled = $gone = false;
        foreach ($ledger as $entry) {
            if (LedgerKind::Washed === $entry->kind) {
                $washed = true;
                $settled = false;
            }
            if (null !== $entry->length) {
                $length = $entry->length;
                $settled = $washed;
            }
            $gone = LedgerKind::GivenAway === $entry->kind || LedgerKind::Spoilt === $entry->kind && null === $entry->length;
        }
        $this->length = $length;
        $this->washed = $washed;
        $this->measuredSinceWash = $settled;
        $this->gone = $gone;
    }

    public function with(LedgerEntry $entry): self
    {
        return new self($this->id, [...$this->ledger, $entry], $this->label, $this->state, $this->expected, $this->bites);
    }
}

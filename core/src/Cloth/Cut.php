<?php

declare(strict_types=1);

namespace Octavum\Core\Cloth;

use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\Unreadable;
use Octavum\Core\Measure\Width;

/**
 * One continuous piece of a cloth. What it is now follows from its ledger, read by day; entries of one day in the order
 * written. Source: docs/rules.md.
 */
final readonly class Cut
{
    /** What is believed of a cut, in micrometres. */
    public const LONGEST = 100_000_000;
    private const WIDEST = 3_300_000;

    /** Null when nobody has measured it, or something was taken and nobody said how much. */
    public ?Length $length;

    /** Washed, or steamed. */
    public bool $washed;

    /** No shrinkage is left in its length: measured after a wash, or not to be washed. */
    public bool $settled;

    /** All of it was used, given away or spoilt. */
    public bool $gone;

    /** The day it was first washed or steamed: a width measured since then is its width. */
    public ?\DateTimeImmutable $shrunkOn;

    /** It came into the stash washed, so that all its measures were taken since. */
    public bool $cameWashed;

    /** It is not to be washed, so that nothing is counted off for it. */
    public bool $neverWashed;

    /** Of its two ends, those that are still to be straightened: none of a remnant, one more after each cutting. */
    public int $rawEnds;

    /**
     * @param list<LedgerEntry> $ledger in the order written
     * @param list<Bite>        $bites  that are missing from it
     * @param ?Length           $width  its own, where it is not the cloth's; usable from edge to edge
     */
    public function __construct(
        public string $id,
        public array $ledger,
        public string $label = '',
        public CutState $state = CutState::Arrived,
        public ?\DateTimeImmutable $expected = null,
        public array $bites = [],
        public ?Length $width = null,
    ) {
        $byDay = $ledger;
        usort($byDay, static fn (LedgerEntry $a, LedgerEntry $b): int => $a->on <=> $b->on);
        $length = $shrunkOn = null;
        $settled = $gone = $cameWashed = $never = false;
        $rawEnds = 2;
        foreach ($byDay as $entry) {
            $kind = $entry->kind;
            if ($kind->shrinks() && null === $shrunkOn) {
                $shrunkOn = $entry->on;
                $cameWashed = null === $length;
            }
            $never = $never || LedgerKind::NotWashed === $kind;
            $rawEnds = match (true) {
                LedgerKind::Remnant === $kind, LedgerKind::Straightened === $kind => 0,
                $kind->takes() => min(2, $rawEnds + 1),
                default => $rawEnds,
            };
            if (null !== $entry->length) {
                $length = $entry->length;
                $settled = $settled || null !== $shrunkOn;
                $gone = ($gone && LedgerKind::Bought !== $kind && LedgerKind::Measured !== $kind) || $length->isZero();
            } elseif (LedgerKind::Cut === $kind || LedgerKind::Remnant === $kind) {
                $length = null;
            } elseif ($kind->takesAll()) {
                $gone = true;
            }
        }
        $this->length = $length;
        $this->washed = null !== $shrunkOn;
        $this->settled = $settled || $never;
        $this->gone = $gone;
        $this->shrunkOn = $shrunkOn;
        $this->cameWashed = $cameWashed;
        $this->neverWashed = $never;
        $this->rawEnds = $rawEnds;
    }

    /** Something was taken from it since it was last measured, and nobody said how much. */
    public function isTakenFrom(): bool
    {
        $measured = array_filter($this->ledger, static fn (LedgerEntry $entry): bool => null !== $entry->length);

        return null === $this->length && [] !== $measured;
    }

    /**
     * A length that a cut can have.
     *
     * @throws Unreadable when it is longer than what anybody buys
     */
    public static function ownLength(Length $length): Length
    {
        return $length->micrometres <= self::LONGEST
            ? $length
            : throw Unreadable::because('A cut is no longer than 100 m: is the unit right? Type it with its unit, such as 250 cm.');
    }

    /**
     * A width that a cut can have of its own.
     *
     * @throws Unreadable when no cloth is so wide
     */
    public static function ownWidth(Length $width): Length
    {
        return $width->micrometres <= self::WIDEST
            ? $width
            : throw Unreadable::because('A cut is no wider than 3.30 m: type what the tape says across it, such as 45 cm.');
    }

    /** Of the cloth, or its own, from which no selvage is taken. */
    public function widthOf(Cloth $cloth): ?Width
    {
        return null === $this->width ? $cloth->width : Width::of($this->width, Length::zero());
    }

    /** @throws Unreadable when something is taken from it and more is left than there was on that day */
    public function with(LedgerEntry $entry): self
    {
        $before = new self('', array_values(array_filter(
            $this->ledger,
            static fn (LedgerEntry $one): bool => $one->on <= $entry->on,
        )));
        if ($entry->kind->takes() && null !== $entry->length && true === $before->length?->isLessThan($entry->length)) {
            throw Unreadable::because('There was less than that before. Type the length that is left, or measure the cut again first.');
        }

        return $this->changed([...$this->ledger, $entry], $this->bites);
    }

    /** @param list<Bite> $bites */
    public function missing(array $bites): self
    {
        return $this->changed($this->ledger, $bites);
    }

    /**
     * After the scissors.
     *
     * @param Length $used along the cloth; all there is leaves nothing
     *
     * @throws Unreadable when there is not so much of it, or nobody knows how much there is
     */
    public function cutOff(Length $used, \DateTimeImmutable $on, string $note): self
    {
        if (null === $this->length) {
            throw Unreadable::because('The cut is not measured, so the rest is not known. Measure it first.');
        }
        if ($this->length->isLessThan($used)) {
            throw Unreadable::because('There is not so much of it: type what was cut off, or measure the cut again first.');
        }

        return $this->with(new LedgerEntry($on, LedgerKind::Cut, $this->length->minus($used), $note));
    }

    /** A piece that is left of this, as a cut of its own; it shrinks no more where this does not. */
    public function remnant(Length $length, Length $width, \DateTimeImmutable $on, string $note): self
    {
        $washed = $this->settled ? [new LedgerEntry($on, $this->neverWashed ? LedgerKind::NotWashed : LedgerKind::Washed)] : [];

        return new self('', [...$washed, new LedgerEntry($on, LedgerKind::Remnant, $length, $note)], 'remnant', width: $width);
    }

    public function withoutLastEntry(): self
    {
        return $this->changed(\array_slice($this->ledger, 0, -1), $this->bites);
    }

    /**
     * @param list<LedgerEntry> $ledger
     * @param list<Bite>        $bites
     */
    private function changed(array $ledger, array $bites): self
    {
        return new self(
            $this->id,
            $ledger,
            $this->label,
            state: $this->state,
            expected: $this->expected,
            bites: $bites,
            width: $this->width,
        );
    }
}

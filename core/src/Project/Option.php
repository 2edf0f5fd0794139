<?php

declare(strict_types=1);

namespace Octavum\Core\Project;

use Octavum\Core\Laid\SavedLay;
use Octavum\Core\Measure\Matching;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Need\Alteration;
use Octavum\Core\Pattern\Part;
use Octavum\Core\Pattern\Pattern;
use Octavum\Core\Pattern\PutTogether;
use Octavum\Core\Pattern\Version;
use Octavum\Core\Piece\Piece;
use Octavum\Core\Piece\Role;

/** One way to make a project: a version in a size, from some cloth. One leads and claims; the others only might. */
final readonly class Option
{
    /** How many a project holds, the leading one among them. */
    public const MOST = 5;

    /** Per cent of the hours of the first that each further copy takes. */
    private const FURTHER_COPY = 70;

    /**
     * @param ?string          $gradedTo    the largest size used, when sizes are graded between
     * @param ?int             $minutes     the sewist's own figure; null for the version's or the pattern's
     * @param list<Alteration> $alterations
     * @param list<Claim>      $claims
     * @param ?Matching        $matching    of a print; null for what the settings say
     * @param list<string>     $leftOut     alterations kept for this pattern and person that do not count here, by name
     * @param list<Role>       $declined    roles that are left out on purpose
     * @param string           $when        what it depends on, such as "the toile fails"; empty when on nothing
     * @param bool             $past        let go: it claims nothing any more, not even perhaps
     * @param list<Copy>       $copies      that are sewn with it
     * @param list<Part>       $parts       that come from other patterns
     */
    public function __construct(
        public string $id,
        public ?Pattern $pattern = null,
        public ?Version $version = null,
        public ?string $size = null,
        public ?string $gradedTo = null,
        public ?int $minutes = null,
        public array $alterations = [],
        public array $claims = [],
        public ?Matching $matching = null,
        public array $leftOut = [],
        public array $declined = [],
        public string $when = '',
        public bool $past = false,
        public array $copies = [],
        public array $parts = [],
    ) {
    }

    /** What it is called: its version, its size and its first cloth. */
    public function sentence(): Sentence
    {
        $with = ['version' => $this->version->name ?? '', 'size' => $this->size ?? '', 'to' => $this->gradedTo ?? ''];
        $what = new Sentence(
            match (true) {
                null === $this->version => 'no pattern yet',
                null === $this->size => '{version}',
                null === $this->gradedTo => '{version}, size {size}',
                default => '{version}, size {size} to {to}',
            },
            $with,
        );
        foreach ($this->claims as $claim) {
            $cloth = $claim->cloth->name ?? $claim->wish?->name;
            if (null !== $cloth) {
                return new Sentence('{what}, from {cloth}', ['what' => $what, 'cloth' => $cloth]);
            }
        }

        return $what;
    }

    /** The sewist's own figure is for all of them; the envelope's for one, and each further copy takes less. Source: docs/rules.md. */
    public function expectedMinutes(): ?int
    {
        $one = $this->version->minutes ?? $this->pattern?->makes->minutes;

        return $this->minutes ?? (null === $one ? null : intdiv($one * (100 + self::FURTHER_COPY * \count($this->copies)), 100));
    }

    /** For which cloth and pieces are worked out; empty when none is chosen. */
    public function largestSize(): string
    {
        return null === $this->size ? '' : $this->version?->table->largest($this->size, $this->gradedTo) ?? $this->size;
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

    /** @param list<Claim> $claims */
    public function claiming(array $claims): self
    {
        return $this->with($claims, $this->past, $this->copies);
    }

    /** With the lays of what it was before, by what they are for, where it brings none. */
    public function keepingLays(self $former): self
    {
        $lays = [];
        foreach ($former->claims as $claim) {
            $lays[$claim->place()] ??= $claim->lay;
        }

        return $this->claiming(array_map(
            static fn (Claim $claim): Claim => $claim->laid($claim->lay ?? $lays[$claim->place()] ?? null),
            $this->claims,
        ));
    }

    /** @param array<string, SavedLay> $lays by id, in the place of those its claims have */
    public function relaid(array $lays): self
    {
        $relaid = static fn (Claim $claim): Claim => $claim->laid(null === $claim->lay ? null : $lays[$claim->lay->id] ?? $claim->lay);

        return $this->with(
            array_map($relaid, $this->claims),
            $this->past,
            array_map(
                static fn (Copy $copy): Copy => new Copy($copy->person, $copy->size, $copy->gradedTo, array_map($relaid, $copy->claims)),
                $this->copies,
            ),
        );
    }

    public function letGo(): self
    {
        return $this->with($this->claims, true, $this->copies);
    }

    /**
     * @param list<Claim> $claims
     * @param list<Copy>  $copies
     */
    private function with(array $claims, bool $past, array $copies): self
    {
        return new self(
            $this->id,
            $this->pattern,
            $this->version,
            size: $this->size,
            gradedTo: $this->gradedTo,
            minutes: $this->minutes,
            alterations: $this->alterations,
            claims: $claims,
            matching: $this->matching,
            leftOut: $this->leftOut,
            declined: $this->declined,
            when: $this->when,
            past: $past,
            copies: $copies,
            parts: $this->parts,
        );
    }
}

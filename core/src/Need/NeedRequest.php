<?php

declare(strict_types=1);

namespace Octavum\Core\Need;

use Octavum\Core\Measure\Assumptions;
use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\Matching;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Measure\Source;
use Octavum\Core\Measure\Working;
use Octavum\Core\Need\Block\LaySurface;
use Octavum\Core\Pattern\Version;
use Octavum\Core\Piece\Garment;
use Octavum\Core\Piece\Role;

/** What is to be cut, whatever the cloth: version, size, role, and what the sewist changes. */
final readonly class NeedRequest
{
    /**
     * @param ?string          $size        null when not chosen yet
     * @param ?string          $gradedTo    the largest size used, when sizes are graded between
     * @param list<Alteration> $alterations
     * @param ?Length          $stated      the sewist's own figure, which replaces the table
     * @param ?LaidOut         $laidOut     what a saved lay says, which replaces the table
     * @param ?Matching        $matching    null for what the settings say
     * @param bool             $child       it is for a child
     * @param ?Pieced          $pieced      where not just the pieces of the role come from the cloth; the version has only those then
     */
    public function __construct(
        public ?Version $version,
        public Garment $garment,
        public Role $role,
        public ?string $size,
        public ?string $gradedTo = null,
        public array $alterations = [],
        public ?Length $stated = null,
        public ?LaidOut $laidOut = null,
        public ?Matching $matching = null,
        public bool $child = false,
        public ?Pieced $pieced = null,
    ) {
    }

    /** The same, as its version's table has it for the whole. */
    public function whole(): self
    {
        return $this->in($this->version);
    }

    /** The same of another version of its pattern, as its table has it. */
    public function in(?Version $version): self
    {
        return new self(
            $version,
            $this->garment,
            $this->role,
            size: $this->size,
            gradedTo: $this->gradedTo,
            alterations: $this->alterations,
            matching: $this->matching,
            child: $this->child,
        );
    }

    /** What its pieces are laid on, wherever they are laid for it; null without a width. */
    public function surface(CuttingCloth $on, Assumptions $assumptions): ?LaySurface
    {
        return $on->surface($this->role, $this->matching, $assumptions);
    }

    /** For which pieces are worked out; empty when none is chosen. */
    public function largestSize(): string
    {
        return null === $this->size ? '' : $this->version?->table->largest($this->size, $this->gradedTo) ?? $this->size;
    }

    /** A length with what the sewist changes. */
    public function altered(Length $needed): Length
    {
        foreach ($this->alterations as $alteration) {
            $needed = $needed->plus($alteration->length)->larger(Length::zero());
        }

        return $needed;
    }

    /** The lines of what the sewist changes. */
    public function alterationsIn(Working $working): Working
    {
        foreach ($this->alterations as $alteration) {
            $label = new Sentence('{alteration}', ['alteration' => $alteration->name]);
            $working = $alteration->length->isNegative()
                ? $working->less($label, $alteration->length->negated(), Source::Plan)
                : $working->plus($label, $alteration->length, Source::Plan);
        }

        return $working;
    }
}

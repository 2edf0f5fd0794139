<?php

declare(strict_types=1);

namespace Octavum\Room\Match;

use Octavum\Core\Cloth\Cloth;
use Octavum\Core\Cloth\Cut;
use Octavum\Core\Cloth\ToCut;
use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Season\Reserve\Reservation;

/** The cloth that is matched. */
final readonly class Lying
{
    /** What can be cut from it and is promised to nobody; null for as much as a shop will sell, and while it is not measured. */
    public ?Length $free;

    /**
     * @param list<Reservation> $promises of the cut
     * @param string            $typed    as it was typed; empty for a cut of the stash
     * @param list<Sentence>    $doubts   about what was typed
     * @param bool              $endless  as much of it as a shop will sell
     */
    public function __construct(
        public Cloth $cloth,
        public Cut $cut,
        public ToCut $toCut,
        public array $promises = [],
        public string $typed = '',
        public array $doubts = [],
        public bool $endless = false,
    ) {
        $this->free = $endless ? null : $toCut->length?->minus(Reservation::total($promises))->larger(Length::zero());
    }

    public function taken(): Length
    {
        return Reservation::total($this->promises);
    }

    /** By which it is asked for again. */
    public function asked(): string
    {
        return '' === $this->typed ? $this->cut->id : $this->typed;
    }
}

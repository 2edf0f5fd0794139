<?php

declare(strict_types=1);

namespace Octavum\Room\Match;

use Octavum\Core\Match\Proposal;
use Octavum\Core\Need\Guess;
use Octavum\Core\Remedy\WayOut;
use Octavum\Strip\Strip;

/** A proposal as the page lists it. */
final readonly class Row
{
    /**
     * @param ?Guess                       $guess of what it may take where that is not known
     * @param list<WayOut>                 $ways  that would make it enough
     * @param ?Lying                       $lying the cloth it is from, where cloths are laid
     * @param list<array{Lying, Proposal}> $also  others of them that are enough for it
     */
    public function __construct(
        public Proposal $proposal,
        public ?Strip $strip,
        public ?Guess $guess = null,
        public array $ways = [],
        public ?Lying $lying = null,
        public array $also = [],
    ) {
    }

    /** @param list<array{Lying, Proposal}> $also */
    public function from(Lying $lying, array $also): self
    {
        return new self($this->proposal, $this->strip, $this->guess, ways: $this->ways, lying: $lying, also: $also);
    }
}

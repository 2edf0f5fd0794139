<?php

declare(strict_types=1);

namespace Octavum\Core\Match;

use Octavum\Core\Measure\Length;
use Octavum\Core\Need\Need;
use Octavum\Core\Need\TooWide;
use Octavum\Core\Need\Unknown;
use Octavum\Core\Need\Verdict;

/** Whether a length of cloth is enough for a making, and how that is known. */
final readonly class Fit
{
    /**
     * @param ?Length  $spare   what is over, below nought what is missing; null when it is not known
     * @param ?TooWide $tooWide the piece for which no length is enough
     */
    public function __construct(
        public Verdict $verdict,
        public Need|Unknown $need,
        public ?Length $spare = null,
        public ?TooWide $tooWide = null,
    ) {
    }

    public function amount(): ?Length
    {
        return $this->need instanceof Need ? $this->need->amount : null;
    }

    public function isEnough(): bool
    {
        return Verdict::Fits === $this->verdict || Verdict::Tight === $this->verdict;
    }

    public function missing(): ?Length
    {
        return true === $this->spare?->isNegative() ? $this->spare->negated() : null;
    }
}

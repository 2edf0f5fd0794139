<?php

declare(strict_types=1);

namespace Octavum\Room\Match;

use Octavum\Core\Shopping\Ask;

/** What to ask for at a counter, and what it costs. */
final readonly class CounterOffer
{
    /** @param ?int $cost in the smallest coin; null where no price is known */
    public function __construct(public Ask $ask, public ?int $cost)
    {
    }
}

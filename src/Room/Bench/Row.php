<?php

declare(strict_types=1);

namespace Octavum\Room\Bench;

use Octavum\Core\Match\Proposal;
use Octavum\Core\Need\Guess;
use Octavum\Core\Remedy\WayOut;
use Octavum\Strip\Strip;

/** A proposal as the page lists it. */
final readonly class Row
{
    /**
     * @param ?Guess       $guess of what it may take where that is not known
     * @param list<WayOut> $ways  that would make it enough
     */
    public function __construct(public Proposal $proposal, public ?Strip $strip, public ?Guess $guess = null, public array $ways = [])
    {
    }
}

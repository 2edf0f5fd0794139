<?php

declare(strict_types=1);

namespace Octavum\Core\Season;

use Octavum\Core\Measure\Length;

/** A project's claim on a cut with the length it comes to, in rank order with the others on that cut. */
final readonly class Promise
{
    public function __construct(public Project $project, public Claim $claim, public Length $amount)
    {
    }
}

<?php

declare(strict_types=1);

namespace Octavum\Core\Remedy;

use Octavum\Core\Measure\Length;
use Octavum\Core\Need\NeedRequest;

/** What is wanted of a cut, and how much of that there is. */
final readonly class Shortfall
{
    /**
     * @param Length $need  as it is known now
     * @param Length $free  of the cut, after those who have it first
     * @param bool   $tight it is enough, and something to spare is wanted
     */
    public function __construct(public NeedRequest $wanted, public Length $need, public Length $free, public bool $tight = false)
    {
    }
}

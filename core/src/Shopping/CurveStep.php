<?php

declare(strict_types=1);

namespace Octavum\Core\Shopping;

use Octavum\Core\Measure\Length;

/** A length at the counter, and how many versions it would make. */
final readonly class CurveStep
{
    /** @param ?int $cost in the smallest coin; null without a price */
    public function __construct(public Length $length, public int $versions, public ?int $cost)
    {
    }
}

<?php

declare(strict_types=1);

namespace Octavum\Core\Body;

use Octavum\Core\Measure\Length;

/** What was measured of a person on one day. */
final readonly class Measured
{
    /** @param array<string, Length> $points by BodyPoint's value */
    public function __construct(public \DateTimeImmutable $on, public array $points)
    {
    }
}

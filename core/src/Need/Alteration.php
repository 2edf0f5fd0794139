<?php

declare(strict_types=1);

namespace Octavum\Core\Need;

use Octavum\Core\Measure\Length;

/** A change to the pattern that costs cloth: what it is, and the length it adds to the lay. */
final readonly class Alteration
{
    public function __construct(public string $name, public Length $length)
    {
    }
}

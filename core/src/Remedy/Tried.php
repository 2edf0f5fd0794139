<?php

declare(strict_types=1);

namespace Octavum\Core\Remedy;

use Octavum\Core\Measure\Length;

/** A change, and what a lay with it alone takes. */
final readonly class Tried
{
    /** @param Length $saves of what is laid without it; nothing where it helps only with another */
    public function __construct(public Change $change, public Length $need, public Length $saves, public bool $closes)
    {
    }
}

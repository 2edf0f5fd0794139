<?php

declare(strict_types=1);

namespace Octavum\Core\Need;

use Octavum\Core\Measure\Sentence;

/** A need or a cloth that cannot be judged yet, and the one thing that would settle it. */
final readonly class Unknown
{
    public function __construct(public Missing $missing, public Sentence $settle)
    {
    }
}

<?php

declare(strict_types=1);

namespace Octavum\Core\Need;

use Octavum\Core\Measure\Sentence;

/** A need or a cloth that cannot be judged yet, and the one thing that would settle it. */
final readonly class Unknown
{
    /** @param ?Guess $guess what it may come to, which settles nothing */
    public function __construct(public Missing $missing, public Sentence $settle, public ?Guess $guess = null)
    {
    }
}

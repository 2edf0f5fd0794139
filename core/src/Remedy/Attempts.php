<?php

declare(strict_types=1);

namespace Octavum\Core\Remedy;

use Octavum\Core\Measure\Sentence;

/** What was tried so far to make a cloth enough. */
final readonly class Attempts
{
    /**
     * @param list<Tried>    $tried
     * @param list<Sentence> $waiting what is still to be laid
     */
    public function __construct(public array $tried, public array $waiting = [])
    {
    }
}

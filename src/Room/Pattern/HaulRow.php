<?php

declare(strict_types=1);

namespace Octavum\Room\Pattern;

use Octavum\Core\Measure\Sentence;
use Octavum\Core\PatternLine\PatternLine;

/** A line of patterns as it was understood, and what of the library it may be. */
final readonly class HaulRow
{
    /** @param array<string, Sentence> $twins that may be the same, by id */
    public function __construct(public PatternLine $line, public array $twins)
    {
    }
}

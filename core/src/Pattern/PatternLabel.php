<?php

declare(strict_types=1);

namespace Octavum\Core\Pattern;

/** Whose a pattern is, and under which numbers. */
final readonly class PatternLabel
{
    /** @param list<string> $otherNumbers reissues of the same pattern */
    public function __construct(public string $maker = '', public string $number = '', public array $otherNumbers = [])
    {
    }
}

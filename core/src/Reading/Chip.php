<?php

declare(strict_types=1);

namespace Octavum\Core\Reading;

use Octavum\Core\Measure\Sentence;

/** Something of a line that was understood. */
final readonly class Chip
{
    /** @param bool $unsure it was typed with a question mark, or is a guess */
    public function __construct(public string $kind, public Sentence $says, public bool $unsure = false)
    {
    }
}

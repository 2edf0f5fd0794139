<?php

declare(strict_types=1);

namespace Octavum\Core\Remedy;

use Octavum\Core\Measure\Sentence;

/** One thing that would help when a cut is short: a sentence with its figure, and what does it. */
final readonly class WayOut implements \Stringable
{
    /** @param string $subject id of the cut or version, as the remedy says */
    public function __construct(public Sentence $sentence, public Remedy $remedy, public string $subject)
    {
    }

    public function __toString(): string
    {
        return (string) $this->sentence;
    }
}

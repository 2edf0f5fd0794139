<?php

declare(strict_types=1);

namespace Octavum\Document\Json;

use Octavum\Core\Measure\Sentence;

/** A stored value that cannot be read: nothing is guessed in its place. "bin/octavum doctor" names and mends it. */
final class BrokenRow extends \RuntimeException
{
    public function __construct(public readonly string $row, string $pointer, Sentence $sentence)
    {
        parent::__construct(\sprintf('What is stored of %s cannot be read: %s %s', $row, $pointer, $sentence));
    }
}

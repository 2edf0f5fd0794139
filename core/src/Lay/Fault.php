<?php

declare(strict_types=1);

namespace Octavum\Core\Lay;

/** What is wrong with a lay: which kind of thing, and a sentence that names the piece by its id in the request. */
final readonly class Fault implements \Stringable
{
    public function __construct(public FaultKind $kind, public string $sentence)
    {
    }

    public function __toString(): string
    {
        return $this->sentence;
    }
}

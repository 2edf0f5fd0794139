<?php

declare(strict_types=1);

namespace Octavum\Core\Project\Log;

/** A later look at a garment: how often it is worn, and what became of it. */
final readonly class Worn
{
    public function __construct(
        public \DateTimeImmutable $on,
        public Wear $wear,
        public Fate $fate = Fate::Kept,
        public string $note = '',
    ) {
    }
}

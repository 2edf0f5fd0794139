<?php

declare(strict_types=1);

namespace Octavum\Core\Season\Lists;

/** From when a list counts, and when it closes. */
final readonly class ListDates
{
    public function __construct(
        public ?\DateTimeImmutable $starts = null,
        public ?\DateTimeImmutable $closes = null,
    ) {
    }
}

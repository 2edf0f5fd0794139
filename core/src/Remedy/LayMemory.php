<?php

declare(strict_types=1);

namespace Octavum\Core\Remedy;

/** Remembers what pieces came to when they were laid, so that nothing is laid twice and every room says the same. */
interface LayMemory
{
    /** @return array<string, ?int> as Lays::all() gives it; empty while nothing was laid */
    public function recall(Laying $laying): array;
}

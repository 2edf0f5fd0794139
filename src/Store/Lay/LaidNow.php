<?php

declare(strict_types=1);

namespace Octavum\Store\Lay;

use Octavum\Core\Remedy\Laying;
use Octavum\Core\Remedy\LayMemory;

/** Lays pieces when they are asked for and were not laid before: for commands, where no page waits. */
final readonly class LaidNow implements LayMemory
{
    public function __construct(private CachedLays $lays)
    {
    }

    public function recall(Laying $laying): array
    {
        return $this->lays->lay($laying)->all();
    }
}

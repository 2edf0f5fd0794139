<?php

declare(strict_types=1);

namespace Octavum\Tools\Trial;

/** So many seconds, from when it is first asked. */
final class TimeBox
{
    private ?float $until = null;

    public function __construct(public readonly float $seconds)
    {
    }

    public function more(): bool
    {
        return microtime(true) < ($this->until ??= microtime(true) + $this->seconds);
    }
}

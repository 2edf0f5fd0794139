<?php

declare(strict_types=1);

namespace Octavum\Core\Project\Log;

/** Minutes that were really spent, on a day. */
final readonly class TimeEntry
{
    /** @param string $step its id; empty when on the whole project */
    public function __construct(public \DateTimeImmutable $on, public int $minutes, public string $step = '')
    {
    }
}

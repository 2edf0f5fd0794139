<?php

declare(strict_types=1);

namespace Octavum\Core\Project\Log;

/** A state that a project came into, on a day. */
final readonly class StateChange
{
    public function __construct(public ProjectState $state, public \DateTimeImmutable $on, public string $why = '')
    {
    }
}

<?php

declare(strict_types=1);

namespace Octavum\Core\Season;

enum ProjectState: string
{
    case Planned = 'planned';
    case Begun = 'begun';
    case Finished = 'finished';
    case LetGo = 'let go';

    /** Whether it still wants cloth and hours. */
    public function isOpen(): bool
    {
        return self::Planned === $this || self::Begun === $this;
    }
}

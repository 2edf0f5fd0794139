<?php

declare(strict_types=1);

namespace Octavum\Core\Project;

/** How sure it is that a project will be sewn. */
enum Certainty: string
{
    case Set = 'set';
    case Likely = 'likely';
    case Maybe = 'maybe';

    /** As it is called on the screen; files keep the older word. */
    public function label(): string
    {
        return self::Set === $this ? 'decided' : $this->value;
    }
}

<?php

declare(strict_types=1);

namespace Octavum\Core\Project;

enum Certainty: string
{
    case Set = 'set';
    case Likely = 'likely';
    case Maybe = 'maybe';
}

<?php

declare(strict_types=1);

namespace Octavum\Core\Project;

/** What a garment is wanted for. A season wants some of both. */
enum Purpose: string
{
    case Practical = 'practical';
    case Joy = 'just for joy';
}

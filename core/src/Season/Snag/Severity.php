<?php

declare(strict_types=1);

namespace Octavum\Core\Season\Snag;

/** How gravely a snag would stop the scissors; gravest first. */
enum Severity: int
{
    case Short = 0;
    case NotKnown = 1;
    case Tight = 2;
    case Note = 3;
}

<?php

declare(strict_types=1);

namespace Octavum\Core\Match;

/** Where a proposal stands. */
enum Group: string
{
    case MadeForIt = 'made for it';
    case WouldDo = 'would do';
    case Short = 'short';
    case Not = 'not, and why';
}

<?php

declare(strict_types=1);

namespace Octavum\Core\Pattern;

/** Whether the pattern is in the house. */
enum Ownership: string
{
    case Owned = 'owned';
    case Wished = 'wished for';
    case Borrowed = 'borrowed';
}

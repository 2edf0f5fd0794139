<?php

declare(strict_types=1);

namespace Octavum\Core\Pattern;

use Octavum\Core\Piece\Drafted;

/** What a pattern is printed on. */
enum PatternFormat: string
{
    case Tissue = 'tissue';
    case Pdf = 'PDF';
    case Magazine = 'magazine sheet';
    case Book = 'book';
    case Drafted = 'self-drafted';
    case Tutorial = 'tutorial';
}

<?php

declare(strict_types=1);

namespace Octavum\Core\Piece;

/** What may be done about a piece when cloth is short. */
enum Instead: string
{
    case Binding = 'bias binding';
    case OtherCloth = 'other cloth';
    case Omitted = 'left out';
}

<?php

declare(strict_types=1);

namespace Octavum\Core\Lay;

enum Status: string
{
    case Placed = 'placed';
    case Short = 'short';
    case Impossible = 'impossible';
}

<?php

declare(strict_types=1);

namespace Octavum\Core\Lay;

enum FaultKind
{
    case Place;
    case Overlap;
    case Count;
    case Turned;
    case Match;
    case Length;
}

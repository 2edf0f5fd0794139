<?php

declare(strict_types=1);

namespace Octavum\Core\Need;

/** What keeps a verdict from being given. */
enum Missing
{
    case Width;
    case Length;
    case Pattern;
    case Size;
    case Row;
    case Cloth;
    case Pieces;
}

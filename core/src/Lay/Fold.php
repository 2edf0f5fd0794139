<?php

declare(strict_types=1);

namespace Octavum\Core\Lay;

/** A way of laying the cloth before the pieces go on it. */
enum Fold: string
{
    case Flat = 'flat';
    case Lengthwise = 'lengthwise';
    case Gate = 'gate';
    case Crosswise = 'crosswise';
    case Part = 'part';
}

<?php

declare(strict_types=1);

namespace Octavum\Core\Cloth;

/** What can be tried on a cloth to know more of it. */
enum TestKind: string
{
    case Width = 'width';
    case Shrink = 'shrink';
    case Stretch = 'stretch';
    case Swatch = 'swatch';
    case ByWeight = 'length by weight';
    case Bolt = 'length on a bolt';
    case Burn = 'burn';
}

<?php

declare(strict_types=1);

namespace Octavum\Core\Cloth;

enum Opacity: string
{
    case Opaque = 'opaque';
    case SlightlySheer = 'slightly sheer';
    case Sheer = 'sheer';
}

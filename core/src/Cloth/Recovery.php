<?php

declare(strict_types=1);

namespace Octavum\Core\Cloth;

/** Whether a cloth that was stretched comes back. */
enum Recovery: string
{
    case SpringsBack = 'springs back';
    case Slowly = 'comes back slowly';
    case StaysOut = 'stays stretched';
}

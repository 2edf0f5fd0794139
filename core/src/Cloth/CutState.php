<?php

declare(strict_types=1);

namespace Octavum\Core\Cloth;

/** Whether a cut is in the house. */
enum CutState: string
{
    case Ordered = 'ordered';
    case Arrived = 'arrived';
}

<?php

declare(strict_types=1);

namespace Octavum\Core\Cloth;

/** What people say of a weight without a figure. */
enum WeightClass: string
{
    case Sheer = 'sheer';
    case Light = 'light';
    case Medium = 'medium';
    case Heavy = 'heavy';
    case VeryHeavy = 'very heavy';
}

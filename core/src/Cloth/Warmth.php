<?php

declare(strict_types=1);

namespace Octavum\Core\Cloth;

/** The days a cloth is for. */
enum Warmth: string
{
    case Warm = 'warm days';
    case Cold = 'cold days';
}

<?php

declare(strict_types=1);

namespace Octavum\Core\Cloth;

/** Whether the top of a piece must point one way: figures that stand upright, or nap. */
enum Direction: string
{
    case None = 'none';
    case TwoWay = 'two-way';
    case OneWay = 'one-way';
}

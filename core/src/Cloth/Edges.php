<?php

declare(strict_types=1);

namespace Octavum\Core\Cloth;

/** What the cut edges of a cloth do. */
enum Edges: string
{
    case Hold = 'hold';
    case Fray = 'fray';
    case Curl = 'curl';
}

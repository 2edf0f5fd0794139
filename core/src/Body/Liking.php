<?php

declare(strict_types=1);

namespace Octavum\Core\Body;

/** What someone says of a feature. */
enum Liking: string
{
    case Want = 'want';
    case Avoid = 'avoid';
    case Never = 'never';
}

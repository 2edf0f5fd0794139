<?php

declare(strict_types=1);

namespace Octavum\Core\Cloth;

/** How a cloth is made. */
enum Structure: string
{
    case Woven = 'woven';
    case Knit = 'knit';
    case NonWoven = 'non-woven';
}

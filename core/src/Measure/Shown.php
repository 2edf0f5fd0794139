<?php

declare(strict_types=1);

namespace Octavum\Core\Measure;

enum Shown
{
    case Owned;
    case Needed;
    case Exact;
    case Width;
    case Body;
    case Notion;
}

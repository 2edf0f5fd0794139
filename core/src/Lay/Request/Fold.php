<?php

declare(strict_types=1);

namespace Octavum\Core\Lay\Request;

/** A way of laying the cloth before the pieces go on it. */
enum Fold: string
{
    case Flat = 'flat';
    case Lengthwise = 'lengthwise';
    case Gate = 'gate';
    case Crosswise = 'crosswise';
    case Part = 'part';

    /** As a sewist says it. */
    public function words(): string
    {
        return match ($this) {
            self::Flat => 'flat, one layer',
            self::Lengthwise => 'folded lengthwise',
            self::Gate => 'both selvages to the middle',
            self::Crosswise => 'folded crosswise',
            self::Part => 'part folded, part flat',
        };
    }
}

<?php

declare(strict_types=1);

namespace Octavum\Core\Laid;

/** How a piece is to lie to the figures of a print. */
enum PrintPlacement: string
{
    case Middle = 'middle';
    case Clear = 'clear';
    case Whole = 'whole';

    public function words(): string
    {
        return match ($this) {
            self::Middle => 'a figure in the middle',
            self::Clear => 'no figure on its two points',
            self::Whole => 'a figure whole on it',
        };
    }
}

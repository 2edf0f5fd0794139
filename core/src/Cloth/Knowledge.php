<?php

declare(strict_types=1);

namespace Octavum\Core\Cloth;

/** How a property of a cloth is known. */
enum Knowledge: string
{
    case Measured = 'measured';
    case Label = 'label';
    case Seller = 'seller’s word';
    case Burn = 'burn test';
    case Guess = 'guess';
    case Unknown = 'unknown';
}

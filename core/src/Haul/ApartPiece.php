<?php

declare(strict_types=1);

namespace Octavum\Core\Haul;

use Octavum\Core\Measure\Length;

/** A piece of cloth that something was taken apart into. */
final readonly class ApartPiece
{
    public function __construct(public string $name, public int $count, public Length $length, public Length $width)
    {
    }
}

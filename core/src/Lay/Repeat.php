<?php

declare(strict_types=1);

namespace Octavum\Core\Lay;

/** A print's repeat, and the point of a piece that must sit at the same place in it as that of every other. */
final readonly class Repeat
{
    /**
     * @param float $length along the cloth, 0 for none
     * @param float $width  across it, 0 for none
     */
    public function __construct(public float $length, public float $width, public float $x, public float $y)
    {
    }
}

<?php

declare(strict_types=1);

namespace Octavum\Room\Match;

use Octavum\Strip\Strip;

/** A cloth to scale with what it might become hanging from it. */
final readonly class Roll
{
    /**
     * @param list<Stem> $stems named
     * @param list<Stem> $dots  the others, without their names
     */
    public function __construct(public Strip $strip, public array $stems, public array $dots, public float $width, public float $height)
    {
    }
}

<?php

declare(strict_types=1);

namespace Octavum\Core\Cloth;

use Octavum\Core\Measure\Length;

/** A rectangle that is missing from a cut: taken out before, or spoilt. */
final readonly class Bite
{
    /**
     * @param Length $from  the cut end, as measured
     * @param Length $below the upper selvage
     */
    public function __construct(public Length $from, public Length $below, public Length $length, public Length $width)
    {
    }
}

<?php

declare(strict_types=1);

namespace Octavum\Core\Sewing;

use Octavum\Core\Measure\Length;

/** One of the twelve of a year. */
final readonly class Month
{
    /**
     * @param int    $number from 1
     * @param int    $made   garments
     * @param Length $in     cloth that came
     * @param Length $out    cloth that went
     */
    public function __construct(public int $number, public int $made, public int $minutes, public Length $in, public Length $out)
    {
    }
}

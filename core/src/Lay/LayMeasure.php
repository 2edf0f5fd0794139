<?php

declare(strict_types=1);

namespace Octavum\Core\Lay;

/** How good a lay is, and how far it was searched. */
final readonly class LayMeasure
{
    /**
     * @param float $utilisation share of the cloth used that is in pieces, 0 to 1
     * @param float $bound       mm; no lay can be shorter, 0 where that was not worked out
     * @param int   $evaluated   lays tried
     */
    public function __construct(public float $utilisation, public float $bound = 0, public int $evaluated = 0)
    {
    }
}

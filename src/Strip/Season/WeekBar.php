<?php

declare(strict_types=1);

namespace Octavum\Strip\Season;

/** When a project is sewn, on a ruler: pixels from its beginning. */
final readonly class WeekBar
{
    /** @param list<float> $parcels days on which cloth for it comes */
    public function __construct(public float $x, public float $width, public ?float $deadline, public array $parcels = [])
    {
    }
}

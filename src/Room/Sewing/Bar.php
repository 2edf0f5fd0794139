<?php

declare(strict_types=1);

namespace Octavum\Room\Sewing;

/** One bar of a chart, in pixels from the top left. */
final readonly class Bar
{
    public function __construct(public float $x, public float $y, public float $width, public float $height, public string $kind)
    {
    }
}

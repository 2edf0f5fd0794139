<?php

declare(strict_types=1);

namespace Octavum\Strip;

/** The tape along a strip's lower edge, in pixels. */
final readonly class TapeMeasure
{
    /**
     * @param float                               $unit  a metre or a yard
     * @param string                              $ticks path of one unit's ticks, which repeat
     * @param list<array{x: float, name: string}> $names of the whole metres or yards
     */
    public function __construct(public float $unit, public string $ticks, public float $length, public array $names)
    {
    }
}

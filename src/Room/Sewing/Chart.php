<?php

declare(strict_types=1);

namespace Octavum\Room\Sewing;

/** Bars over twelve months, with what they are worth in the table behind. */
final readonly class Chart
{
    public const WIDTH = 360;
    public const HEIGHT = 96;

    /**
     * @param list<Bar>    $bars
     * @param list<string> $lines the scale's marks: y → what it is worth
     * @param list<float>  $marks their y
     */
    public function __construct(public array $bars, public array $lines, public array $marks)
    {
    }
}

<?php

declare(strict_types=1);

namespace Octavum\Core\Svg;

use Octavum\Core\Measure\Sentence;
use Octavum\Core\Shape\Outline;

/** What an SVG file holds for the cutting table: closed outlines by name, in millimetres, the page's right as x, down as y. */
final readonly class Drawing
{
    /**
     * @param list<array{string, Outline}> $outlines
     * @param list<Sentence>               $leftOut  what could not be taken, and why
     * @param bool                         $scaled   the file says how large it is in real units
     */
    public function __construct(public array $outlines, public array $leftOut, public bool $scaled)
    {
    }
}

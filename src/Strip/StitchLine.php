<?php

declare(strict_types=1);

namespace Octavum\Strip;

/** The minutes of a project as a line of stitches: sewn in the thread's colour, chalk dashes to come, the needle between. */
final readonly class StitchLine
{
    /**
     * @param list<SeamStep> $steps
     * @param ?float         $needle null when all is sewn
     * @param string         $thread its colour, dark enough to be seen on paper
     */
    public function __construct(public int $width, public array $steps, public ?float $needle, public string $thread)
    {
    }
}

<?php

declare(strict_types=1);

namespace Octavum\Strip;

use Octavum\Core\Measure\Length;

/** How far a mark reaches on its strip, in pixels, and past its end. */
final readonly class MarkReach
{
    /**
     * @param float   $inside  how much of it lies on cloth
     * @param float   $over    how much of it does not
     * @param ?Length $missing written behind it
     */
    public function __construct(public float $x, public float $inside, public float $over, public ?Length $missing)
    {
    }
}

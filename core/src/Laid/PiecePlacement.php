<?php

declare(strict_types=1);

namespace Octavum\Core\Laid;

use Octavum\Core\Measure\Length;

/** What is asked of one piece: how it lies to the figures, and where on it. */
final readonly class PiecePlacement
{
    /**
     * @param ?Length $down  below the topmost point of the piece as it is cut out; null for half of its length
     * @param ?Length $apart of two points, each as far from the middle of the piece; null for one in the middle
     */
    public function __construct(public PrintPlacement $seat, public ?Length $down = null, public ?Length $apart = null)
    {
    }
}

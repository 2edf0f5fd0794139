<?php

declare(strict_types=1);

namespace Octavum\Room\Table;

use Octavum\Core\Measure\Figure;

/** How far a printed piece reaches: from the cut end, and from the upper edge. */
final readonly class PieceBounds
{
    public function __construct(
        public Figure $from,
        public Figure $to,
        public Figure $above,
        public Figure $below,
    ) {
    }
}

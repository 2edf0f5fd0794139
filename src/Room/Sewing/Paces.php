<?php

declare(strict_types=1);

namespace Octavum\Room\Sewing;

use Octavum\Core\Project\Time\Pace;

/** How fast someone sews: on all garments, and on garments like one. */
final readonly class Paces
{
    public function __construct(
        public Pace $all,
        public Pace $alike,
    ) {
    }
}

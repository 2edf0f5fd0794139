<?php

declare(strict_types=1);

namespace Octavum\Core\Pattern;

use Octavum\Core\Measure\Length;
use Octavum\Core\Piece\Role;

/** One row of a requirement table: a role at a nominal full width, and the length for each size that has one. */
final readonly class Requirement
{
    /**
     * @param array<int|string, Length> $cells  size → length
     * @param array<int|string, string> $ranges size → as it is printed, where that is a range of which the larger figure is taken
     */
    public function __construct(
        public Role $role,
        public Length $width,
        public Nap $nap,
        public array $cells,
        public array $ranges = [],
    ) {
    }
}

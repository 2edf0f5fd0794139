<?php

declare(strict_types=1);

namespace Octavum\Core\Need;

use Octavum\Core\Lay\Request\Fold;
use Octavum\Core\Measure\Length;

/** What a saved lay says of one role on one cut. */
final readonly class LaidOut
{
    /**
     * @param Length       $whole       used by all that lies on the cut
     * @param Length       $share       of it for this role, by area
     * @param list<string> $others      that lie on the cut with it
     * @param int          $utilisation per cent of the cloth used that is in pieces
     * @param list<string> $without     pieces of it that come from elsewhere
     */
    public function __construct(
        public string $lay,
        public Fold $fold,
        public Length $whole,
        public Length $share,
        public array $others,
        public int $utilisation,
        public array $without = [],
    ) {
    }
}

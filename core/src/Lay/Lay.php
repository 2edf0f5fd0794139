<?php

declare(strict_types=1);

namespace Octavum\Core\Lay;

use Octavum\Core\Lay\Request\Fold;
use Octavum\Core\Lay\Request\Placement;
use Octavum\Core\Lay\Way\Fault;

/** Pieces laid on cloth. Lengths in millimetres. */
final readonly class Lay
{
    /**
     * @param array<string, float>                                                      $used       length used of each cut
     * @param list<Placement>                                                           $placements
     * @param list<Unplaced>                                                            $unplaced
     * @param list<array{cut: string, x: float, y: float, length: float, width: float}> $leftovers  the largest free rectangles
     * @param array<string, float|Fault>                                                $folds      by way: length, or why refused
     */
    public function __construct(
        public Status $status,
        public Fold $fold,
        public array $used,
        public array $placements,
        public array $unplaced,
        public array $leftovers,
        public array $folds,
        public LayMeasure $measure,
    ) {
    }
}

<?php

declare(strict_types=1);

namespace Octavum\Core\Lay\Way;

use Octavum\Core\Lay\Request\Fold;

/** One way of laying, ready to be searched: the lanes and what goes on them, or why it cannot be. */
final readonly class Way
{
    /**
     * @param list<Lane> $lanes
     * @param list<Item> $items
     * @param float      $doubled cloth used for each millimetre of a lane, 2 when folded crosswise
     */
    public function __construct(
        public Fold $fold,
        public array $lanes,
        public array $items,
        public float $doubled = 1,
        public ?Fault $refused = null,
    ) {
    }
}

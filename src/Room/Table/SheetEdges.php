<?php

declare(strict_types=1);

namespace Octavum\Room\Table;

/** The edges of a printed sheet and its folds. */
final readonly class SheetEdges
{
    /**
     * @param string      $upper what the upper edge is: fold, selvage …
     * @param list<float> $folds how far from the upper edge, in millimetres
     */
    public function __construct(
        public string $upper,
        public string $lower,
        public array $folds,
    ) {
    }
}

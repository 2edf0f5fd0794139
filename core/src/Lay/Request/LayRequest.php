<?php

declare(strict_types=1);

namespace Octavum\Core\Lay\Request;

/** What is to be laid on what, and how. Lengths in millimetres. */
final readonly class LayRequest
{
    /**
     * @param non-empty-list<Sheet>    $sheets
     * @param non-empty-list<LayPiece> $pieces
     * @param float                    $gap     free space between pieces
     * @param bool                     $oneWay  the top of every piece points the same way
     * @param non-empty-list<Fold>     $folds   to consider; the best one wins
     * @param float                    $seconds to search
     * @param list<Placement>          $fixed   lie where they are, in the first of the folds; only the rest is laid
     */
    public function __construct(
        public array $sheets,
        public array $pieces,
        public float $gap = 0,
        public bool $oneWay = false,
        public array $folds = [Fold::Flat],
        public float $seconds = 2,
        public int $seed = 1,
        public array $fixed = [],
    ) {
    }

    public function area(): float
    {
        return array_sum(array_map(static fn (LayPiece $piece): float => $piece->quantity * $piece->flat()->area(), $this->pieces));
    }
}

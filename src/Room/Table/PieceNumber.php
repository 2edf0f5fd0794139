<?php

declare(strict_types=1);

namespace Octavum\Room\Table;

/** The number of a piece on a printed lay, and where it stands, in millimetres. */
final readonly class PieceNumber
{
    public function __construct(
        public int $number,
        public float $x,
        public float $y,
        public float $size,
    ) {
    }
}

<?php

declare(strict_types=1);

namespace Octavum\Core\Laid;

use Octavum\Core\Shape\Outline;

/** Where a copy of a piece lies in a saved lay. Millimetres. */
final readonly class LaidPiece
{
    /**
     * @param int $garment its place in the lay's list
     * @param int $sheet   likewise
     */
    public function __construct(
        public int $garment,
        public string $piece,
        public int $copy,
        public int $sheet,
        public int $turn,
        public bool $flipped,
        public int $layers,
        public float $x,
        public float $y,
        public Outline $outline,
        public bool $locked = false,
    ) {
    }

    public function area(): float
    {
        return $this->outline->area() * $this->layers;
    }
}

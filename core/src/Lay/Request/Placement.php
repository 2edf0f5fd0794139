<?php

declare(strict_types=1);

namespace Octavum\Core\Lay\Request;

use Octavum\Core\Shape\Outline;

/** Where a copy of a piece lies. */
final readonly class Placement
{
    /**
     * @param int     $copy    counted from 1; the first of two where two layers give two copies
     * @param int     $turn    degrees
     * @param int     $layers  cut through at once: 2 gives two copies, or one of a piece on the fold
     * @param Outline $outline in the cloth's coordinates, its points in the order of the request
     */
    public function __construct(
        public LayPiece $piece,
        public int $copy,
        public string $sheet,
        public int $turn,
        public bool $flipped,
        public int $layers,
        public float $x,
        public float $y,
        public Outline $outline,
    ) {
    }

    /** Square millimetres of cloth it takes, in all layers. */
    public function area(): float
    {
        return $this->outline->area() * $this->layers;
    }

    /** @return ?array{float, float} where the point lies that is matched to a repeat; null where the piece is not matched */
    public function matched(): ?array
    {
        $match = $this->piece->match;
        if (null === $match) {
            return null;
        }
        $point = Outline::convex([[$match->x, $match->y]]);

        return ($this->flipped ? $point->flipped() : $point)->turned($this->turn)->moved($this->x, $this->y)->points[0];
    }
}

<?php

declare(strict_types=1);

namespace Octavum\Room\Table;

use Octavum\Core\Laid\LaidPiece;
use Octavum\Core\Measure\Figure;

/** A piece of a saved lay as it is printed: where its number stands, in millimetres, and its place in the reader's units. */
final readonly class DrawnPiece
{
    /**
     * @param string $garment whose it is, where several lie together
     * @param string $path    its outline
     * @param string $grain   an arrow from its lower end to its top
     * @param float  $size    of its number
     */
    public function __construct(
        public int $number,
        public LaidPiece $piece,
        public string $garment,
        public string $path,
        public float $x,
        public float $y,
        public string $grain,
        public float $size,
        public Figure $from,
        public Figure $to,
        public Figure $above,
        public Figure $below,
    ) {
    }
}

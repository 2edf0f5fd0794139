<?php

declare(strict_types=1);

namespace Octavum\Room\Table;

use Octavum\Core\Laid\LaidPiece;

/** A piece of a saved lay as it is printed: where its number stands, in millimetres, and its place in the reader's units. */
final readonly class DrawnPiece
{
    /**
     * @param string $garment whose it is, where several lie together
     * @param string $path    its outline
     * @param string $grain   an arrow from its lower end to its top
     */
    public function __construct(
        public PieceNumber $number,
        public LaidPiece $piece,
        public string $garment,
        public string $path,
        public string $grain,
        public PieceBounds $bounds,
    ) {
    }
}

<?php

declare(strict_types=1);

namespace Octavum\Core\Lay;

/** A print's repeat, and the point of a piece that must sit at the same place in it as that of every other. */
final readonly class Repeat
{
    /**
     * @param float                $length along the cloth, 0 for none
     * @param float                $width  across it, 0 for none
     * @param ?array{float, float} $at     one of the places on the cloth where it must sit, as where the middle of a figure lies;
     *                                     null for any, as long as it is the same in the repeat for all pieces
     */
    public function __construct(
        public float $length,
        public float $width,
        public float $x,
        public float $y,
        public ?array $at = null,
    ) {
    }
}

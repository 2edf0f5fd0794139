<?php

declare(strict_types=1);

namespace Octavum\Core\Piece;

/** One measurement of a drafted shape, in millimetres, degrees or per cent. */
final readonly class Measure
{
    public function __construct(
        public string $name,
        public float $usual,
        public float $least = 1,
        public float $most = 5000,
        public string $unit = 'mm',
    ) {
    }
}

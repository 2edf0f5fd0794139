<?php

declare(strict_types=1);

namespace Octavum\Room\Table;

use Octavum\Core\Measure\Figure;

/** A sheet of a saved lay as it is printed; millimetres, the upper selvage at nought. */
final readonly class DrawnSheet
{
    /**
     * @param float            $length of the sheet as it lies
     * @param float            $drawn  as far as it or its pieces go
     * @param list<DrawnPiece> $pieces from the cut end on
     */
    public function __construct(
        public string $name,
        public float $length,
        public float $drawn,
        public float $height,
        public Figure $width,
        public Figure $used,
        public SheetEdges $edges,
        public array $pieces,
    ) {
    }
}

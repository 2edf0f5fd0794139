<?php

declare(strict_types=1);

namespace Octavum\Strip;

use Octavum\Core\Cloth\Cloth;

/** A cut drawn to scale: everything the template prints, in pixels. */
final readonly class Strip
{
    /**
     * @param ?Cloth            $cloth   null for cloth still to be bought
     * @param float             $room    width of the whole drawing
     * @param list<Mark>        $marks
     * @param list<PerhapsMark> $perhaps what options might take
     */
    public function __construct(
        public string $id,
        public ?Cloth $cloth,
        public float $room,
        public StripShape $shape,
        public array $marks,
        public TapeMeasure $tape,
        public bool $large,
        public array $perhaps = [],
    ) {
    }

    /** Whether others claim the cut too; their claims are hatched. */
    public function isShared(): bool
    {
        foreach ($this->marks as $mark) {
            if (!$mark->own) {
                return true;
            }
        }

        return false;
    }
}

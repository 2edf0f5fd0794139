<?php

declare(strict_types=1);

namespace Octavum\Strip;

use Octavum\Core\Cloth\Cloth;

/** A cut drawn to scale: everything the template prints, in pixels. */
final readonly class Strip
{
    /**
     * @param ?Cloth            $cloth      null for cloth still to be bought
     * @param float             $room       width of the whole drawing
     * @param float             $length     of the cloth along x
     * @param float             $height     of the cloth along y
     * @param string            $edge       path of the cloth's outline; empty where none is owned
     * @param list<Mark>        $marks
     * @param bool              $widthKnown a strip of unknown width has a wavy lower edge
     * @param bool              $torn       longer than is drawn
     * @param string            $holes      path of what is missing from the cut
     * @param list<PerhapsMark> $perhaps    what options might take
     */
    public function __construct(
        public string $id,
        public ?Cloth $cloth,
        public float $room,
        public float $length,
        public float $height,
        public string $edge,
        public array $marks,
        public TapeMeasure $tape,
        public bool $widthKnown,
        public bool $lengthKnown,
        public bool $torn,
        public bool $large,
        public string $holes = '',
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

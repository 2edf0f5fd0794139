<?php

declare(strict_types=1);

namespace Octavum\Strip;

/** How the cloth of a strip is drawn, in pixels. */
final readonly class StripShape
{
    /**
     * @param float  $length     of the cloth along x
     * @param float  $height     of the cloth along y
     * @param string $edge       path of the cloth's outline; empty where none is owned
     * @param string $holes      path of what is missing from the cut
     * @param bool   $widthKnown a strip of unknown width has a wavy lower edge
     * @param bool   $torn       longer than is drawn
     */
    public function __construct(
        public float $length,
        public float $height,
        public string $edge,
        public string $holes,
        public bool $widthKnown,
        public bool $lengthKnown,
        public bool $torn,
    ) {
    }
}

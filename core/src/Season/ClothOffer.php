<?php

declare(strict_types=1);

namespace Octavum\Core\Season;

use Octavum\Core\Cloth\Cloth;
use Octavum\Core\Cloth\Cut;
use Octavum\Core\Measure\Length;

/** A cut from which some pieces could come. */
final readonly class ClothOffer
{
    /**
     * @param Length $free  of it to cut from, after those who have it
     * @param Length $need  of the pieces, laid in a moment
     * @param Length $width usable
     */
    public function __construct(public Cloth $cloth, public Cut $cut, public Length $free, public Length $need, public Length $width)
    {
    }

    public function left(): Length
    {
        return $this->free->minus($this->need);
    }
}

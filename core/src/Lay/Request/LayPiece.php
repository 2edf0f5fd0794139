<?php

declare(strict_types=1);

namespace Octavum\Core\Lay\Request;

use Octavum\Core\Shape\Outline;

/** A pattern piece to be laid, with how many of it and how it may lie. */
final readonly class LayPiece
{
    /**
     * @param int     $quantity copies wanted
     * @param bool    $pair     half of the copies turned over
     * @param bool    $onFold   the outline's edge on y = 0 is a fold edge
     * @param ?string $cut      only from that cut
     * @param ?Repeat $match    the point that must sit at the same place in the repeat
     * @param bool    $eased    its top may point either way on one-way cloth too, where nobody sees it
     * @param ?float  $edge     its lower end, where its x is largest, lies across the cloth at this y, mm: at a border, or at a
     *                          finished edge that is to be the hem
     */
    public function __construct(
        public string $id,
        public Outline $outline,
        public int $quantity = 1,
        public bool $pair = false,
        public bool $onFold = false,
        public Grain $grain = Grain::Along,
        public ?string $cut = null,
        public ?Repeat $match = null,
        public bool $eased = false,
        public ?float $edge = null,
    ) {
    }

    /**
     * @param bool $oneWay the top of every piece points the same way, but of those that are eased; of what is matched to a print that
     *                     is not the same turned by 180° it always does
     *
     * @return non-empty-list<int> degrees by which it may be turned
     */
    public function turns(bool $oneWay): array
    {
        $isAlike = null === $this->match || !$this->match->isFree() || $this->match->alike;

        return null === $this->edge ? $this->grain->turns(!$isAlike || ($oneWay && !$this->eased)) : [270];
    }

    /** Laid flat: opened at its fold where it has one. */
    public function flat(): Outline
    {
        return $this->onFold ? $this->outline->unfolded() : $this->outline;
    }
}

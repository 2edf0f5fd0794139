<?php

declare(strict_types=1);

namespace Octavum\Core\Laid;

use Octavum\Core\Measure\Length;

/** How pieces are to be laid. Pieces are named as in a lay: garment and name, "0/Front". */
final readonly class LayRules
{
    /**
     * @param bool         $oneWay    the top of every piece points the same way
     * @param float        $gap       between pieces, mm
     * @param ?Length      $allowance instead of the one that is added to a piece
     * @param bool         $match     the repeat of the first cloth that has one, at the lower end of each main piece
     * @param list<string> $off       pieces that come from other cloth
     * @param list<string> $eased     those whose tops may point either way on one-way cloth
     * @param bool         $across    every piece lies across the cloth that would lie along it, and the reverse
     * @param list<string> $edged     those whose lower end lies at the upper edge of the cloth: at a border, or at a finished edge
     * @param ?Length      $edge      how far from that edge; null at it
     * @param ?Figures     $figures   of the print, to which pieces are laid
     * @param string       $word      why pieces are eased
     */
    public function __construct(
        public bool $oneWay = false,
        public float $gap = 0,
        public ?Length $allowance = null,
        public bool $match = false,
        public array $off = [],
        public array $eased = [],
        public bool $across = false,
        public array $edged = [],
        public ?Length $edge = null,
        public ?Figures $figures = null,
        public string $word = '',
    ) {
    }

    /** The same with the top of every piece pointing the same way. */
    public function sameWayUp(): self
    {
        return new self(
            true,
            $this->gap,
            $this->allowance,
            $this->match,
            $this->off,
            $this->eased,
            $this->across,
            $this->edged,
            $this->edge,
            $this->figures,
            $this->word,
        );
    }

    /** Whether what is laid depends on where the print repeats. */
    public function followsPrint(): bool
    {
        return $this->match || null !== $this->figures;
    }
}

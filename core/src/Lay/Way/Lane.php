<?php

declare(strict_types=1);

namespace Octavum\Core\Lay\Way;

use Octavum\Core\Shape\Outline;

/**
 * A strip on which pieces are laid: a whole cut laid flat, a folded one, or half of one whose selvages meet in the middle.
 * Its own y runs from 0, where a fold edge lies if there is one.
 */
final readonly class Lane
{
    /**
     * @param float                           $length  \INF for a roll
     * @param int                             $layers  of cloth on one another
     * @param bool                            $fold    a fold edge lies at y = 0
     * @param float                           $offset  of its y = 0 in the cloth as it lies
     * @param bool                            $down    its y runs against the cloth's
     * @param list<list<array{float, float}>> $missing parts that are not cloth, or taken
     * @param float                           $taken   how far pieces lie on it to begin with
     */
    public function __construct(
        public string $sheet,
        public float $width,
        public float $length,
        public int $layers = 1,
        public bool $fold = false,
        public float $offset = 0,
        public bool $down = false,
        public array $missing = [],
        public float $taken = 0,
    ) {
    }

    /** An outline in the cloth's coordinates, in the lane's own. */
    public function seen(Outline $outline): Outline
    {
        return $this->down ? $outline->flipped()->moved(0, $this->offset) : $outline->moved(0, -$this->offset);
    }

    /** The same, of which there is as much as anybody wants. */
    public function endless(): self
    {
        return new self(
            $this->sheet,
            $this->width,
            \INF,
            layers: $this->layers,
            fold: $this->fold,
            offset: $this->offset,
            down: $this->down,
            missing: $this->missing,
            taken: $this->taken,
        );
    }

    /** @param list<list<array{float, float}>> $parts */
    public function without(array $parts, float $end): self
    {
        return new self(
            $this->sheet,
            $this->width,
            $this->length,
            layers: $this->layers,
            fold: $this->fold,
            offset: $this->offset,
            down: $this->down,
            missing: [...$this->missing, ...$parts],
            taken: max($this->taken, $end),
        );
    }
}

<?php

declare(strict_types=1);

namespace Octavum\Core\Lay;

/** What is laid in one go: a copy of a piece, two of them through two layers, or one on the fold. */
final readonly class Item
{
    /**
     * @param int           $copy     the first it stands for, from 1
     * @param bool          $onFold   must lie at a lane's fold edge
     * @param list<Variant> $variants ways it may lie
     */
    public function __construct(public Piece $piece, public int $copy, public int $layers, public bool $onFold, public array $variants)
    {
    }

    public function area(): float
    {
        return $this->variants[0]->outline->area();
    }
}

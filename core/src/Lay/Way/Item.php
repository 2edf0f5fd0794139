<?php

declare(strict_types=1);

namespace Octavum\Core\Lay\Way;

use Octavum\Core\Lay\Request\LayPiece;

/** What is laid in one go: a copy of a piece, two of them through two layers, or one on the fold. */
final readonly class Item
{
    /** @var list<Variant> */
    public array $all;

    /** The y of its lane at which it must lie: at the fold, or with its lower end at an edge; null for any. */
    public ?float $held;

    /**
     * @param int           $copy     the first it stands for, from 1
     * @param bool          $onFold   must lie at a lane's fold edge
     * @param list<Variant> $variants ways it may lie
     * @param list<Variant> $all      ways it may lie when it is not held to fewer
     */
    public function __construct(
        public LayPiece $piece,
        public int $copy,
        public int $layers,
        public bool $onFold,
        public array $variants,
        array $all = [],
    ) {
        $this->held = $onFold ? 0.0 : $piece->edge;
        $this->all = [] === $all ? $variants : $all;
    }

    public function area(): float
    {
        return $this->isPair()
            ? array_sum(array_map(static fn (Member $member): float => $member->item->area(), $this->variants[0]->members))
            : $this->variants[0]->outline->area();
    }

    /** Two items that are laid as one. */
    public function isPair(): bool
    {
        return [] !== $this->variants[0]->members;
    }

    /** @return non-empty-list<self> those it stands for, or itself */
    public function split(): array
    {
        $members = array_map(static fn (Member $member): self => $member->item, $this->variants[0]->members);

        return [] === $members ? [$this] : $members;
    }

    /** The same, to be laid one way only. */
    public function only(Variant $variant): self
    {
        return new self($this->piece, $this->copy, $this->layers, onFold: $this->onFold, variants: [$variant], all: $this->all);
    }

    /** Any way it may lie again. */
    public function free(): self
    {
        return new self($this->piece, $this->copy, $this->layers, $this->onFold, $this->all);
    }
}

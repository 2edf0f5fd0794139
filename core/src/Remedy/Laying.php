<?php

declare(strict_types=1);

namespace Octavum\Core\Remedy;

use Octavum\Core\Lay\Request\Fold;
use Octavum\Core\Measure\Assumptions;
use Octavum\Core\Measure\Length;
use Octavum\Core\Need\Block\Block;
use Octavum\Core\Need\Block\LaySurface;
use Octavum\Core\Need\CuttingCloth;
use Octavum\Core\Need\NeedRequest;
use Octavum\Core\Piece\Instead;
use Octavum\Core\Piece\Piece;
use Octavum\Core\Piece\PieceSet;
use Octavum\Core\Piece\Shape;

/** Pieces in a size, to be laid on a cloth: what a remedy changes. */
final readonly class Laying
{
    /** At the clock, for all its pieces together, and a share of them for each at least. */
    public const LOOKS = 1200;
    private const LEAST = 30;

    /**
     * @param array<string, Piece> $pieces  with a shape in the size, by name
     * @param ?string              $smaller the size below, where there is one
     * @param int                  $looks   at the clock, for all its pieces together: how long is searched
     */
    public function __construct(
        public array $pieces,
        public string $size,
        public LaySurface $surface,
        public ?string $smaller = null,
        public int $looks = self::LOOKS,
    ) {
    }

    /**
     * @param list<Piece>  $pieces with a shape in the size
     * @param list<string> $sizes  all there are, the smallest first
     */
    public static function of(array $pieces, string $size, LaySurface $surface, array $sizes = []): self
    {
        $at = array_search($size, $sizes, true);

        return new self(array_column($pieces, null, 'name'), $size, $surface, false === $at ? null : $sizes[$at - 1] ?? null);
    }

    /** The own pieces of what is wanted, on a cloth; null where none are entered, or no width is known. */
    public static function own(NeedRequest $wanted, CuttingCloth $on, Assumptions $assumptions): ?self
    {
        $surface = $wanted->surface($on, $assumptions);
        $size = $wanted->largestSize();
        $version = $wanted->version;
        $pieces = $version?->pieces->in($size, $wanted->role) ?? [];

        return null === $version || null === $surface || [] === $pieces ? null : self::of($pieces, $size, $surface, $version->table->sizes);
    }

    /** What tells it from others, where lays of it are kept; what is laid one size smaller goes by the pieces of that size. */
    public function key(): string
    {
        $sizes = array_filter([$this->size, $this->smaller], is_string(...));
        $pieces = PieceSet::of(array_values($this->pieces), $sizes);
        $marks = array_map(static fn (string $size): string => $size.' '.$pieces->mark($size), $sizes);

        return hash('xxh128', implode(' ', $marks).' '.$this->surface->key());
    }

    /**
     * @param \Closure(string): bool $which
     *
     * @return list<string> names of pieces
     */
    public function named(\Closure $which): array
    {
        return array_values(array_filter(array_map(strval(...), array_keys($this->pieces)), $which));
    }

    public function lets(string $name, Instead $instead): bool
    {
        return \in_array($instead, $this->pieces[$name]->instead, true);
    }

    public function shape(string $name): ?Shape
    {
        return ($this->pieces[$name] ?? null)?->in($this->size);
    }

    /**
     * Flat, in one layer, for a tenth of a second or so: a longer search finds less.
     *
     * @param int $times as long
     *
     * @return ?Length null when it does not go on at all
     */
    public function length(Block $block, int $times = 1): ?Length
    {
        return [] === $this->pieces
            ? Length::zero()
            : $block->laid(array_values($this->pieces), $this->surface, [Fold::Flat], $this->size, $this->looks($times));
    }

    /** At the clock, for a lay of all its pieces. */
    public function looks(int $times = 1): int
    {
        return $times * max(intdiv($this->looks, self::LEAST), intdiv($this->looks, max(1, \count($this->pieces))));
    }

    /** The same, searched for so many looks at the clock. */
    public function within(int $looks): self
    {
        return new self($this->pieces, $this->size, $this->surface, $this->smaller, $looks);
    }

    /** @param list<string> $names */
    public function without(array $names): self
    {
        return $this->having(array_diff_key($this->pieces, array_flip($names)));
    }

    /**
     * Some of its pieces changed; those that are gone already stay so.
     *
     * @param list<string>                 $names
     * @param \Closure(Piece, self): Piece $change
     */
    public function changed(array $names, \Closure $change): self
    {
        $pieces = $this->pieces;
        foreach (array_intersect($names, array_map(strval(...), array_keys($pieces))) as $name) {
            $pieces[$name] = $change($pieces[$name], $this);
        }

        return $this->having($pieces);
    }

    /** Longer or shorter along its grain, wider or narrower across it. */
    public function scaled(Piece $piece, float $along, float $across): Piece
    {
        $shape = $piece->in($this->size);

        return null === $shape
            ? $piece
            : $piece->renamed($piece->name, $piece->role, [new Shape([], $shape->drawn->scaled($along, $across), $shape->allowance)]);
    }

    /** Millimetres along its grain, nothing when there is no such piece. */
    public function long(string $name): float
    {
        $piece = $this->pieces[$name] ?? null;

        return null === $piece ? 0.0 : $piece->in($this->size)?->cutOut($piece->onFold)->length() ?? 0.0;
    }

    /** @param array<string, Piece> $pieces */
    private function having(array $pieces): self
    {
        return new self($pieces, $this->size, $this->surface, $this->smaller, $this->looks);
    }
}

<?php

declare(strict_types=1);

namespace Octavum\Core\Piece;

use Octavum\Core\Lay\Request\Grain;

/** A piece of a version: how many of it, from which cloth, how it may lie, and its shape in each size. */
final readonly class Piece
{
    /**
     * @param int           $quantity copies to cut
     * @param bool          $pair     half of them turned over
     * @param bool          $onFold   the paper shows one half
     * @param list<Instead> $instead  what may be done about it when cloth is short
     * @param list<Shape>   $shapes
     */
    public function __construct(
        public string $name,
        public Role $role = Role::Main,
        public int $quantity = 1,
        public bool $pair = false,
        public bool $onFold = false,
        public Grain $grain = Grain::Along,
        public array $instead = [],
        public array $shapes = [],
    ) {
    }

    /** Its shape in a size; null when it has none. */
    public function in(string $size): ?Shape
    {
        foreach ($this->shapes as $shape) {
            if ([] === $shape->sizes || \in_array($size, $shape->sizes, true)) {
                return $shape;
            }
        }

        return null;
    }

    /** Whether nobody has measured it: each of its shapes stands in the usual proportions in which it was offered. */
    public function isUsual(): bool
    {
        return [] !== $this->shapes && [] === array_filter(
            $this->shapes,
            static fn (Shape $shape): bool => true !== $shape->drafted?->isUsual(),
        );
    }

    /** The width of cloth it takes, mm, laid opened and the way that takes least; null when it has no shape in the size. */
    public function across(string $size): ?float
    {
        $cut = $this->in($size)?->cutOut($this->onFold);
        $flat = null !== $cut && $this->onFold ? $cut->unfolded() : $cut;

        return null === $flat
            ? null
            : min(array_map(static fn (int $turn): float => $flat->turned($turn)->width(), $this->grain->turns(true)));
    }

    /** Of all its copies as they are cut out, opened at the fold, mm²; nothing when it has no shape in the size. */
    public function area(string $size): float
    {
        return ($this->onFold ? 2 : 1) * $this->quantity * ($this->in($size)?->cutOut($this->onFold)->area() ?? 0);
    }

    /**
     * The same piece under another name, for another cloth or in other shapes.
     *
     * @param list<Shape> $shapes
     */
    public function renamed(string $name, Role $role, array $shapes): self
    {
        return new self(
            $name,
            $role,
            $this->quantity,
            pair: $this->pair,
            onFold: $this->onFold,
            grain: $this->grain,
            instead: $this->instead,
            shapes: $shapes,
        );
    }

    /**
     * With these shapes in the place of what it had for their sizes.
     *
     * @param list<Shape> $shapes
     */
    public function with(array $shapes): self
    {
        $new = array_merge(...array_map(static fn (Shape $shape): array => $shape->sizes, $shapes));
        $kept = [];
        foreach ($this->shapes as $shape) {
            $sizes = array_values(array_diff($shape->sizes, $new));
            if ([] !== $new && ([] !== $sizes || [] === $shape->sizes)) {
                $kept[] = new Shape($sizes, $shape->drawn, $shape->allowance, $shape->drafted);
            }
        }

        return $this->renamed($this->name, $this->role, [...$shapes, ...$kept]);
    }

    /**
     * The same piece in other sizes, from its shape in one, longer and wider by a factor.
     *
     * @param list<string> $to none for all sizes
     */
    public function graded(string $from, array $to, float $along, float $across): ?self
    {
        $shape = $this->in($from);

        return null === $shape
            ? null
            : $this->renamed($this->name, $this->role, [
                1.0 === $along && 1.0 === $across
                    ? new Shape($to, $shape->drawn, $shape->allowance, $shape->drafted)
                    : new Shape($to, $shape->drawn->scaled($along, $across), $shape->allowance),
            ]);
    }
}

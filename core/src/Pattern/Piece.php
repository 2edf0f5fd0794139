<?php

declare(strict_types=1);

namespace Octavum\Core\Pattern;

use Octavum\Core\Lay\Grain;

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
}

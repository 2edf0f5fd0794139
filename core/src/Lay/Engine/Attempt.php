<?php

declare(strict_types=1);

namespace Octavum\Core\Lay\Engine;

use Octavum\Core\Lay\Item;
use Octavum\Core\Lay\Way;

/**
 * The best lay that was found so far for one way of laying.
 *
 * @internal
 */
final class Attempt
{
    /** @var list<Spot> */
    public array $spots = [];

    private readonly Cost $cost;

    /** @var list<Item> for which there is no room */
    public array $left;

    public function __construct(public readonly Way $way)
    {
        $this->left = $way->items;
        $this->cost = new Cost($way);
    }

    /**
     * Takes a lay that costs less.
     *
     * @param list<Spot> $spots
     * @param list<Item> $left
     */
    public function take(array $spots, array $left): void
    {
        if ($this->cost->of($spots, $left) < $this->cost() - 1e-6) {
            [$this->spots, $this->left] = [$spots, $left];
        }
    }

    public function cost(): float
    {
        return $this->cost->of($this->spots, $this->left);
    }

    public function length(): float
    {
        return $this->cost->length($this->spots);
    }
}

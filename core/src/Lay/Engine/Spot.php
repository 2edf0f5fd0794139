<?php

declare(strict_types=1);

namespace Octavum\Core\Lay\Engine;

use Octavum\Core\Lay\Item;
use Octavum\Core\Lay\Variant;

/** Where an item lies: on which lane, in which variant, and the place of its lowest x and y there. */
final readonly class Spot
{
    public function __construct(public Item $item, public Variant $variant, public int $lane, public float $x, public float $y)
    {
    }

    public function at(float $x, float $y): self
    {
        return new self($this->item, $this->variant, $this->lane, $x, $y);
    }
}

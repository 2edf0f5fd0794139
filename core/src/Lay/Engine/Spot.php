<?php

declare(strict_types=1);

namespace Octavum\Core\Lay\Engine;

use Octavum\Core\Lay\Way\Item;
use Octavum\Core\Lay\Way\Member;
use Octavum\Core\Lay\Way\Variant;

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

    public function movedTo(int $lane): self
    {
        return new self($this->item, $this->variant, $lane, $this->x, $this->y);
    }

    /** @return non-empty-list<self> the pieces laid as one, each for itself */
    public function apart(): array
    {
        $apart = array_map(
            fn (Member $piece): self => new self($piece->item, $piece->variant, $this->lane, $this->x + $piece->x, $this->y + $piece->y),
            $this->variant->members,
        );

        return [] === $apart ? [$this] : $apart;
    }
}

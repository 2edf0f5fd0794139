<?php

declare(strict_types=1);

namespace Octavum\Core\Lay\Engine;

use Octavum\Core\Lay\Item;
use Octavum\Core\Lay\Variant;

/** One of two items that are laid as one, and where it lies in the pair. @internal */
final readonly class Member
{
    public function __construct(public Item $item, public Variant $variant, public float $x, public float $y)
    {
    }
}

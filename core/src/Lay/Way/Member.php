<?php

declare(strict_types=1);

namespace Octavum\Core\Lay\Way;

/** One of two items that are laid as one, and where it lies in the pair. @internal */
final readonly class Member
{
    public function __construct(public Item $item, public Variant $variant, public float $x, public float $y)
    {
    }
}

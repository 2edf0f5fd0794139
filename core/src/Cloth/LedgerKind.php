<?php

declare(strict_types=1);

namespace Octavum\Core\Cloth;

/** What happened to a cut. */
enum LedgerKind: string
{
    case Bought = 'bought';
    case Washed = 'washed';
    case Steamed = 'steamed';
    case NotWashed = 'not to be washed';
    case Measured = 'measured';
    case Cut = 'cut';
    case Remnant = 'remnant';
    case GivenAway = 'given away';
    case Spoilt = 'spoilt';

    /** Takes the shrinkage out of a cloth. */
    public function shrinks(): bool
    {
        return self::Washed === $this || self::Steamed === $this;
    }
}

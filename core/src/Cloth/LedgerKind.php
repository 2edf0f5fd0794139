<?php

declare(strict_types=1);

namespace Octavum\Core\Cloth;

/** What happened to a cut. */
enum LedgerKind: string
{
    case Bought = 'bought';
    case Washed = 'washed';
    case Steamed = 'steamed';
    case Dyed = 'dyed';
    case NotWashed = 'not to be washed';
    case Measured = 'measured';
    case Straightened = 'straightened';
    case Cut = 'cut';
    case Remnant = 'remnant';
    case GivenAway = 'given away';
    case Spoilt = 'spoilt';
    case TakenApart = 'taken apart';

    /** Takes the shrinkage out of a cloth. */
    public function shrinks(): bool
    {
        return \in_array($this, [self::Washed, self::Steamed, self::Dyed], true);
    }

    /** Takes cloth away: what is left is never longer than before. */
    public function takes(): bool
    {
        return self::Cut === $this || self::Remnant === $this || $this->takesAll();
    }

    /** Leaves nothing of it, unless a length says what is left. */
    public function takesAll(): bool
    {
        return \in_array($this, [self::GivenAway, self::Spoilt, self::TakenApart], true);
    }
}

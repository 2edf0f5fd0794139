<?php

declare(strict_types=1);

namespace Octavum\Core\Need;

use Octavum\Core\Measure\Assumptions;
use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\Percent;
use Octavum\Core\Measure\Rounding;

/** Is it enough? Source: docs/rules.md. */
enum Verdict: string
{
    case Fits = 'fits';
    case Tight = 'tight';
    case Short = 'short';
    case NotKnown = 'not known yet';
    case ToBuy = 'to buy';

    /** @param Length $spare to cut from − need; negative when it is missing */
    public static function of(Length $spare, Length $need, Assumptions $assumptions): self
    {
        if ($spare->isNegative()) {
            return self::Short;
        }
        $margin = $assumptions->fitsLeast->larger($assumptions->fitsShare->shareOf($need, Rounding::Up));

        return $spare->isLessThan($margin) ? self::Tight : self::Fits;
    }

    /** The largest need that a length fits. */
    public static function largest(Length $free, Assumptions $assumptions): Length
    {
        $whole = Percent::of(100)->hundredths;

        return $free->minus($assumptions->fitsLeast)->smaller(
            $free->scaled($whole, $whole + $assumptions->fitsShare->hundredths, Rounding::Down),
        );
    }

    /** The graver of two: short before not known before to buy before tight before fits. */
    public function graver(self $other): self
    {
        return $other->gravity() > $this->gravity() ? $other : $this;
    }

    private function gravity(): int
    {
        return match ($this) {
            self::Short => 4,
            self::NotKnown => 3,
            self::ToBuy => 2,
            self::Tight => 1,
            self::Fits => 0,
        };
    }
}

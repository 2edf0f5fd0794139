<?php

declare(strict_types=1);

namespace Octavum\Core\Cloth;

use Octavum\Core\Measure\Sentence;

/** What can be tried on a cloth to know more of it. */
enum TestKind: string
{
    case Width = 'width';
    case Shrink = 'shrink';
    case Stretch = 'stretch';
    case Swatch = 'swatch';
    case ByWeight = 'length by weight';
    case Bolt = 'length on a bolt';
    case Drape = 'drape';
    case Opacity = 'opacity';
    case Pressing = 'pressing';
    case Burn = 'burn';

    /** What is to be minded before it is done. */
    public function caution(): ?Sentence
    {
        return self::Burn !== $this ? null : new Sentence(
            'Do it outdoors or over a sink, with water at hand. Tie hair and sleeves back. Hold a tiny snippet in tweezers, never in fingers, and do not breathe the fumes. Synthetics drip while they burn. The result is a family of fibres, never a percentage; local rules on open fire come first.',
        );
    }
}

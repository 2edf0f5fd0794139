<?php

declare(strict_types=1);

namespace Octavum\Core\Cloth;

use Octavum\Core\Measure\Assumptions;
use Octavum\Core\Measure\Figure;
use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\Percent;
use Octavum\Core\Measure\Rounding;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Measure\Source;
use Octavum\Core\Measure\Working;

/**
 * What can be cut from a cut: (measured − squaring at both ends) × (1 − shrinkage if it still shrinks), and the usable
 * width likewise. Source: the workroom's rules, section 4.
 */
final readonly class ToCut
{
    /**
     * @param ?Length $length null when the cut has not been measured
     * @param ?Length $width  between the selvages, null when the width is not known
     * @param Percent $shrink counted along the cloth, nought when it is washed and measured
     */
    private function __construct(
        public ?Length $length,
        public ?Length $width,
        public Percent $shrink,
        public Working $working,
    ) {
    }

    public static function of(Cloth $cloth, Cut $cut, Assumptions $assumptions): self
    {
        $shrinkage = $cloth->shrinkage();
        $along = $cut->measuredSinceWash ? Percent::of(0) : $shrinkage->along;
        $across = $cut->measuredSinceWash ? Percent::of(0) : $shrinkage->across;
        $width = null === $cloth->width ? null : $across->takenFrom($cloth->width->usable(), Rounding::Down);
        if (null === $cut->length) {
            return new self(null, $width, $along, Working::empty());
        }
        $squared = $cut->length->minus($assumptions->squaring->times(2))->larger(Length::zero());
        $working = Working::empty()
            ->start(new Sentence('The cut'), $cut->length, Source::Measured)
            ->less(new Sentence('Squaring, both ends'), $assumptions->squaring->times(2), Source::Assumed);
        $length = $along->takenFrom($squared, Rounding::Down);
        if (!$along->isZero()) {
            $working = $working->less(self::shrinkLabel($cloth, $along), $squared->minus($length), $shrinkage->source);
        }

        return new self($length, $width, $along, $working->result(new Sentence('To cut from'), Figure::exact($length)));
    }

    private static function shrinkLabel(Cloth $cloth, Percent $along): Sentence
    {
        return $cloth->shrinkage()->fibreUnknown
            ? new Sentence('May shrink {percent}: fibre unknown, so the most is counted', ['percent' => $along])
            : new Sentence('Shrinks {percent} in the wash', ['percent' => $along]);
    }
}

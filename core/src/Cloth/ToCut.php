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
        private Shrinkage $shrinkage,
        private ?Length $measured,
        private Length $squaring,
    ) {
    }

    public static function of(Cloth $cloth, Cut $cut, Assumptions $assumptions): self
    {
        $shrinkage = $cloth->shrinkage();
        $along = $cut->measuredSinceWash ? Percent::of(0) : $shrinkage->along;
        $across = $cut->measuredSinceWash ? Percent::of(0) : $shrinkage->across;
        $squaring = $assumptions->squaring->times(2);

        return new self(
            null === $cut->length ? null : $along->takenFrom($cut->length->minus($squaring)->larger(Length::zero()), Rounding::Down),
            null === $cloth->width ? null : $across->takenFrom($cloth->width->usable(), Rounding::Down),
            $along,
            $shrinkage,
            $cut->length,
            $squaring,
        );
    }

    /** Empty when the cut has not been measured. */
    public function working(): Working
    {
        if (null === $this->measured || null === $this->length) {
            return Working::empty();
        }
        $working = Working::empty()
            ->start(new Sentence('The cut'), $this->measured, Source::Measured)
            ->less(new Sentence('Squaring, both ends'), $this->squaring, Source::Assumed);
        if (!$this->shrink->isZero()) {
            $working = $working->less(
                new Sentence($this->shrinkage->fibreUnknown ? 'May shrink {percent}: fibre unknown, so the most is counted' : 'Shrinks {percent} in the wash', ['percent' => $this->shrink]),
                $this->measured->minus($this->squaring)->larger(Length::zero())->minus($this->length),
                $this->shrinkage->source,
            );
        }

        return $working->result(new Sentence('To cut from'), Figure::exact($this->length));
    }
}

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
use Octavum\Core\Measure\Width;
use Octavum\Core\Measure\Working;

/**
 * What can be cut from a cut: (measured − straightening at each raw end) × (1 − shrinkage if it still shrinks), and the usable
 * width likewise. Where parts are missing, the longest whole stretch counts, unless a lay goes round them; a cut that is
 * gone leaves nothing. Source: docs/rules.md.
 */
final readonly class ToCut
{
    /**
     * @param ?Length $length null when the cut has not been measured
     * @param ?Length $width  between the selvages, null when the width is not known
     * @param ?Length $full   the width by which it is known at a counter, less what is missing along an edge
     * @param Percent $shrink counted along the cloth, nought when none is left
     * @param Percent $narrow counted across, likewise
     * @param bool    $laid   of the whole cut, whatever is missing from it
     */
    private function __construct(
        public ?Length $length,
        public ?Length $width,
        public ?Length $full,
        public Percent $shrink,
        public Percent $narrow,
        private Shrinkage $shrinkage,
        private ?CareLabel $care,
        private Cut $cut,
        private ?Length $stretch,
        private Length $squaring,
        public bool $laid,
    ) {
    }

    /** @param bool $laid by a lay that goes round the parts that are missing */
    public static function of(Cloth $cloth, Cut $cut, Assumptions $assumptions, bool $laid = false): self
    {
        $shrinkage = $cloth->material->shrinkage();
        $along = $cut->settled ? Percent::of(0) : $shrinkage->along;
        $across = self::isWidthSettled($cloth, $cut) ? Percent::of(0) : $shrinkage->across;
        $squaring = $assumptions->squaring->times($cut->rawEnds);
        $width = $cut->widthOf($cloth);
        [$stretch, $usable] = $laid ? [$cut->length, $width?->usable()] : self::whole($cut, $width);
        $stretch = $cut->gone ? Length::zero() : $stretch;
        $selvages = $width?->selvage->times(2);

        return new self(
            null === $stretch ? null : $along->takenFrom($stretch->minus($squaring)->larger(Length::zero()), Rounding::Down),
            null === $usable ? null : $across->takenFrom($usable, Rounding::Down),
            null === $usable || null === $selvages ? null : $usable->plus($selvages)->smaller($width->full),
            shrink: $along,
            narrow: $across,
            shrinkage: $shrinkage,
            care: $cloth->material->care,
            cut: $cut,
            stretch: $stretch,
            squaring: $squaring,
            laid: $laid,
        );
    }

    /** A width shrinks until it is measured after the wash, too; a cut's own was measured with its length. */
    private static function isWidthSettled(Cloth $cloth, Cut $cut): bool
    {
        if (null !== $cut->width) {
            return $cut->settled;
        }
        $measured = $cloth->widthMeasuredOn();

        return $cut->neverWashed || ($cut->washed && ($cut->cameWashed || (null !== $measured && $measured >= $cut->shrunkOn)));
    }

    /**
     * The longest stretch without a missing part, and the usable width there: what is missing along the whole of an edge
     * makes the cut narrower, everything else makes it two lengths.
     *
     * @return array{?Length, ?Length}
     */
    private static function whole(Cut $cut, ?Width $width): array
    {
        $usable = $width?->usable();
        if (null === $cut->length) {
            return [null, $usable];
        }
        $length = $cut->length->micrometres;
        $full = $width?->full->micrometres;
        [$low, $high] = null === $width ? [0, 0] : [$width->selvage->micrometres, $width->full->minus($width->selvage)->micrometres];
        $gaps = [];
        foreach ($cut->bites as $bite) {
            [$from, $to] = [$bite->from->micrometres, $bite->from->plus($bite->length)->micrometres];
            [$bottom, $top] = [$bite->below->micrometres, $bite->below->plus($bite->width)->micrometres];
            $isAcross = ($bottom <= $low || $top >= $high) && !($bottom <= $low && $top >= $high);
            $edge = null !== $full && $from <= 0 && $to >= $length && $isAcross;
            if ($edge) {
                [$low, $high] = $bottom <= $low ? [max($low, $top), $high] : [$low, min($high, $bottom)];
            } else {
                $gaps[] = [max(0, $from), min($length, $to)];
            }
        }
        sort($gaps);
        $at = $longest = 0;
        foreach ([...$gaps, [$length, $length]] as [$from, $to]) {
            $longest = max($longest, $from - $at);
            $at = max($at, $to);
        }

        return [Length::ofMicrometres($longest), null === $usable ? null : Length::ofMicrometres(max(0, $high - $low))];
    }

    /** Empty when the cut has not been measured. */
    public function working(): Working
    {
        if (null === $this->stretch || null === $this->length) {
            return Working::empty();
        }
        if ($this->cut->gone) {
            return Working::empty()->start(new Sentence('The cut is no longer here'), $this->stretch, Source::Measured);
        }
        $measured = $this->cut->length ?? $this->stretch;
        $working = Working::empty()->start(new Sentence('The cut'), $measured, Source::Measured);
        if (!$measured->equals($this->stretch)) {
            $working = $working
                ->less(new Sentence('Parts are missing, so it is more than one length'), $measured->minus($this->stretch), Source::Measured)
                ->result(new Sentence('The longest whole stretch'), Figure::exact($this->stretch));
        }
        $working = match ($this->cut->rawEnds) {
            2 => $working->less(new Sentence('Straightening both ends'), $this->squaring, Source::Assumed),
            1 => $working->less(new Sentence('Straightening one end'), $this->squaring, Source::Assumed),
            default => $working->given(new Sentence('Its ends are straight'), Figure::exact(Length::zero()), Source::Measured),
        };
        if (!$this->shrink->isZero()) {
            $working = $working->less(
                new Sentence($this->shrinks(), ['percent' => $this->shrink]),
                $this->washLoss(),
                $this->shrinkage->source,
            );
        }

        return $working->result(new Sentence('Usable'), Figure::exact($this->length));
    }

    /** What is counted off its length for the wash. */
    public function washLoss(): Length
    {
        return null === $this->stretch || null === $this->length
            ? Length::zero()
            : $this->stretch->minus($this->squaring)->larger(Length::zero())->minus($this->length);
    }

    private function shrinks(): string
    {
        return match (true) {
            CareLabel::DryClean === $this->care => 'Gives {percent} when it is steamed',
            $this->shrinkage->fibreUnknown => 'May shrink {percent}: fibre unknown, so the most is counted',
            default => 'Shrinks {percent} in the wash',
        };
    }
}

<?php

declare(strict_types=1);

namespace Octavum\Core\Need;

use Octavum\Core\Measure\Assumptions;
use Octavum\Core\Measure\Figure;
use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\Matching;
use Octavum\Core\Measure\Rounding;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Measure\Source;
use Octavum\Core\Measure\Working;
use Octavum\Core\Pattern\Nap;
use Octavum\Core\Pattern\RowChoice;
use Octavum\Core\Pattern\Version;
use Octavum\Core\Piece\Role;

/**
 * A row of the requirement table as it is read for one cloth: ways 2 (envelope, own width) and 3 (converted) of docs/rules.md,
 * with the additions for one-way cloth, a repeat to match and alterations. The amount at once, its working when it is asked for.
 */
final readonly class RowReading
{
    private string $size;
    private Length $printed;

    /** At the width of the cloth. */
    private Length $here;

    /** What the chart adds for a large difference in width. */
    private Length $far;

    private Length $oneWay;
    private int $repeats;
    private Length $matched;
    public Length $amount;

    public function __construct(
        private NeedRequest $wanted,
        private Version $version,
        private CuttingCloth $on,
        private Length $width,
        private RowChoice $choice,
        private Assumptions $assumptions,
        Conversion $conversion,
    ) {
        $row = $choice->row;
        [$this->size, $this->printed] = $version->table->most($row, $wanted->size ?? '', $wanted->gradedTo)
            ?? throw new \LogicException('A row is chosen for a length it has.');
        $this->here = $choice->isConverted() ? $conversion->convert($this->printed, $row->width, $width) : $this->printed;
        $this->far = $choice->isConverted() ? $conversion->extra($row->width, $width, $assumptions) : Length::zero();
        $amount = $this->here->plus($this->far);
        $this->oneWay = $on->oneWay && Nap::Without === $row->nap
            ? $assumptions->oneWayLeast->larger($assumptions->oneWayShare->shareOf($amount, Rounding::Up))
            : Length::zero();
        $this->repeats = null === $on->repeat ? 0 : self::repeats($wanted->matching ?? $assumptions->matching, $wanted);
        $this->matched = $on->repeat?->times($this->repeats) ?? Length::zero();
        $this->amount = $wanted->altered($amount->plus($this->oneWay)->plus($this->matched));
    }

    public function need(): Need
    {
        $converted = $this->choice->isConverted();

        return new Need(
            $this->amount,
            $converted ? NeedSource::Converted : NeedSource::OwnWidth,
            $this->working(...),
            $converted ? $this->warnings() : [],
            $converted ? null : $this->secondOpinion()?->plus($this->amount->minus($this->printed)),
        );
    }

    private function working(): Working
    {
        $working = Working::empty()->start($this->read(), $this->printed, Source::Printed);
        if ($this->choice->isConverted()) {
            $label = new Sentence('Converted up to {width}', ['width' => Figure::width($this->width)]);
            $working = $working->plus($label, $this->here->minus($this->printed), Source::Chart);
        }
        if ($this->far->micrometres > 0) {
            $working = $working->plus(new Sentence('The widths are far apart: ¼ yd more'), $this->far, Source::Chart);
        }
        if ($this->oneWay->micrometres > 0) {
            $working = $working->plus(
                new Sentence('One-way cloth, and this row is without nap: the larger of {percent} and {least}', [
                    'percent' => $this->assumptions->oneWayShare,
                    'least' => Figure::exact($this->assumptions->oneWayLeast),
                ]),
                $this->oneWay,
                Source::Assumed,
            );
        }
        if (null !== $this->on->repeat && $this->repeats > 0) {
            $matching = $this->wanted->matching ?? $this->assumptions->matching;
            $working = $working->plus(
                new Sentence('Matching the repeat of {repeat}, {matching}: {lengths, plural, one {once} other {# times}}', [
                    'repeat' => Figure::exact($this->on->repeat),
                    'matching' => new Sentence($matching->words()),
                    'lengths' => $this->repeats,
                ]),
                $this->matched,
                Source::Assumed,
            );
        }

        return $this->wanted->alterationsIn($working)->result(new Sentence('Needed'), Figure::exact($this->amount));
    }

    private function read(): Sentence
    {
        $row = $this->choice->row->width;

        return new Sentence(
            match (true) {
                $this->choice->isForEmptyCell() => 'Size {size}, {row} row: the one for this cloth, {width} wide, has no length for it',
                $this->choice->isConverted() => 'Size {size}, {row} row; the cloth is narrower, {width}',
                $this->on->assumed => 'Size {size}, {row} row; no width is known, so {width} is assumed',
                $this->width->isLessThan($row) => 'Size {size}, {row} row; cloth of {width} counts as that width',
                default => 'Size {size}, {row} row; the cloth is {width}',
            },
            ['size' => $this->size, 'row' => Figure::width($row), 'width' => Figure::width($this->width)],
        );
    }

    /** @return list<Sentence> */
    private function warnings(): array
    {
        $size = $this->wanted->largestSize();
        if (null !== $this->on->usable && null !== $this->version->pieces->widest($size, $this->wanted->role)) {
            return [];
        }
        $instead = $this->choice->instead?->width;

        return [
            $this->choice->isForEmptyCell() && null !== $instead
                ? new Sentence(
                    'The {row} row has no length for size {size}, so a wider row is converted: the widest piece may not fit at all. Measure it across, or fill in the table.',
                    ['row' => Figure::width($instead), 'size' => $size],
                )
                : new Sentence(
                    'The cloth is narrower than every row of the table: the widest piece may not fit at all. Measure it across before you rely on this.',
                ),
        ];
    }

    /** One for each main length; everywhere, one more for sleeves, collar and the like, and one for each other role. */
    private static function repeats(Matching $matching, NeedRequest $wanted): int
    {
        $main = Role::Main === $wanted->role ? $wanted->garment->mainLengths() : 0;

        return match ($matching) {
            Matching::Never => 0,
            Matching::MainSeams => $main,
            Matching::Everywhere => $main + 1,
        };
    }

    /** The area at this width, on a line between the two rows (or the row's own area beyond the last), as a length. */
    private function secondOpinion(): ?Length
    {
        $row = $this->choice->row;
        if (!$row->width->plus($this->assumptions->rowTolerance)->isLessThan($this->width)) {
            return null;
        }
        $millimetres = static fn (Length $length): int => Rounding::Up->divide($length->micrometres, 1000);
        $area = $millimetres($row->cells[$this->size]) * $millimetres($row->width);
        $wider = $this->choice->wider;
        if (null !== $wider && isset($wider->cells[$this->size])) {
            $more = $millimetres($wider->cells[$this->size]) * $millimetres($wider->width) - $area;
            $area += Rounding::Up->divide(
                $more * ($millimetres($this->width) - $millimetres($row->width)),
                $millimetres($wider->width) - $millimetres($row->width),
            );
        }

        return Length::ofMillimetres(Rounding::Up->divide($area, $millimetres($this->width)));
    }
}

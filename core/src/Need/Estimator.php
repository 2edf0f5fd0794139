<?php

declare(strict_types=1);

namespace Octavum\Core\Need;

use Octavum\Core\Measure\Assumptions;
use Octavum\Core\Measure\Figure;
use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\Rounding;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Measure\Source;
use Octavum\Core\Measure\Working;
use Octavum\Core\Pattern\Nap;
use Octavum\Core\Pattern\RowChoice;
use Octavum\Core\Pattern\Version;

/**
 * Works out how much cloth is needed: from a saved lay, or from the requirement table, ways 1 (laid out), 2 (envelope, own
 * width) and 3 (converted) of the workroom's rules, section 7, the table's with the additions for one-way cloth, a repeat to
 * match and alterations.
 */
final readonly class Estimator
{
    public function __construct(private Assumptions $assumptions, private Conversion $conversion = new Conversion())
    {
    }

    public function estimate(Wanted $wanted, On $on): Need|Unknown
    {
        if (null !== $wanted->stated) {
            $working = Working::empty()->start(new Sentence('Claimed for this project'), $wanted->stated, Source::Stated);

            return new Need($wanted->stated, Way::Stated, $working->result(new Sentence('Needed'), Figure::exact($wanted->stated)));
        }
        if (null !== $wanted->laidOut) {
            return $this->fromLay($wanted, $wanted->laidOut);
        }
        if (null === $wanted->version) {
            return new Unknown(Missing::Pattern, new Sentence('Choose a pattern version, or type the length to claim.'));
        }
        $unknown = $this->sizeUnknown($wanted, $wanted->version);
        if (null !== $unknown || null === $wanted->size) {
            return $unknown ?? new Unknown(Missing::Size, new Sentence('Choose a size.'));
        }
        if (null === $on->width) {
            return new Unknown(Missing::Width, new Sentence('Measure the width.'));
        }
        $size = $wanted->version->table->largest($wanted->size, $wanted->gradedTo);
        $choice = $wanted->version->table->choose($wanted->role, $size, $on->width, $on->oneWay, $this->assumptions->rowTolerance);
        if (null === $choice) {
            return new Unknown(Missing::Row, new Sentence('The table of version {version} has no length for {role} in size {size}: add it from the envelope.', ['version' => $wanted->version->name, 'role' => $wanted->role->value, 'size' => $size]));
        }

        return $this->fromRow($wanted, $on, $on->width, $choice, $size);
    }

    /** Way 1. What the sewist changes is added: it is not in the pieces. */
    private function fromLay(Wanted $wanted, LaidOut $laid): Need
    {
        $with = ['fold' => new Sentence($laid->fold->words()), 'percent' => $laid->utilisation];
        $working = Working::empty()->start([] === $laid->others
            ? new Sentence('Laid out, {fold}: {percent} % of the length used is in pieces', $with)
            : new Sentence('Laid out, {fold}, with {others}: {percent} % of the length used is in pieces', $with + ['others' => implode(', ', $laid->others)]), $laid->whole, Source::Lay);
        if (!$laid->share->equals($laid->whole)) {
            $working = $working->less(new Sentence('The share of other projects, by area'), $laid->whole->minus($laid->share), Source::Lay);
        }
        [$amount, $working] = $this->altered($wanted, $laid->share, $working);

        return new Need($amount, Way::LaidOut, $working->result(new Sentence('Needed'), Figure::exact($amount)));
    }

    private function sizeUnknown(Wanted $wanted, Version $version): ?Unknown
    {
        if ([] === $version->table->rows) {
            return new Unknown(Missing::Row, new Sentence('Version {version} has no requirement table: enter it from the envelope.', ['version' => $version->name]));
        }
        foreach ([$wanted->size, $wanted->gradedTo] as $size) {
            if (null !== $size && !$version->table->hasSize($size)) {
                return new Unknown(Missing::Size, new Sentence('Size {size} is not in the table of version {version}: it has {sizes}.', ['size' => $size, 'version' => $version->name, 'sizes' => implode(', ', $version->table->sizes)]));
            }
        }

        return null;
    }

    private function fromRow(Wanted $wanted, On $on, Length $width, RowChoice $choice, string $size): Need
    {
        $row = $choice->row;
        $printed = $row->cells[$size];
        $label = new Sentence($choice->converted ? 'Size {size}, {row} row; the cloth is narrower, {width}' : 'Size {size}, {row} row; the cloth is {width}', ['size' => $size, 'row' => Figure::width($row->width), 'width' => Figure::width($width)]);
        $working = Working::empty()->start($label, $printed, Source::Printed);
        $amount = $printed;
        $warnings = [];
        if ($choice->converted) {
            $amount = $this->conversion->convert($printed, $row->width, $width, $this->assumptions);
            $working = $working->plus(new Sentence('Converted up to {width}', ['width' => Figure::width($width)]), $amount->minus($printed), Source::Chart);
            $warnings[] = new Sentence('The cloth is narrower than every row of the table: the widest piece may not fit at all. Measure it across before you rely on this.');
        }
        [$amount, $working] = $this->additions($wanted, $on, $row->nap, $amount, $working);

        return new Need(
            $amount,
            $choice->converted ? Way::Converted : Way::OwnWidth,
            $working->result(new Sentence('Needed'), Figure::exact($amount)),
            $warnings,
            $choice->converted ? null : $this->secondOpinion($choice, $width, $size)?->plus($amount->minus($printed)),
        );
    }

    /** @return array{Length, Working} */
    private function additions(Wanted $wanted, On $on, Nap $nap, Length $amount, Working $working): array
    {
        $needed = $amount;
        if ($on->oneWay && Nap::Without === $nap) {
            $extra = $this->assumptions->oneWayLeast->larger($this->assumptions->oneWayShare->shareOf($amount, Rounding::Up));
            $needed = $needed->plus($extra);
            $working = $working->plus(new Sentence('One-way cloth, and the table has no row with nap: the larger of {percent} and {least}', ['percent' => $this->assumptions->oneWayShare, 'least' => Figure::exact($this->assumptions->oneWayLeast)]), $extra, Source::Assumed);
        }
        if (null !== $on->repeat) {
            $extra = $on->repeat->times($wanted->garment->mainLengths());
            $needed = $needed->plus($extra);
            $working = $working->plus(new Sentence('Matching the repeat of {repeat}, {lengths, plural, one {one main length} other {# main lengths}}', ['repeat' => Figure::exact($on->repeat), 'lengths' => $wanted->garment->mainLengths()]), $extra, Source::Assumed);
        }

        return $this->altered($wanted, $needed, $working);
    }

    /** @return array{Length, Working} */
    private function altered(Wanted $wanted, Length $needed, Working $working): array
    {
        foreach ($wanted->alterations as $alteration) {
            $needed = $needed->plus($alteration->length);
            $working = $working->plus(new Sentence('{alteration}', ['alteration' => $alteration->name]), $alteration->length, Source::Plan);
        }

        return [$needed, $working];
    }

    /** The area at this width, on a line between the two rows (or the row's own area beyond the last), as a length. */
    private function secondOpinion(RowChoice $choice, Length $width, string $size): ?Length
    {
        $row = $choice->row;
        if (!$row->width->plus($this->assumptions->rowTolerance)->isLessThan($width)) {
            return null;
        }
        $millimetres = static fn (Length $length): int => Rounding::Up->divide($length->micrometres, 1000);
        $area = $millimetres($row->cells[$size]) * $millimetres($row->width);
        if (null !== $choice->wider && isset($choice->wider->cells[$size])) {
            $wider = $millimetres($choice->wider->cells[$size]) * $millimetres($choice->wider->width);
            $area += Rounding::Up->divide(($wider - $area) * ($millimetres($width) - $millimetres($row->width)), $millimetres($choice->wider->width) - $millimetres($row->width));
        }

        return Length::ofMillimetres(Rounding::Up->divide($area, $millimetres($width)));
    }
}

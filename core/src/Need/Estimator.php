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
use Octavum\Core\Need\Block\Block;
use Octavum\Core\Pattern\Nap;
use Octavum\Core\Pattern\RowChoice;
use Octavum\Core\Pattern\Version;
use Octavum\Core\Piece\Role;

/**
 * Works out how much cloth is needed: from a saved lay, or from the requirement table, ways 1 (laid out), 2 (envelope, own
 * width) and 3 (converted) of docs/rules.md, the table's with the additions for one-way cloth, a repeat to
 * match and alterations.
 * Longer than other files: the ways stand side by side, in the order in which they are tried.
 */
final readonly class Estimator
{
    public function __construct(
        private Assumptions $assumptions,
        private Conversion $conversion = new Conversion(),
        private Block $block = new Block(),
    ) {
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
        if (null !== $wanted->pieced) {
            return (new ByArea($this, $this->block, $this->assumptions))->need($wanted, $wanted->pieced, $on);
        }
        if (null === $wanted->version) {
            return new Unknown(Missing::Pattern, new Sentence('Choose a pattern version, or type the length to claim.'));
        }
        $unknown = $this->sizeUnknown($wanted, $wanted->version, $on);
        if (null !== $unknown || null === $wanted->size) {
            return $unknown ?? new Unknown(Missing::Size, new Sentence('Choose a size.'));
        }
        if (null === $on->width) {
            return new Unknown(Missing::Width, new Sentence('Measure the width.'));
        }
        $size = $wanted->largestSize();
        $choice = $wanted->version->table->choose($wanted->role, $size, $on->width, $on->oneWay, $this->assumptions->rowTolerance);
        if (null === $choice) {
            return new Unknown(
                Missing::Row,
                new Sentence('The table of version {version} has no length for {role} in size {size}: add it from the envelope.', [
                    'version' => $wanted->version->name,
                    'role' => new Sentence($wanted->role->value),
                    'size' => $size,
                ]),
                $this->guess($wanted, $wanted->version, $on),
            );
        }

        return $this->fromRow($wanted, $wanted->version, $on, $on->width, $choice);
    }

    /** The piece that no length of this cloth is enough for, where pieces are known and no lay says otherwise. */
    public function tooWide(Wanted $wanted, On $on): ?TooWide
    {
        $usable = null === $wanted->laidOut ? $on->usable : null;
        $widest = null === $usable ? null : $wanted->version?->pieces->widest($wanted->largestSize(), $wanted->role);

        return null !== $usable && null !== $widest && $usable->isLessThan($widest->across)
            ? new TooWide($widest->piece, $widest->across, $usable)
            : null;
    }

    /** Way 1. What the sewist changes is added: it is not in the pieces. */
    private function fromLay(Wanted $wanted, LaidOut $laid): Need
    {
        $with = ['fold' => new Sentence($laid->fold->words()), 'percent' => $laid->utilisation];
        $working = Working::empty()->start(
            [] === $laid->others
                ? new Sentence('Laid out, {fold}: {percent} % of the length used is in pieces', $with)
                : new Sentence(
                    'Laid out, {fold}, with {others}: {percent} % of the length used is in pieces',
                    $with + ['others' => implode(', ', $laid->others)],
                ),
            $laid->whole,
            Source::Lay,
        );
        if ([] !== $laid->without) {
            $label = new Sentence('Without {pieces}, from elsewhere: not in that length', ['pieces' => implode(', ', $laid->without)]);
            $working = $working->less($label, Length::zero(), Source::Plan);
        }
        if (!$laid->share->equals($laid->whole)) {
            $working = $working->less(new Sentence('The share of other projects, by area'), $laid->whole->minus($laid->share), Source::Lay);
        }
        [$amount, $working] = $this->altered($wanted, $laid->share, $working);

        return new Need($amount, Way::LaidOut, $working->result(new Sentence('Needed'), Figure::exact($amount)));
    }

    private function sizeUnknown(Wanted $wanted, Version $version, On $on): ?Unknown
    {
        if ([] === $version->table->rows) {
            return new Unknown(
                Missing::Row,
                new Sentence('Version {version} has no requirement table: enter it from the envelope.', ['version' => $version->name]),
                $this->guess($wanted, $version, $on),
            );
        }
        foreach ([$wanted->size, $wanted->gradedTo] as $size) {
            $lacks = null === $size ? null : $version->lacks($size);
            if (null !== $lacks) {
                return new Unknown(Missing::Size, $lacks);
            }
        }

        return null;
    }

    /** Its own pieces laid in a moment, or those of a generic block. */
    private function guess(Wanted $wanted, Version $version, On $on): ?Guess
    {
        $size = $wanted->largestSize();
        $usable = $on->across($this->assumptions->selvage);
        if (null === $usable || '' === $size) {
            return null;
        }
        $pieces = $version->pieces->in($size, $wanted->role);
        if ([] !== $pieces) {
            $length = $this->block->quickly($pieces, $size, $usable, $on->oneWay);

            return null === $length ? null : new Guess($length, Way::QuickLay);
        }
        $table = $version->table;
        $length = $this->block->need($wanted->garment, $table, $wanted->role, $size, $usable, $on->oneWay, $wanted->child);

        return null === $length
            ? null
            : new Guess($length, $this->block->isCalibrated($table, $size) ? Way::CalibratedBlock : Way::RoughBlock);
    }

    private function fromRow(Wanted $wanted, Version $version, On $on, Length $width, RowChoice $choice): Need
    {
        $row = $choice->row;
        [$size, $printed] =
            $version->table->most($row, $wanted->size ?? '', $wanted->gradedTo)
            ?? throw new \LogicException('A row is chosen for a length it has.');
        $with = ['size' => $size, 'row' => Figure::width($row->width), 'width' => Figure::width($width)];
        $working = Working::empty()->start(
            new Sentence(
                match (true) {
                    $choice->isForEmptyCell() => 'Size {size}, {row} row: the one for this cloth, {width} wide, has no length for it',
                    $choice->isConverted() => 'Size {size}, {row} row; the cloth is narrower, {width}',
                    $on->assumed => 'Size {size}, {row} row; no width is known, so {width} is assumed',
                    $width->isLessThan($row->width) => 'Size {size}, {row} row; cloth of {width} counts as that width',
                    default => 'Size {size}, {row} row; the cloth is {width}',
                },
                $with,
            ),
            $printed,
            Source::Printed,
        );
        $amount = $printed;
        $warnings = [];
        if ($choice->isConverted()) {
            [$amount, $working] = $this->converted($printed, $row->width, $width, $working);
            $warnings = $this->conversionWarnings($wanted, $version, $choice, $on);
        }
        [$amount, $working] = $this->additions($wanted, $on, $row->nap, $amount, $working);

        return new Need(
            $amount,
            $choice->isConverted() ? Way::Converted : Way::OwnWidth,
            $working->result(new Sentence('Needed'), Figure::exact($amount)),
            $warnings,
            $choice->isConverted() ? null : $this->secondOpinion($choice, $width, $size)?->plus($amount->minus($printed)),
        );
    }

    /** @return array{Length, Working} */
    private function converted(Length $printed, Length $from, Length $to, Working $working): array
    {
        $amount = $this->conversion->convert($printed, $from, $to);
        $working = $working->plus(
            new Sentence('Converted up to {width}', ['width' => Figure::width($to)]),
            $amount->minus($printed),
            Source::Chart,
        );
        $extra = $this->conversion->extra($from, $to, $this->assumptions);
        if ($extra->micrometres > 0) {
            $amount = $amount->plus($extra);
            $working = $working->plus(new Sentence('The widths are far apart: ¼ yd more'), $extra, Source::Chart);
        }

        return [$amount, $working];
    }

    /** @return list<Sentence> */
    private function conversionWarnings(Wanted $wanted, Version $version, RowChoice $choice, On $on): array
    {
        if (null !== $on->usable && null !== $version->pieces->widest($wanted->largestSize(), $wanted->role)) {
            return [];
        }
        $instead = $choice->instead?->width;

        return [
            $choice->isForEmptyCell() && null !== $instead
                ? new Sentence(
                    'The {row} row has no length for size {size}, so a wider row is converted: the widest piece may not fit at all. Measure it across, or fill in the table.',
                    ['row' => Figure::width($instead), 'size' => $wanted->largestSize()],
                )
                : new Sentence(
                    'The cloth is narrower than every row of the table: the widest piece may not fit at all. Measure it across before you rely on this.',
                ),
        ];
    }

    /** @return array{Length, Working} */
    private function additions(Wanted $wanted, On $on, Nap $nap, Length $amount, Working $working): array
    {
        $needed = $amount;
        if ($on->oneWay && Nap::Without === $nap) {
            $extra = $this->assumptions->oneWayLeast->larger($this->assumptions->oneWayShare->shareOf($amount, Rounding::Up));
            $needed = $needed->plus($extra);
            $working = $working->plus(
                new Sentence('One-way cloth, and this row is without nap: the larger of {percent} and {least}', [
                    'percent' => $this->assumptions->oneWayShare,
                    'least' => Figure::exact($this->assumptions->oneWayLeast),
                ]),
                $extra,
                Source::Assumed,
            );
        }
        $matching = $wanted->matching ?? $this->assumptions->matching;
        $repeats = null === $on->repeat ? 0 : self::repeats($matching, $wanted);
        if (null !== $on->repeat && $repeats > 0) {
            $extra = $on->repeat->times($repeats);
            $needed = $needed->plus($extra);
            $working = $working->plus(
                new Sentence('Matching the repeat of {repeat}, {matching}: {lengths, plural, one {once} other {# times}}', [
                    'repeat' => Figure::exact($on->repeat),
                    'matching' => new Sentence($matching->words()),
                    'lengths' => $repeats,
                ]),
                $extra,
                Source::Assumed,
            );
        }

        return $this->altered($wanted, $needed, $working);
    }

    /** One for each main length; everywhere, one more for sleeves, collar and the like, and one for each other role. */
    private static function repeats(Matching $matching, Wanted $wanted): int
    {
        $main = Role::Main === $wanted->role ? $wanted->garment->mainLengths() : 0;

        return match ($matching) {
            Matching::Never => 0,
            Matching::MainSeams => $main,
            Matching::Everywhere => $main + 1,
        };
    }

    /** @return array{Length, Working} with what the sewist changes */
    public function altered(Wanted $wanted, Length $needed, Working $working): array
    {
        foreach ($wanted->alterations as $alteration) {
            $label = new Sentence('{alteration}', ['alteration' => $alteration->name]);
            $working = $alteration->length->isNegative()
                ? $working->less($label, $alteration->length->negated(), Source::Plan)
                : $working->plus($label, $alteration->length, Source::Plan);
            $needed = $needed->plus($alteration->length)->larger(Length::zero());
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
            $area += Rounding::Up->divide(
                ($wider - $area) * ($millimetres($width) - $millimetres($row->width)),
                $millimetres($choice->wider->width) - $millimetres($row->width),
            );
        }

        return Length::ofMillimetres(Rounding::Up->divide($area, $millimetres($width)));
    }
}

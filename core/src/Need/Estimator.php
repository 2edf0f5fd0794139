<?php

declare(strict_types=1);

namespace Octavum\Core\Need;

use Octavum\Core\Measure\Assumptions;
use Octavum\Core\Measure\Figure;
use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Measure\Source;
use Octavum\Core\Measure\Working;
use Octavum\Core\Need\Block\Block;
use Octavum\Core\Pattern\Version;

/**
 * Works out how much cloth is needed by the best way known: as stated, from a saved lay, from pieces of several patterns, from the
 * requirement table; where none of them tells, a guess is laid beside what is missing.
 */
final readonly class Estimator
{
    /** @param bool $guesses lay a guess where nothing is known, which takes its time */
    public function __construct(
        private Assumptions $assumptions,
        private Conversion $conversion = new Conversion(),
        private Block $block = new Block(),
        private bool $guesses = true,
    ) {
    }

    public function estimate(NeedRequest $wanted, CuttingCloth $on): Need|Unknown
    {
        if (null !== $wanted->stated) {
            $working = Working::empty()->start(new Sentence('Reserved for this project'), $wanted->stated, Source::Stated)
                ->result(new Sentence('Needed'), Figure::exact($wanted->stated));

            return new Need($wanted->stated, NeedSource::Stated, static fn (): Working => $working);
        }
        if (null !== $wanted->laidOut) {
            return $this->fromLay($wanted, $wanted->laidOut);
        }
        if (null !== $wanted->pieced) {
            return (new ByArea($this, $this->block, $this->assumptions))->need($wanted, $wanted->pieced, $on);
        }
        if (null === $wanted->version) {
            return new Unknown(Missing::Pattern, new Sentence('Choose a pattern version, or type the length to reserve.'));
        }
        $unknown = $this->sizeUnknown($wanted, $wanted->version, $on);
        if (null !== $unknown || null === $wanted->size) {
            return $unknown ?? new Unknown(Missing::Size, new Sentence('Choose a size.'));
        }
        if (null === $on->width) {
            return new Unknown(Missing::Width, new Sentence('Measure the width.'));
        }
        $reading = (new RowReader($this->assumptions, $this->conversion))->read($wanted, $wanted->version, $on, $on->width);
        if (null === $reading) {
            return new Unknown(
                Missing::Row,
                new Sentence('The table of version {version} has no length for {role} in size {size}: add it from the envelope.', [
                    'version' => $wanted->version->name,
                    'role' => new Sentence($wanted->role->value),
                    'size' => $wanted->largestSize(),
                ]),
                $this->guess($wanted, $wanted->version, $on),
            );
        }

        return $reading->need();
    }

    /** The piece that no length of this cloth is enough for, where pieces are known and no lay says otherwise. */
    public function tooWide(NeedRequest $wanted, CuttingCloth $on): ?TooWide
    {
        $usable = null === $wanted->laidOut ? $on->usable : null;
        $widest = null === $usable ? null : $wanted->version?->pieces->widest($wanted->largestSize(), $wanted->role);

        return null !== $usable && null !== $widest && $usable->isLessThan($widest->across)
            ? new TooWide($widest->piece, $widest->across, $usable)
            : null;
    }

    /** Way 1. What the sewist changes is added: it is not in the pieces. */
    private function fromLay(NeedRequest $wanted, LaidOut $laid): Need
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
        $amount = $wanted->altered($laid->share);
        $working = $wanted->alterationsIn($working)->result(new Sentence('Needed'), Figure::exact($amount));

        return new Need($amount, NeedSource::LaidOut, static fn (): Working => $working);
    }

    private function sizeUnknown(NeedRequest $wanted, Version $version, CuttingCloth $on): ?Unknown
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
    private function guess(NeedRequest $wanted, Version $version, CuttingCloth $on): ?Guess
    {
        $size = $wanted->largestSize();
        $surface = $this->guesses ? $wanted->surface($on, $this->assumptions) : null;
        if (null === $surface || '' === $size) {
            return null;
        }
        $pieces = $version->pieces->in($size, $wanted->role);
        if ([] !== $pieces) {
            $length = $this->block->quickly($pieces, $size, $surface);

            return null === $length ? null : new Guess($wanted->altered($length), NeedSource::QuickLay);
        }
        $table = $version->table;
        $length = $this->block->need($wanted->garment, $table, $wanted->role, size: $size, surface: $surface, child: $wanted->child);

        return null === $length
            ? null
            : new Guess(
                $wanted->altered($length),
                $this->block->isCalibrated($table, $size) ? NeedSource::CalibratedBlock : NeedSource::RoughBlock,
            );
    }
}

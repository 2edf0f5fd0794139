<?php

declare(strict_types=1);

namespace Octavum\Store;

use Octavum\Core\Cloth\Cloth;
use Octavum\Core\Cloth\Cut;
use Octavum\Core\Cloth\Feel;
use Octavum\Core\Cloth\FibreMix;
use Octavum\Core\Cloth\Origin;
use Octavum\Core\Cloth\Shrinkage;
use Octavum\Core\Cloth\Weight;
use Octavum\Core\Measure\Assumptions;
use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\Percent;
use Octavum\Core\Measure\Width;
use Octavum\Document\ClothCodec;
use Octavum\Document\CutCodec;
use Octavum\Document\Node;

/** Stored cloths and cuts to the core's and back. */
final readonly class ClothMapper
{
    public function __construct(private ClothCodec $cloths, private CutCodec $cuts)
    {
    }

    public function cloth(ClothRecord $record, Assumptions $assumptions): Cloth
    {
        return new Cloth(
            $record->id,
            $record->name,
            null === $record->width
                ? null
                : Width::of(
                    Length::ofMicrometres($record->width),
                    null === $record->selvage ? $assumptions->selvage : Length::ofMicrometres($record->selvage),
                ),
            $record->structure,
            $record->type,
            FibreMix::of($record->fibres, $record->fibresKnown),
            match (true) {
                null !== $record->grams => Weight::ofGrams($record->grams),
                null !== $record->weight => Weight::ofClass($record->weight),
                default => null,
            },
            $record->print,
            $record->direction,
            self::length($record->repeatLength),
            null === $record->shrinkAlong
                ? null
                : Shrinkage::tested(Percent::ofHundredths($record->shrinkAlong), Percent::ofHundredths($record->shrinkAcross ?? 0)),
            $record->colours,
            $record->place,
            $record->pricePerMetre,
            $record->moreToBeHad,
            $record->setAside,
            $record->notes,
            array_values(
                $record->cuts->filter(static fn (CutRecord $cut): bool => null === $cut->removedAt)->map($this->cut(...))->toArray(),
            ),
            [] === $record->feel ? new Feel() : $this->cloths->feel(Node::stored($record->feel, 'cloth '.$record->id)),
            $record->photo,
            $record->set,
            $record->care,
            $record->family,
            [] === $record->tests ? [] : $this->cloths->tests(Node::stored($record->tests, 'cloth '.$record->id)),
            self::length($record->motif),
            [] === $record->origin ? new Origin() : $this->cloths->origin(Node::stored($record->origin, 'cloth '.$record->id)),
            $record->precious,
        );
    }

    public function cut(CutRecord $record): Cut
    {
        $row = 'cut '.$record->id;

        return new Cut(
            $record->id,
            $this->cuts->ledger(Node::stored($record->ledger, $row)),
            $record->label,
            $record->state,
            $record->expected,
            [] === $record->bites ? [] : $this->cuts->bites(Node::stored($record->bites, $row)),
            self::length($record->width),
        );
    }

    /** Everything but the cuts, which have ledgers of their own. */
    public function store(Cloth $cloth, ClothRecord $record, Assumptions $assumptions): void
    {
        $selvage = $cloth->width?->selvage;
        $record->name = $cloth->name;
        $record->width = $cloth->width?->full->micrometres;
        $record->selvage = null === $selvage || $selvage->equals($assumptions->selvage) ? null : $selvage->micrometres;
        $record->structure = $cloth->statedStructure;
        $record->type = $cloth->type;
        $record->fibres = $cloth->fibres->shares;
        $record->fibresKnown = $cloth->fibres->knowledge;
        $record->grams = $cloth->weight?->grams;
        $record->weight = null === $cloth->weight?->grams ? $cloth->weight?->class : null;
        $record->print = $cloth->print;
        $record->direction = $cloth->statedDirection;
        $record->repeatLength = $cloth->repeat?->micrometres;
        $record->shrinkAlong = $cloth->tested?->along->hundredths;
        $record->shrinkAcross = $cloth->tested?->across->hundredths;
        $record->colours = $cloth->colours;
        $record->place = $cloth->place;
        $record->pricePerMetre = $cloth->pricePerMetre;
        $record->moreToBeHad = $cloth->moreToBeHad;
        $record->precious = $cloth->precious;
        $record->setAside = $cloth->setAside;
        $record->notes = $cloth->notes;
        $record->feel = $this->cloths->writeFeel($cloth->feel);
        $record->photo = $cloth->photo;
        $record->set = $cloth->set;
        $record->care = $cloth->care;
        $record->family = $cloth->family;
        $record->tests = $this->cloths->writeTests($cloth->tests);
        $record->motif = $cloth->motif?->micrometres;
        $record->origin = $this->cloths->writeOrigin($cloth->origin);
    }

    public function storeFeel(Feel $feel, ClothRecord $record): void
    {
        $record->feel = $this->cloths->writeFeel($feel);
    }

    public function storeCut(Cut $cut, CutRecord $record): void
    {
        $record->label = $cut->label;
        $record->state = $cut->state;
        $record->expected = $cut->expected;
        $record->ledger = $this->cuts->writeLedger($cut->ledger);
        $record->bites = $this->cuts->writeBites($cut->bites);
        $record->width = $cut->width?->micrometres;
    }

    private static function length(?int $micrometres): ?Length
    {
        return null === $micrometres ? null : Length::ofMicrometres($micrometres);
    }
}

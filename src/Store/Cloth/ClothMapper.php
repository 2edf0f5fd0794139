<?php

declare(strict_types=1);

namespace Octavum\Store\Cloth;

use Octavum\Core\Cloth\Cloth;
use Octavum\Core\Cloth\ClothLook;
use Octavum\Core\Cloth\Cut;
use Octavum\Core\Cloth\Feel;
use Octavum\Core\Cloth\FibreMix;
use Octavum\Core\Cloth\Keeping;
use Octavum\Core\Cloth\Material;
use Octavum\Core\Cloth\Origin;
use Octavum\Core\Cloth\Purchase;
use Octavum\Core\Cloth\Shrinkage;
use Octavum\Core\Cloth\Weight;
use Octavum\Core\Measure\Assumptions;
use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\Percent;
use Octavum\Core\Measure\Width;
use Octavum\Document\Codec\ClothCodec;
use Octavum\Document\Codec\CutCodec;
use Octavum\Document\Json\Node;

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
            material: new Material(structure: $record->structure, type: $record->type, fibres: FibreMix::of(
                $record->fibres,
                $record->fibresKnown,
            ), weight: match (true) {
                null !== $record->grams => Weight::ofGrams($record->grams),
                null !== $record->weight => Weight::ofClass($record->weight),
                default => null,
            }, feel: [] === $record->feel ? new Feel() : $this->cloths->feel(
                Node::stored($record->feel, 'cloth '.$record->id),
            ), care: $record->care, family: $record->family, tested: null === $record->shrinkAlong
                ? null
                : Shrinkage::tested(Percent::ofHundredths($record->shrinkAlong), Percent::ofHundredths($record->shrinkAcross ?? 0))),
            look: new ClothLook(
                print: $record->print,
                direction: $record->direction,
                repeat: self::length($record->repeatLength),
                motif: self::length($record->motif),
                colours: $record->colours,
            ),
            keeping: new Keeping(
                place: $record->place,
                set: $record->set,
                setAside: $record->setAside,
                photo: $record->photo,
                notes: $record->notes,
                tests: [] === $record->tests ? [] : $this->cloths->tests(Node::stored($record->tests, 'cloth '.$record->id)),
            ),
            purchase: new Purchase(
                pricePerMetre: $record->pricePerMetre,
                moreToBeHad: $record->moreToBeHad,
                origin: [] === $record->origin ? new Origin() : $this->cloths->origin(Node::stored($record->origin, 'cloth '.$record->id)),
                precious: $record->precious,
            ),
            cuts: array_values(
                $record->cuts->filter(static fn (CutRecord $cut): bool => null === $cut->removedAt)->map($this->cut(...))->toArray(),
            ),
        );
    }

    public function cut(CutRecord $record): Cut
    {
        $row = 'cut '.$record->id;

        return new Cut(
            $record->id,
            $this->cuts->ledger(Node::stored($record->ledger, $row)),
            $record->label,
            state: $record->state,
            expected: $record->expected,
            bites: [] === $record->bites ? [] : $this->cuts->bites(Node::stored($record->bites, $row)),
            width: self::length($record->width),
        );
    }

    /** Everything but the cuts, which have ledgers of their own. */
    public function store(Cloth $cloth, ClothRecord $record, Assumptions $assumptions): void
    {
        $selvage = $cloth->width?->selvage;
        $record->name = $cloth->name;
        $record->width = $cloth->width?->full->micrometres;
        $record->selvage = null === $selvage || $selvage->equals($assumptions->selvage) ? null : $selvage->micrometres;
        $record->structure = $cloth->material->statedStructure;
        $record->type = $cloth->material->type;
        $record->fibres = $cloth->material->fibres->shares;
        $record->fibresKnown = $cloth->material->fibres->knowledge;
        $record->grams = $cloth->material->weight?->grams;
        $record->weight = null === $cloth->material->weight?->grams ? $cloth->material->weight?->class : null;
        $record->print = $cloth->look->print;
        $record->direction = $cloth->look->direction;
        $record->repeatLength = $cloth->look->repeat?->micrometres;
        $record->shrinkAlong = $cloth->material->tested?->along->hundredths;
        $record->shrinkAcross = $cloth->material->tested?->across->hundredths;
        $record->colours = $cloth->look->colours;
        $record->place = $cloth->keeping->place;
        $record->pricePerMetre = $cloth->purchase->pricePerMetre;
        $record->moreToBeHad = $cloth->purchase->moreToBeHad;
        $record->precious = $cloth->purchase->precious;
        $record->setAside = $cloth->keeping->setAside;
        $record->notes = $cloth->keeping->notes;
        $record->feel = $this->cloths->writeFeel($cloth->material->feel);
        $record->photo = $cloth->keeping->photo;
        $record->set = $cloth->keeping->set;
        $record->care = $cloth->material->care;
        $record->family = $cloth->material->family;
        $record->tests = $this->cloths->writeTests($cloth->keeping->tests);
        $record->motif = $cloth->look->motif?->micrometres;
        $record->origin = $this->cloths->writeOrigin($cloth->purchase->origin);
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

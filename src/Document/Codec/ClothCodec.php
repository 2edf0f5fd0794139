<?php

declare(strict_types=1);

namespace Octavum\Document\Codec;

use Octavum\Core\Cloth\CareLabel;
use Octavum\Core\Cloth\Cloth;
use Octavum\Core\Cloth\ClothLook;
use Octavum\Core\Cloth\ClothType;
use Octavum\Core\Cloth\Direction;
use Octavum\Core\Cloth\Drape;
use Octavum\Core\Cloth\Edges;
use Octavum\Core\Cloth\Feel;
use Octavum\Core\Cloth\FibreFamily;
use Octavum\Core\Cloth\Keeping;
use Octavum\Core\Cloth\Knowledge;
use Octavum\Core\Cloth\Material;
use Octavum\Core\Cloth\Opacity;
use Octavum\Core\Cloth\Origin;
use Octavum\Core\Cloth\PrintKind;
use Octavum\Core\Cloth\Purchase;
use Octavum\Core\Cloth\Recovery;
use Octavum\Core\Cloth\Shrinkage;
use Octavum\Core\Cloth\Structure;
use Octavum\Core\Cloth\TestDone;
use Octavum\Core\Cloth\TestKind;
use Octavum\Core\Cloth\Weight;
use Octavum\Core\Cloth\WeightClass;
use Octavum\Core\Measure\Assumptions;
use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\Percent;
use Octavum\Core\Measure\Width;
use Octavum\Document\Json\Fields;
use Octavum\Document\Json\Node;

/** A cloth with its cuts; how it feels, and the tests it went through. */
final readonly class ClothCodec
{
    public function __construct(private CutCodec $cuts = new CutCodec(), private FibreCodec $fibres = new FibreCodec())
    {
    }

    public function read(Node $node, Assumptions $assumptions): Cloth
    {
        $node->object([
            'id',
            'name',
            'structure',
            'type',
            'fibres',
            'fibresKnown',
            'weight',
            'width',
            'selvage',
            'print',
            'direction',
            'repeat',
            'shrinkage',
            'colours',
            'place',
            'pricePerMetre',
            'moreToBeHad',
            'precious',
            'setAside',
            'notes',
            'cuts',
            'stretch',
            'drape',
            'opacity',
            'takesCrease',
            'clearSide',
            'photo',
            'set',
            'care',
            'family',
            'tests',
            'recovery',
            'edges',
            'backSeen',
            'motif',
            'origin',
        ]);
        $full = $node->at('width')->length();
        $selvage = $node->at('selvage')->length();
        if (null === $full && $node->at('selvage')->isThere()) {
            $node->at('selvage')->fault('A selvage is taken from the width: give the width too.');
        }
        $width = null === $full
            ? null
            : $node->at('width')->attempt(static fn (): Width => Width::of($full, $selvage ?? $assumptions->selvage));

        return new Cloth(
            $node->at('id')->name(60),
            $node->at('name')->name(),
            $width,
            material: $this->material($node),
            look: new ClothLook(
                print: $node->at('print')->choice(PrintKind::class) ?? PrintKind::Plain,
                direction: $node->at('direction')->choice(Direction::class),
                repeat: $node->at('repeat')->length(),
                motif: $node->at('motif')->length(),
                colours: $this->colours($node->at('colours')),
            ),
            keeping: new Keeping(
                place: $node->at('place')->text(120),
                set: $node->at('set')->text(60),
                setAside: $node->at('setAside')->boolean(),
                photo: $node->at('photo')->optionalText(26),
                notes: $node->at('notes')->text(),
                tests: $this->tests($node->at('tests')),
            ),
            purchase: new Purchase(
                pricePerMetre: $node->at('pricePerMetre')->integer(0, 9_999_999),
                moreToBeHad: $node->at('moreToBeHad')->optionalBoolean(),
                origin: $this->origin($node->at('origin')),
                precious: $node->at('precious')->optionalBoolean(),
            ),
            cuts: array_map($this->cuts->read(...), $node->at('cuts')->items()),
        );
    }

    private function material(Node $node): Material
    {
        $shrinkage = $node->at('shrinkage');
        $knowledge = $node->at('fibresKnown')->choice(Knowledge::class) ?? Knowledge::Unknown;

        return new Material(
            $node->at('structure')->choice(Structure::class),
            $node->at('type')->choice(ClothType::class),
            $this->fibres->read($node->at('fibres'), $knowledge),
            weight: $this->weight($node->at('weight')),
            feel: $this->feel($node),
            care: $node->at('care')->isThere() ? CareLabel::of($node->at('care')->text(120)) : null,
            family: $node->at('family')->choice(FibreFamily::class),
            tested: $shrinkage->isThere() && $shrinkage->object(['along', 'across'])
                ? $shrinkage->attempt(static fn (): Shrinkage => Shrinkage::tested(
                    Percent::of($shrinkage->at('along')->number()),
                    Percent::of($shrinkage->at('across')->number()),
                ))
                : null,
        );
    }

    /** @return array<string, mixed> */
    public function write(Cloth $cloth, Length $usualSelvage): array
    {
        $selvage = $cloth->width?->selvage;

        return Fields::known([
            'id' => $cloth->id,
            'name' => $cloth->name,
            'structure' => $cloth->material->statedStructure?->value,
            'type' => $cloth->material->type?->value,
            'fibres' => $this->fibres->write($cloth->material->fibres),
            'fibresKnown' => $cloth->material->fibres->isKnown() ? $cloth->material->fibres->knowledge->value : null,
            'weight' => $cloth->material->weight->grams ?? $cloth->material->weight?->class->value,
            'width' => $cloth->width?->full->millimetres(),
            'selvage' => null === $selvage || $selvage->equals($usualSelvage) ? null : $selvage->millimetres(),
            'print' => $cloth->look->print->value,
            'direction' => $cloth->look->direction?->value,
            'repeat' => $cloth->look->repeat?->millimetres(),
            'shrinkage' => null === $cloth->material->tested ? null : [
                'along' => $cloth->material->tested->along->number(),
                'across' => $cloth->material->tested->across->number(),
            ],
            'colours' => $cloth->look->colours,
            'place' => $cloth->keeping->place,
            'pricePerMetre' => $cloth->purchase->pricePerMetre,
            'moreToBeHad' => $cloth->purchase->moreToBeHad,
            'precious' => $cloth->purchase->precious,
            'setAside' => $cloth->keeping->setAside,
            'notes' => $cloth->keeping->notes,
            ...$this->writeFeel($cloth->material->feel),
            'photo' => $cloth->keeping->photo,
            'set' => $cloth->keeping->set,
            'care' => $cloth->material->care?->value,
            'family' => $cloth->material->family?->value,
            'tests' => $this->writeTests($cloth->keeping->tests),
            'motif' => $cloth->look->motif?->millimetres(),
            'origin' => $this->writeOrigin($cloth->purchase->origin),
            'cuts' => array_map($this->cuts->write(...), $cloth->cuts),
        ]);
    }

    public function feel(Node $node): Feel
    {
        $stretch = $node->at('stretch');
        if ($stretch->isThere()) {
            $stretch->object(['across', 'along']);
        }

        return new Feel(
            $stretch->at('across')->integer(0, 300),
            $stretch->at('along')->integer(0, 300),
            $node->at('drape')->choice(Drape::class),
            opacity: $node->at('opacity')->choice(Opacity::class),
            takesCrease: $node->at('takesCrease')->optionalBoolean(),
            clearSide: $node->at('clearSide')->optionalBoolean(),
            recovery: $node->at('recovery')->choice(Recovery::class),
            edges: $node->at('edges')->choice(Edges::class),
            backSeen: $node->at('backSeen')->optionalBoolean(),
        );
    }

    /** @return array<string, mixed> */
    public function writeFeel(Feel $feel): array
    {
        return array_filter(
            [
                'stretch' => array_filter(
                    ['across' => $feel->across, 'along' => $feel->along],
                    static fn (?int $share): bool => null !== $share,
                ),
                'drape' => $feel->drape?->value,
                'opacity' => $feel->opacity?->value,
                'takesCrease' => $feel->takesCrease,
                'clearSide' => $feel->clearSide,
                'recovery' => $feel->recovery?->value,
                'edges' => $feel->edges?->value,
                'backSeen' => $feel->backSeen,
            ],
            static fn (mixed $value): bool => null !== $value && [] !== $value,
        );
    }

    public function origin(Node $node): Origin
    {
        if (!$node->isThere() || !$node->object(['from', 'on', 'called'])) {
            return new Origin();
        }

        return new Origin($node->at('from')->text(120), $node->at('on')->date(), $node->at('called')->text(120));
    }

    /** @return array<string, mixed> */
    public function writeOrigin(Origin $origin): array
    {
        return Fields::known(['from' => $origin->from, 'on' => $origin->on?->format('Y-m-d'), 'called' => $origin->called]);
    }

    /** @return list<TestDone> */
    public function tests(Node $node): array
    {
        return array_map(static function (Node $item): TestDone {
            $item->object(['on', 'kind', 'showed']);

            return new TestDone(
                $item->at('on')->requiredDate(),
                $item->at('kind')->choice(TestKind::class) ?? TestKind::Width,
                $item->at('showed')->text(200),
            );
        }, $node->items());
    }

    /**
     * @param list<TestDone> $tests
     *
     * @return list<array<string, mixed>>
     */
    public function writeTests(array $tests): array
    {
        return array_map(
            static fn (TestDone $test): array => [
                'on' => $test->on->format('Y-m-d'),
                'kind' => $test->kind->value,
                'showed' => $test->showed,
            ],
            $tests,
        );
    }

    private function weight(Node $node): ?Weight
    {
        if (!$node->isThere()) {
            return null;
        }
        if (!str_starts_with($node->found(), '“')) {
            $grams = $node->integer(5, 2000);

            return null === $grams ? null : Weight::ofGrams($grams);
        }
        $class = $node->choice(WeightClass::class);

        return null === $class ? null : Weight::ofClass($class);
    }

    /** @return list<string> */
    private function colours(Node $node): array
    {
        return array_map(static fn (Node $item): string => $item->colour() ?? '', $node->items(6));
    }
}

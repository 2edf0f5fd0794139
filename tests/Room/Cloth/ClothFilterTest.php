<?php

declare(strict_types=1);

namespace Octavum\Tests\Room\Cloth;

use Octavum\Core\Cloth\Cloth;
use Octavum\Core\Cloth\ClothLook;
use Octavum\Core\Cloth\ClothType;
use Octavum\Core\Cloth\FibreMix;
use Octavum\Core\Cloth\Keeping;
use Octavum\Core\Cloth\Knowledge;
use Octavum\Core\Cloth\Material;
use Octavum\Core\Cloth\Structure;
use Octavum\Core\Measure\Assumptions;
use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\Width;
use Octavum\Core\Tests\Season\Plan;
use Octavum\Room\Cloth\ClothFilter;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class ClothFilterTest extends TestCase
{
    /** @param list<string> $names */
    #[DataProvider('filters')]
    public function testWhichClothsAndInWhatOrder(ClothFilter $filter, array $names): void
    {
        self::assertSame(
            $names,
            array_map(static fn (Cloth $cloth): string => $cloth->name, $filter->filter($this->stash(), new Assumptions())),
        );
    }

    /** @return iterable<string, array{ClothFilter, list<string>}> */
    public static function filters(): iterable
    {
        yield 'the longest first, unmeasured last' => [new ClothFilter(), ['Moss', 'Ember', 'Slate', 'Rook']];
        yield 'the widest first, unknown last' => [new ClothFilter('width'), ['Slate', 'Ember', 'Moss', 'Rook']];
        yield 'by kind' => [new ClothFilter('kind'), ['Slate', 'Moss', 'Ember', 'Rook']];
        yield 'by colour: greys, then round the wheel, unknown last' => [new ClothFilter('colour'), ['Slate', 'Ember', 'Moss', 'Rook']];
        yield 'by place, without a place last' => [new ClothFilter('place'), ['Ember', 'Moss', 'Rook', 'Slate']];
        yield 'by name' => [new ClothFilter('name'), ['Ember', 'Moss', 'Rook', 'Slate']];
        yield 'every word is somewhere' => [new ClothFilter(words: 'LINEN locker'), ['Moss']];
        yield 'a fibre' => [new ClothFilter(words: 'cotton'), ['Ember']];
        yield 'no such word' => [new ClothFilter(words: 'moonbeam'), []];
        yield 'knits' => [new ClothFilter(kind: 'knit'), ['Slate']];
        yield 'long enough to cut from, not as measured' => [new ClothFilter(atLeast: Length::ofMetres('1.95')), ['Moss']];
        yield 'wide enough' => [new ClothFilter(wideAtLeast: Length::ofMetres('1.5')), ['Ember', 'Slate']];
        yield 'not washed' => [new ClothFilter(unwashed: true), ['Moss', 'Rook']];
        yield 'a type' => [new ClothFilter(kind: ClothType::Twill->value), ['Ember']];
        yield 'near a colour, the nearest first' => [new ClothFilter(near: '#b04030'), ['Ember']];
        yield 'in a place within a place' => [new ClothFilter(place: 'locker 2'), ['Moss']];
        yield 'a slip is forgiven' => [new ClothFilter(words: 'linnen'), ['Moss']];
        yield 'set aside' => [new ClothFilter(setAside: true), ['Cinder']];
    }

    public function testTheCountsSayWhatEachChoiceWouldShow(): void
    {
        $counts = (new ClothFilter(kind: 'woven', place: 'Locker 2'))->counts($this->stash(), new Assumptions());
        self::assertSame(['woven' => 1, 'linen cloth' => 1], $counts->kind, 'in this place');
        self::assertSame(['Box' => 1, 'Locker 2' => 1, 'Tin' => 1], $counts->place, 'of this kind');
        self::assertSame(1, $counts->unwashed);
        self::assertSame(0, $counts->aside);
        $all = (new ClothFilter())->counts($this->stash(), new Assumptions());
        self::assertSame(['knit' => 1, 'jersey' => 1, 'woven' => 3, 'linen cloth' => 1, 'twill' => 1], $all->kind);
        self::assertSame([2, 1], [$all->unwashed, $all->aside]);
        foreach ($all->kind as $kind => $count) {
            self::assertCount(
                $count,
                (new ClothFilter(kind: $kind))->filter($this->stash(), new Assumptions()),
                $kind.': the count is what one gets',
            );
        }
    }

    /** @return list<Cloth> */
    private function stash(): array
    {
        $width = static fn (string $metres): Width => Width::of(Length::ofMetres($metres), Length::ofMetres('0.01'));

        return [
            new Cloth(
                '1',
                'Slate',
                $width('1.6'),
                material: new Material(structure: Structure::Knit, type: ClothType::Jersey),
                look: new ClothLook(colours: ['#777777']),
                cuts: [Plan::cut('1', true), Plan::cut('0.5', true)],
            ),
            new Cloth(
                '2',
                'Moss',
                $width('1.4'),
                material: new Material(structure: Structure::Woven, type: ClothType::Linen),
                look: new ClothLook(colours: ['#4f7d3e']),
                keeping: new Keeping(place: 'Locker 2'),
                cuts: [Plan::cut('3')],
            ),
            new Cloth('3', 'Rook', keeping: new Keeping(place: 'Tin'), cuts: [Plan::cut(null)]),
            new Cloth(
                '4',
                'Ember',
                $width('1.5'),
                material: new Material(type: ClothType::Twill, fibres: FibreMix::of(['cotton' => 100], Knowledge::Label)),
                look: new ClothLook(colours: ['#b8442f']),
                keeping: new Keeping(place: 'Box'),
                cuts: [Plan::cut('2', true)],
            ),
            new Cloth('5', 'Cinder', keeping: new Keeping(setAside: true)),
        ];
    }
}

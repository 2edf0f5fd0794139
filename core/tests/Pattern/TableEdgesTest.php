<?php

declare(strict_types=1);

namespace Octavum\Core\Tests\Pattern;

use Octavum\Core\Cloth\Drape;
use Octavum\Core\Cloth\WeightClass;
use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Measure\System;
use Octavum\Core\Pattern\ClothAdvice;
use Octavum\Core\Pattern\Grid;
use Octavum\Core\Pattern\Nap;
use Octavum\Core\Pattern\Requirement;
use Octavum\Core\Pattern\RequirementTable;
use Octavum\Core\Piece\Role;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class TableEdgesTest extends TestCase
{
    /** Widths in tenths of a millimetre; no tolerance, so that only the class of a width counts. */
    #[DataProvider('classes')]
    public function testWidthsOfOneClassReadOneRow(int $cloth, int $row, bool $reached): void
    {
        $table = new RequirementTable(['14'], [self::row($row / 10)]);
        $choice = $table->choose(Role::Main, '14', Length::ofMicrometres($cloth * 100), false, Length::zero());
        self::assertSame(!$reached, $choice?->isConverted());
    }

    /** @return iterable<string, array{int, int, bool}> */
    public static function classes(): iterable
    {
        yield '110 reads 115' => [11_000, 11_500, true];
        yield '109.99 does not' => [10_999, 11_500, false];
        yield '112 reads 115' => [11_200, 11_500, true];
        yield '110 does not read 115.01' => [11_000, 11_501, false];
        yield '137 reads 140' => [13_700, 14_000, true];
        yield '136.99 does not' => [13_699, 14_000, false];
        yield '137 does not read 140.01' => [13_700, 14_001, false];
        yield '147 reads 60 in' => [14_700, 15_240, true];
        yield '146.99 does not' => [14_699, 15_240, false];
        yield '147 does not read 152.41' => [14_700, 15_241, false];
        yield 'a wider cloth reads a narrower row' => [15_000, 9_000, true];
    }

    /** The row of a direction, else one for either, else what there is. */
    #[DataProvider('naps')]
    public function testTheRowForADirection(bool $oneWay, Nap $expected, Nap ...$rows): void
    {
        $table = new RequirementTable(['14'], array_map(static fn (Nap $nap): Requirement => self::row(1400, $nap), array_values($rows)));
        self::assertSame($expected, $table->choose(Role::Main, '14', Length::ofMillimetres(1400), $oneWay, Length::zero())?->row->nap);
    }

    /** @return iterable<string, array{bool, Nap, Nap, 3?: Nap, 4?: Nap}> */
    public static function naps(): iterable
    {
        yield 'with nap' => [true, Nap::With, Nap::With, Nap::Without, Nap::Either];
        yield 'with nap, in another order' => [true, Nap::With, Nap::Either, Nap::Without, Nap::With];
        yield 'without' => [false, Nap::Without, Nap::With, Nap::Without, Nap::Either];
        yield 'either before the wrong one' => [true, Nap::Either, Nap::Without, Nap::Either];
        yield 'either before the wrong one, in another order' => [true, Nap::Either, Nap::Either, Nap::Without];
        yield 'either before with' => [false, Nap::Either, Nap::With, Nap::Either];
        yield 'what there is' => [true, Nap::Without, Nap::Without];
    }

    public function testAnEmptyCellIsToldFromARowThatIsNotThere(): void
    {
        $table = new RequirementTable(['14', '16'], [
            new Requirement(Role::Main, Length::ofMillimetres(1150), Nap::Without, ['16' => Length::ofMillimetres(2800)]),
            new Requirement(Role::Main, Length::ofMillimetres(1500), Nap::Without, ['14' => Length::ofMillimetres(2100)]),
            new Requirement(Role::Lining, Length::ofMillimetres(900), Nap::Without, ['14' => Length::ofMillimetres(1000)]),
        ]);
        $choose = static fn (int $width) => $table->choose(Role::Main, '14', Length::ofMillimetres($width), false, Length::zero());
        $empty = $choose(1200);
        self::assertTrue($empty?->isConverted());
        self::assertTrue($empty->isForEmptyCell(), 'the 115 row is the cloth’s, and has nothing in 14');
        self::assertSame(1150, $empty->instead?->width->millimetres());
        $narrow = $choose(1000);
        self::assertTrue($narrow?->isConverted());
        self::assertFalse($narrow->isForEmptyCell(), 'no row of that role is for it; the lining’s is none');
        self::assertFalse($choose(1500)?->isConverted());
        self::assertFalse($choose(1500)->isForEmptyCell());
    }

    /** Between two sizes the largest figure of all columns between them counts, also where a table dips. */
    #[DataProvider('gradings')]
    public function testTheMostBetweenTwoSizes(string $size, ?string $to, ?string $column, ?int $most): void
    {
        $lengths = ['10' => 1000, '12' => 1300, '14' => 1100, '16' => 1200];
        $row = new Requirement(Role::Main, Length::ofMillimetres(1400), Nap::Without, array_map(Length::ofMillimetres(...), $lengths));
        $table = new RequirementTable(['10', '12', '14', '16'], [$row]);
        $found = $table->most($row, $size, $to);
        self::assertSame([$column, $most], null === $found ? [null, null] : [$found[0], $found[1]->millimetres()]);
    }

    /** @return iterable<string, array{string, ?string, ?string, ?int}> */
    public static function gradings(): iterable
    {
        yield 'one size' => ['10', null, '10', 1000];
        yield 'two that stand together' => ['14', '16', '16', 1200];
        yield 'a dip between' => ['10', '14', '12', 1300];
        yield 'the other way round' => ['14', '10', '12', 1300];
        yield 'a size that is not there' => ['11', null, null, null];
    }

    public function testAPastedTableIsReadUpToItsLimits(): void
    {
        $sizes = range(1, 41);
        $grid = Grid::ofPasted("width\t".implode("\t", $sizes)."\n".str_repeat("140\t".implode("\t", array_fill(0, 41, '1'))."\n", 200));
        self::assertCount(40, $grid->sizes);
        self::assertCount(199, $grid->rows, 'the line of sizes is one of 200');
        self::assertCount(199, Grid::ofPasted("width\t1\n".str_repeat("140\t1\n", 201))->rows);
    }

    public function testWithOrWithoutNapIsEither(): void
    {
        $grid = Grid::ofPasted("Sizes\t14\nmain 140 with or without nap\t1\nmain 150 with nap\t1\nmain 160 without nap\t1");
        self::assertSame(['either', 'with', 'without'], array_column($grid->rows, 'nap'));
    }

    /** Fifteen metres are believed for a garment, a millimetre more is asked about. */
    public function testAGarmentOfFifteenMetresIsBelieved(): void
    {
        $faults = [];
        $hear = static function (string $place, Sentence $sentence) use (&$faults): void {
            $faults[] = $place;
        };
        $table = Grid::ofPasted("Sizes\t14\t16\nmain 140\t15 m\t15.001 m")->table(System::Metric, $hear);
        self::assertSame(['0.cells.1'], $faults);
        self::assertCount(1, $table->rows);
    }

    public function testARowWithoutAWidthOrARoleIsNone(): void
    {
        $hear = static function (string $place, Sentence $sentence): void {
        };
        $rows = [
            ['role' => 'main', 'width' => '', 'nap' => 'without', 'cells' => ['1']],
            ['role' => 'nonsense', 'width' => '140', 'nap' => 'without', 'cells' => ['1']],
            ['role' => 'main', 'width' => '140', 'nap' => 'without', 'cells' => ['1']],
        ];
        self::assertCount(1, (new Grid(['14'], $rows))->table(System::Metric, $hear)->rows);
    }

    #[DataProvider('advice')]
    public function testWhetherAnythingIsAdvised(ClothAdvice $said, bool $is): void
    {
        self::assertSame($is, $said->isSaid());
    }

    /** @return iterable<string, array{ClothAdvice, bool}> */
    public static function advice(): iterable
    {
        yield 'nothing' => [new ClothAdvice(), false];
        yield 'a stretch' => [new ClothAdvice(stretch: 40), true];
        yield 'a weight' => [new ClothAdvice(lightest: WeightClass::Light), true];
        yield 'a drape' => [new ClothAdvice(mostFluid: Drape::Soft), true];
        yield 'words' => [new ClothAdvice(recommended: 'linen'), true];
        yield 'what it is not for' => [new ClothAdvice(notFor: 'plaid'), true];
    }

    private static function row(float $width, Nap $nap = Nap::Without): Requirement
    {
        return new Requirement(
            Role::Main,
            Length::ofMicrometres((int) round($width * 1000)),
            $nap,
            ['14' => Length::ofMillimetres(2000)],
        );
    }
}

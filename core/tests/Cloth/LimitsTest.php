<?php

declare(strict_types=1);

namespace Octavum\Core\Tests\Cloth;

use Octavum\Core\Cloth\Bite;
use Octavum\Core\Cloth\Cloth;
use Octavum\Core\Cloth\ClothType;
use Octavum\Core\Cloth\Cut;
use Octavum\Core\Cloth\Direction;
use Octavum\Core\Cloth\Feel;
use Octavum\Core\Cloth\FibreMix;
use Octavum\Core\Cloth\Knowledge;
use Octavum\Core\Cloth\LedgerEntry;
use Octavum\Core\Cloth\LedgerKind;
use Octavum\Core\Cloth\Material;
use Octavum\Core\Cloth\Origin;
use Octavum\Core\Cloth\Shrinkage;
use Octavum\Core\Cloth\ToCut;
use Octavum\Core\Cloth\Weight;
use Octavum\Core\Measure\Assumptions;
use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\Unreadable;
use Octavum\Core\Measure\Width;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What is just believed, and what is just not. */
final class LimitsTest extends TestCase
{
    #[DataProvider('believed')]
    public function testTheLastFigureIsBelieved(\Closure $figure, mixed $is): void
    {
        self::assertEquals($is, $figure());
    }

    /** @return iterable<string, array{\Closure, mixed}> */
    public static function believed(): iterable
    {
        $mm = Length::ofMillimetres(...);
        yield 'the lightest' => [static fn (): ?int => Weight::ofGrams(5)->grams, 5];
        yield 'the heaviest' => [static fn (): ?int => Weight::ofGrams(2000)->grams, 2000];
        yield 'a square that lost half' => [static fn (): int => Shrinkage::square($mm(200), $mm(100), $mm(200))->along->hundredths, 5000];
        yield 'a square that lost nothing' => [static fn (): int => Shrinkage::square($mm(200), $mm(200), $mm(200))->across->hundredths, 0];
        yield 'a cloth that does not stretch' => [static fn (): int => Feel::stretch($mm(100), $mm(100)), 0];
        yield 'a micrometre that comes to two' => [
            static fn (): int => Feel::stretch(Length::ofMicrometres(1), Length::ofMicrometres(2)),
            100,
        ];
        yield 'a fibre of 100 %' => [static fn (): array => FibreMix::of(['cotton' => 100], Knowledge::Label)->shares, ['cotton' => 100]];
        yield 'a fibre of 1 %' => [
            static fn (): array => FibreMix::of(['cotton' => 99, 'elastane' => 1], Knowledge::Label)->shares,
            ['cotton' => 99, 'elastane' => 1],
        ];
        yield 'one fibre named is all of it' => [
            static fn (): array => FibreMix::of(['linen' => 0], Knowledge::Label)->shares,
            ['linen' => 100],
        ];
        yield 'fibres named without shares' => [
            static fn (): string => FibreMix::of(['linen' => 0, 'viscose' => 0], Knowledge::Label)->typed(),
            'linen, viscose',
        ];
        yield 'a share of one is written' => [
            static fn (): string => FibreMix::of(['cotton' => 99, 'elastane' => 1], Knowledge::Label)->typed(),
            '99 cotton, 1 elastane',
        ];
        yield 'steamed' => [
            static fn (): array => [Shrinkage::steamed()->along->hundredths, Shrinkage::steamed()->across->hundredths],
            [100, 100],
        ];
        yield 'never washed' => [
            static fn (): array => [Shrinkage::none()->along->hundredths, Shrinkage::none()->across->hundredths],
            [0, 0],
        ];
    }

    #[DataProvider('refused')]
    public function testTheNextIsNot(\Closure $figure): void
    {
        $this->expectException(Unreadable::class);
        $figure();
    }

    /** @return iterable<string, array{\Closure}> */
    public static function refused(): iterable
    {
        $mm = Length::ofMillimetres(...);
        yield 'lighter than air' => [static fn (): Weight => Weight::ofGrams(4)];
        yield 'heavier than felt' => [static fn (): Weight => Weight::ofGrams(2001)];
        yield 'a square that lost more than half' => [
            static fn (): Shrinkage => Shrinkage::square($mm(200), Length::ofMicrometres(99_980), $mm(200)),
        ];
        yield 'a square that grew' => [static fn (): Shrinkage => Shrinkage::square($mm(200), $mm(201), $mm(200))];
        yield 'a square that grew across' => [static fn (): Shrinkage => Shrinkage::square($mm(200), $mm(200), $mm(201))];
        yield 'a fibre of 101 %' => [static fn (): FibreMix => FibreMix::of(['cotton' => 101, 'linen' => -1], Knowledge::Label)];
        yield 'a share below nought' => [static fn (): FibreMix => FibreMix::of(['linen' => -1, 'cotton' => 101], Knowledge::Label)];
        yield 'nothing pulled' => [static fn (): int => Feel::stretch(Length::zero(), $mm(10))];
    }

    /**
     * Of 3.06 m, 137 cm wide with selvages of 1 cm: a bite that ends at the selvage, or goes on into it, is along the edge;
     * one that leaves a millimetre there makes two lengths.
     */
    #[DataProvider('edges')]
    public function testWhereAnEdgeBegins(int $below, int $width, int $length, int $wide, int $from = 0, int $long = 3060): void
    {
        $at = static fn (int $mm): Length => 0 === $mm ? Length::zero() : Length::ofMillimetres($mm);
        $cut = new Cut(
            'cut',
            [new LedgerEntry(new \DateTimeImmutable('2027-03-01'), LedgerKind::Washed, Length::ofMillimetres(3060))],
            bites: [new Bite($at($from), $at($below), $at($long), $at($width))],
        );
        $cloth = new Cloth('c', 'Cotton', Width::of(Length::ofMillimetres(1370), Length::ofMillimetres(10)), cuts: [$cut]);
        $toCut = ToCut::of($cloth, $cut, new Assumptions());
        self::assertSame([$length, $wide], [$toCut->length?->millimetres(), $toCut->full?->millimetres()]);
    }

    /** @return iterable<string, array{0: int, 1: int, 2: int, 3: int, 4?: int, 5?: int}> */
    public static function edges(): iterable
    {
        yield 'within the upper selvage' => [0, 10, 3000, 1370];
        yield 'from the very line of the selvage' => [10, 200, 3000, 1170];
        yield 'a millimetre below it' => [11, 200, 0, 1370];
        yield 'to the very line of the lower selvage' => [1160, 200, 3000, 1170];
        yield 'a millimetre above it' => [1159, 200, 0, 1370];
        yield 'from selvage to selvage' => [10, 1350, 0, 1370];
        yield 'along the edge from a millimetre on' => [0, 200, 0, 1370, 1, 3058];
    }

    public function testTheMarginOfAnEdgeStretchesAsFarAsItsCut(): void
    {
        $this->testWhereAnEdgeBegins(0, 200, 0, 1370, 0, 3059);
        $this->testWhereAnEdgeBegins(0, 200, 3000, 1180, 0, 3061);
    }

    public function testASwatchIsWeighedToTheNearestGram(): void
    {
        $mm = Length::ofMillimetres(...);
        self::assertSame(185, Weight::ofSwatch(1_850, $mm(100), $mm(100))->grams, '1.85 g on 100 cm²');
        self::assertSame(74, Weight::ofSwatch(1_850, $mm(250), $mm(100))->grams);
        self::assertSame(74, Weight::ofSwatch(1_850, $mm(100), $mm(250))->grams);
    }

    public function testPileBrushedAndPlainClothHaveNapOrNot(): void
    {
        $oneWay = [
            ClothType::Velvet,
            ClothType::Velveteen,
            ClothType::Velour,
            ClothType::Panne,
            ClothType::FauxFur,
            ClothType::Corduroy,
            ClothType::PileFleece,
        ];
        foreach (ClothType::cases() as $type) {
            self::assertSame(
                \in_array($type, $oneWay, true),
                Direction::OneWay === (new Cloth('c', 'C', material: new Material(type: $type)))->direction,
                $type->value,
            );
        }
    }

    public function testACutThatNobodyMeasuredWasNotTakenFrom(): void
    {
        $on = new \DateTimeImmutable('2027-03-01');
        $bought = new LedgerEntry($on, LedgerKind::Bought);
        $measured = new LedgerEntry($on, LedgerKind::Measured, Length::ofMillimetres(1000));
        self::assertFalse((new Cut('c', [$bought]))->isTakenFrom());
        self::assertFalse((new Cut('c', [$bought, $measured]))->isTakenFrom());
        self::assertTrue((new Cut('c', [$bought, $measured, new LedgerEntry($on, LedgerKind::Cut)]))->isTakenFrom());
    }

    public function testTheLastEntryIsTakenBackAlone(): void
    {
        $on = new \DateTimeImmutable('2027-03-01');
        $entries = array_map(
            static fn (int $mm): LedgerEntry => new LedgerEntry($on, LedgerKind::Measured, Length::ofMillimetres($mm)),
            [1000, 900, 800],
        );
        self::assertSame([$entries[0], $entries[1]], (new Cut('c', $entries))->withoutLastEntry()->ledger);
    }

    public function testWhereAClothCameFromIsKnownByAnyWord(): void
    {
        self::assertFalse((new Origin())->isKnown());
        self::assertTrue((new Origin(from: 'a gift'))->isKnown());
        self::assertTrue((new Origin(on: new \DateTimeImmutable('2027-03-01')))->isKnown());
        self::assertTrue((new Origin(called: 'Soft chambray'))->isKnown());
    }
}

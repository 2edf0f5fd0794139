<?php

declare(strict_types=1);

namespace Octavum\Core\Tests\Cloth;

use Octavum\Core\Cloth\Bite;
use Octavum\Core\Cloth\Cloth;
use Octavum\Core\Cloth\ClothType;
use Octavum\Core\Cloth\Cut;
use Octavum\Core\Cloth\FibreMix;
use Octavum\Core\Cloth\Keeping;
use Octavum\Core\Cloth\Knowledge;
use Octavum\Core\Cloth\LedgerEntry;
use Octavum\Core\Cloth\LedgerKind;
use Octavum\Core\Cloth\Material;
use Octavum\Core\Cloth\Shrinkage;
use Octavum\Core\Cloth\Structure;
use Octavum\Core\Cloth\TestDone;
use Octavum\Core\Cloth\TestKind;
use Octavum\Core\Cloth\ToCut;
use Octavum\Core\Cloth\Weight;
use Octavum\Core\Cloth\WeightClass;
use Octavum\Core\Measure\Assumptions;
use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\Percent;
use Octavum\Core\Measure\Unit;
use Octavum\Core\Measure\Unreadable;
use Octavum\Core\Measure\Width;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class ClothTest extends TestCase
{
    /** @param array<string, int> $shares */
    #[DataProvider('mixes')]
    public function testShrinkageFollowsTheFibres(
        array $shares,
        Structure $structure,
        ?ClothType $type,
        string $along,
        string $across,
    ): void {
        $shrinkage = Shrinkage::expected(FibreMix::of($shares, Knowledge::Label), $structure, $type);
        self::assertSame([$along, $across], [(string) $shrinkage->along, (string) $shrinkage->across]);
    }

    /** @return iterable<string, array{array<string, int>, Structure, ?ClothType, string, string}> */
    public static function mixes(): iterable
    {
        yield 'cotton' => [['cotton' => 100], Structure::Woven, null, '4 %', '2 %'];
        yield 'cotton knit' => [['cotton' => 100], Structure::Knit, null, '6 %', '4 %'];
        yield 'brushed cotton' => [['cotton' => 100], Structure::Woven, ClothType::Flannel, '8 %', '4 %'];
        yield 'denim' => [['cotton' => 100], Structure::Woven, ClothType::Denim, '5 %', '2 %'];
        yield 'viscose' => [['viscose' => 100], Structure::Woven, null, '6 %', '3 %'];
        yield 'a blend by share: 0.6 × 4 + 0.4 × 1' => [['cotton' => 60, 'polyester' => 40], Structure::Woven, null, '2.8 %', '1.4 %'];
        yield 'elastane follows its partner' => [['cotton' => 95, 'elastane' => 5], Structure::Knit, null, '6 %', '4 %'];
        yield 'unknown counts the most' => [[], Structure::Woven, null, '6 %', '3 %'];
    }

    public function testFibresMustAddUp(): void
    {
        $this->expectException(Unreadable::class);
        $this->expectExceptionMessage('The fibres add up to 120 %, not 100 %');
        FibreMix::of(['cotton' => 80, 'linen' => 40], Knowledge::Label);
    }

    public function testAShareBelowNoughtIsNoShareAlsoAlone(): void
    {
        $this->expectException(Unreadable::class);
        $this->expectExceptionMessage('-5 % of cotton is not a share');
        FibreMix::of(['cotton' => -5], Knowledge::Label);
    }

    public function testAFibreNobodyKnowsIsNamed(): void
    {
        $this->expectException(Unreadable::class);
        $this->expectExceptionMessage('“unobtainium” is not a fibre');
        FibreMix::of(['unobtainium' => 100], Knowledge::Label);
    }

    public function testSquaringAndTheWashAreTakenFromTheCut(): void
    {
        $cut = self::cut([LedgerKind::Bought, '2.50']);
        $toCut = ToCut::of(self::cotton($cut), $cut, new Assumptions());
        self::assertSame(2_342_400, $toCut->length?->micrometres, '(2.50 − 0.06) × 0.96');
        self::assertSame(1_323_000, $toCut->width?->micrometres, '(1.37 − 0.02) × 0.98');
        self::assertSame(
            ['The cut', 'Straightening both ends', 'Shrinks 4 % in the wash', 'Usable'],
            array_map(static fn ($line): string => (string) $line->label, $toCut->working()->lines),
        );
    }

    /** @param list<array{int, int, int, int}> $bites from, below, length and width of each, mm */
    #[DataProvider('missing')]
    public function testMissingPartsMakeACutShorterOrNarrower(array $bites, int $length, int $width): void
    {
        $at = static fn (int $mm): Length => 0 === $mm ? Length::zero() : Length::ofMillimetres($mm);
        $cut = new Cut(
            'cut',
            [
                new LedgerEntry(new \DateTimeImmutable('2027-03-01'), LedgerKind::Washed, Length::ofMillimetres(3060)),
            ],
            bites: array_map(static fn (array $b): Bite => new Bite($at($b[0]), $at($b[1]), $at($b[2]), $at($b[3])), $bites),
        );
        $toCut = ToCut::of(self::cotton($cut), $cut, new Assumptions());
        self::assertSame([$length, $width], [$toCut->length?->millimetres(), $toCut->full?->millimetres()]);
    }

    /** @return iterable<string, array{list<array{int, int, int, int}>, int, int}> of 3.06 m, 137 cm wide, squared by 6 cm */
    public static function missing(): iterable
    {
        yield 'nothing' => [[], 3000, 1370];
        yield 'a part across the whole width at 1.00 m' => [[[1000, 0, 100, 1370]], 1900, 1370];
        yield 'a stain in the middle' => [[[1000, 600, 100, 100]], 1900, 1370];
        yield 'a strip along the lower edge' => [[[0, 0, 3060, 200]], 3000, 1180];
        yield 'a strip along the upper edge' => [[[0, 1170, 3060, 200]], 3000, 1180];
        yield 'a strip along half of an edge' => [[[0, 0, 1500, 200]], 1500, 1370];
        yield 'the far end' => [[[2060, 0, 1000, 1370]], 2000, 1370];
        yield 'two strips' => [[[0, 0, 3060, 200], [0, 1170, 3060, 200]], 3000, 990];
    }

    /** A strip 45 × 110 cm of a cotton 137 cm wide, with selvages of 1 cm. */
    public function testACutHasAWidthOfItsOwn(): void
    {
        $strip = static fn (LedgerKind $kind): Cut => new Cut(
            'strip',
            [new LedgerEntry(new \DateTimeImmutable('2027-03-01'), $kind, Length::ofMillimetres(1100))],
            width: Length::ofMillimetres(450),
        );
        $washed = $strip(LedgerKind::Washed);
        $toCut = ToCut::of(self::cotton($washed), $washed, new Assumptions());
        self::assertSame([1040, 450, 450], [
            $toCut->length?->millimetres(),
            $toCut->width?->millimetres(),
            $toCut->full?->millimetres(),
        ], 'squared by 6 cm, from edge to edge');
        $raw = $strip(LedgerKind::Bought);
        $toCut = ToCut::of(self::cotton($raw), $raw, new Assumptions());
        self::assertSame([998_400, 441_000], [$toCut->length?->micrometres, $toCut->width?->micrometres], '4 % along, 2 % across');
        $unknown = new Cloth('u', 'Nobody measured it', cuts: [$washed]);
        self::assertSame(450, ToCut::of($unknown, $washed, new Assumptions())->width?->millimetres());
        self::assertEquals($washed->width, $washed->missing([])->with($raw->ledger[0])->withoutLastEntry()->width);
        self::assertSame(3300, Cut::ownWidth(Length::ofMillimetres(3300))->millimetres());
        $this->expectException(Unreadable::class);
        Cut::ownWidth(Length::ofMillimetres(3301));
    }

    public function testNoFibresAreNotKnownWhoeverSaidSo(): void
    {
        self::assertSame(Knowledge::Unknown, FibreMix::of([], Knowledge::Label)->knowledge);
        self::assertSame(Knowledge::Label, FibreMix::of(['cotton' => 100], Knowledge::Label)->knowledge);
    }

    public function testAWashedCutShrinksUntilItIsMeasuredAgain(): void
    {
        $washed = self::cut([LedgerKind::Bought, '2.50'], [LedgerKind::Washed, null]);
        self::assertTrue($washed->washed);
        self::assertFalse($washed->settled);
        self::assertSame(2_342_400, ToCut::of(self::cotton($washed), $washed, new Assumptions())->length?->micrometres);
        $measured = $washed->with(new LedgerEntry(new \DateTimeImmutable('2027-03-03'), LedgerKind::Measured, Length::ofMetres('2.41')));
        self::assertTrue($measured->settled);
        self::assertSame(2_350_000, ToCut::of(self::cotton($measured), $measured, new Assumptions())->length?->micrometres);
    }

    public function testTheLedgerSaysWhetherACutIsStillHere(): void
    {
        self::assertTrue(self::cut([LedgerKind::Bought, '1'], [LedgerKind::GivenAway, null])->gone);
        self::assertFalse(self::cut([LedgerKind::Bought, '1'], [LedgerKind::Spoilt, '0.6'])->gone, 'only a part was spoilt');
        self::assertFalse(self::cut([LedgerKind::Bought, '1'])->gone);
    }

    /** @param list<array{string, LedgerKind, ?string}> $entries day, what, length */
    #[DataProvider('ledgers')]
    public function testWhatACutIsFollowsFromItsLedgerByDay(array $entries, ?string $length, bool $settled, bool $gone): void
    {
        $cut = new Cut(
            'c',
            array_map(
                static fn (array $entry): LedgerEntry => new LedgerEntry(
                    new \DateTimeImmutable($entry[0]),
                    $entry[1],
                    null === $entry[2] ? null : Length::ofMetres($entry[2]),
                ),
                $entries,
            ),
        );
        self::assertSame(
            [null === $length ? null : Length::ofMetres($length)->micrometres, $settled, $gone],
            [$cut->length?->micrometres, $cut->settled, $cut->gone],
        );
    }

    /** @return iterable<string, array{list<array{string, LedgerKind, ?string}>, ?string, bool, bool}> */
    public static function ledgers(): iterable
    {
        $bought = ['2027-01-01', LedgerKind::Bought, '2.5'];
        yield 'cut into, not measured' => [[$bought, ['2027-01-02', LedgerKind::Cut, null]], null, false, false];
        yield 'a remnant made of it, not measured' => [[$bought, ['2027-01-02', LedgerKind::Remnant, null]], null, false, false];
        yield 'cut into, then measured' => [
            [$bought, ['2027-01-02', LedgerKind::Cut, null], ['2027-01-03', LedgerKind::Measured, '1.1']],
            '1.1',
            false,
            false,
        ];
        yield 'a part given away' => [[$bought, ['2027-01-02', LedgerKind::GivenAway, '1.8']], '1.8', false, false];
        yield 'all given away, then washed' => [
            [$bought, ['2027-01-02', LedgerKind::GivenAway, null], ['2027-01-03', LedgerKind::Washed, '2.4']],
            '2.4',
            true,
            true,
        ];
        yield 'found again' => [
            [$bought, ['2027-01-02', LedgerKind::GivenAway, null], ['2027-01-03', LedgerKind::Measured, '2.5']],
            '2.5',
            false,
            false,
        ];
        yield 'a wash written down late' => [
            [$bought, ['2027-03-01', LedgerKind::Measured, '2.4'], ['2027-02-01', LedgerKind::Washed, null]],
            '2.4',
            true,
            false,
        ];
        yield 'washed again: nothing is left to shrink' => [
            [$bought, ['2027-02-01', LedgerKind::Washed, '2.4'], ['2027-03-01', LedgerKind::Washed, null]],
            '2.4',
            true,
            false,
        ];
        yield 'steamed and measured' => [[$bought, ['2027-02-01', LedgerKind::Steamed, '2.48']], '2.48', true, false];
        yield 'dyed and measured: it shrank as in a wash' => [[$bought, ['2027-02-01', LedgerKind::Dyed, '2.4']], '2.4', true, false];
        yield 'dyed, not measured' => [[$bought, ['2027-02-01', LedgerKind::Dyed, null]], '2.5', false, false];
        yield 'taken apart' => [[$bought, ['2027-02-01', LedgerKind::TakenApart, null]], '2.5', false, true];
        yield 'not to be washed' => [[$bought, ['2027-02-01', LedgerKind::NotWashed, null]], '2.5', true, false];
    }

    public function testAWidthShrinksUntilItIsMeasuredAfterTheWashToo(): void
    {
        $cut = self::cut([LedgerKind::Bought, '2.5'], [LedgerKind::Washed, '2.4']);
        $width = static fn (Cloth $cloth): ?int => ToCut::of($cloth, $cut, new Assumptions())->width?->micrometres;
        $cloth = self::cotton($cut);
        self::assertSame(1_323_000, $width($cloth), 'only the length was measured since: (1.37 − 0.02) × 0.98');
        $test = static fn (string $day): Cloth => new Cloth(
            'c',
            'Cotton',
            $cloth->width,
            material: new Material(fibres: $cloth->material->fibres),
            keeping: new Keeping(tests: [new TestDone(new \DateTimeImmutable($day), TestKind::Width, '137 cm')]),
            cuts: [$cut],
        );
        self::assertSame(1_323_000, $width($test('2027-02-28')), 'before the wash');
        self::assertSame(1_350_000, $width($test('2027-03-01')), 'since');
        $came = self::cut([LedgerKind::Bought, null], [LedgerKind::Washed, '2.4']);
        self::assertSame(1_350_000, ToCut::of($cloth, $came, new Assumptions())->width?->micrometres, 'it came washed');
    }

    public function testACutShorterThanItsSquaringLeavesNothing(): void
    {
        $cut = self::cut([LedgerKind::Bought, '0.05']);
        self::assertSame(0, ToCut::of(self::cotton($cut), $cut, new Assumptions())->length?->micrometres);
    }

    public function testATestSquareReplacesTheAssumption(): void
    {
        $cut = self::cut([LedgerKind::Bought, '2.06']);
        $cloth = new Cloth('c', 'Linen', material: new Material(tested: Shrinkage::tested(Percent::of(7.5), Percent::of(1))), cuts: [$cut]);
        self::assertSame(1_850_000, ToCut::of($cloth, $cut, new Assumptions())->length?->micrometres);
    }

    public function testAWeightHasAWord(): void
    {
        self::assertSame(
            [WeightClass::Sheer, WeightClass::Light, WeightClass::Medium, WeightClass::Heavy, WeightClass::VeryHeavy],
            array_map(static fn (int $grams): WeightClass => Weight::ofGrams($grams)->class, [79, 80, 150, 350, 351]),
        );
        $this->expectException(Unreadable::class);
        Weight::ofGrams(0);
    }

    public function testSelvagesMustLeaveSomething(): void
    {
        self::assertSame(1_350_000, Width::of(Length::ofMetres('1.37'), Length::ofMetres('0.01'))->usable()->micrometres);
        $this->expectException(Unreadable::class);
        Width::of(Length::ofMetres('0.06'), Length::of('3', Unit::Centimetre));
    }

    private static function cotton(Cut $cut): Cloth
    {
        return new Cloth(
            'c',
            'Cotton',
            Width::of(Length::ofMetres('1.37'), Length::ofMetres('0.01')),
            material: new Material(fibres: FibreMix::of(['cotton' => 100], Knowledge::Label)),
            cuts: [$cut],
        );
    }

    /** @param array{LedgerKind, ?string} ...$entries */
    private static function cut(array ...$entries): Cut
    {
        return new Cut(
            'cut',
            array_map(
                static fn (array $entry): LedgerEntry => new LedgerEntry(
                    new \DateTimeImmutable('2027-03-01'),
                    $entry[0],
                    null === $entry[1] ? null : Length::ofMetres($entry[1]),
                ),
                array_values($entries),
            ),
        );
    }
}

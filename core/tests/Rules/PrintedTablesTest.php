<?php

declare(strict_types=1);

namespace Octavum\Core\Tests\Rules;

use Octavum\Core\Cloth\CareLabel;
use Octavum\Core\Cloth\Cloth;
use Octavum\Core\Cloth\ClothType;
use Octavum\Core\Cloth\FibreReader;
use Octavum\Core\Cloth\Knowledge;
use Octavum\Core\Cloth\Material;
use Octavum\Core\Cloth\Structure;
use Octavum\Core\Cloth\Weight;
use Octavum\Core\Cloth\WeightClass;
use Octavum\Core\Measure\Assumptions;
use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\Matching;
use Octavum\Core\Measure\Rounding;
use Octavum\Core\Measure\Unit;
use Octavum\Core\Need\Conversion;
use Octavum\Core\Need\CuttingCloth;
use Octavum\Core\Need\Estimator;
use Octavum\Core\Need\Need;
use Octavum\Core\Need\NeedRequest;
use Octavum\Core\Need\NeedSource;
use Octavum\Core\Need\Verdict;
use Octavum\Core\Pattern\Nap;
use Octavum\Core\Pattern\Requirement;
use Octavum\Core\Pattern\RequirementTable;
use Octavum\Core\Pattern\Version;
use Octavum\Core\Piece\Garment;
use Octavum\Core\Piece\Role;
use Octavum\Core\Shopping\Counter;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** The figures the trade prints, transcribed by hand from the workroom's rules, each checked alone. */
final class PrintedTablesTest extends TestCase
{
    #[DataProvider('shrinkages')]
    public function testShrinkage(string $fibres, ?Structure $structure, ?ClothType $type, string $along, string $across): void
    {
        $shrinkage = (new Cloth(
            'c',
            'Cloth',
            null,
            material: new Material(structure: $structure, type: $type, fibres: (new FibreReader())->read($fibres, Knowledge::Label)),
        ))->material->shrinkage();
        self::assertSame([$along.' %', $across.' %'], [(string) $shrinkage->along, (string) $shrinkage->across]);
    }

    /** @return iterable<string, array{string, ?Structure, ?ClothType, string, string}> */
    public static function shrinkages(): iterable
    {
        yield 'cotton woven 4/2' => ['cotton', Structure::Woven, null, '4', '2'];
        yield 'cotton knit 6/4' => ['cotton', Structure::Knit, null, '6', '4'];
        yield 'cotton jersey is a knit by its name' => ['cotton', null, ClothType::Jersey, '6', '4'];
        yield 'cotton flannel 8/4' => ['cotton', null, ClothType::Flannel, '8', '4'];
        yield 'brushed cotton 8/4' => ['cotton', null, ClothType::Brushed, '8', '4'];
        yield 'denim 5/2' => ['cotton', null, ClothType::Denim, '5', '2'];
        yield 'linen 5/3' => ['linen', null, null, '5', '3'];
        yield 'hemp 5/3' => ['hemp', null, null, '5', '3'];
        yield 'viscose woven 6/3' => ['viscose', null, null, '6', '3'];
        yield 'viscose knit 6/4' => ['viscose', null, ClothType::Jersey, '6', '4'];
        yield 'lyocell 3/2' => ['lyocell', null, null, '3', '2'];
        yield 'modal 3/2' => ['modal', null, null, '3', '2'];
        yield 'wool 4/3' => ['wool', null, null, '4', '3'];
        yield 'silk 4/2' => ['silk', null, null, '4', '2'];
        yield 'polyester 1/0.5' => ['polyester', null, null, '1', '0.5'];
        yield 'nylon 1/0.5' => ['nylon', null, null, '1', '0.5'];
        yield 'acrylic 1/0.5' => ['acrylic', null, null, '1', '0.5'];
        yield 'elastane follows its partner' => ['95 viscose 5 elastane', null, ClothType::Jersey, '6', '4'];
        yield 'a blend by share: 0.6 × 4 + 0.4 × 1' => ['60 cotton 40 polyester', null, null, '2.8', '1.4'];
        yield 'shares unknown: the larger' => ['linen viscose', null, null, '6', '3'];
        yield 'wool mix: the unknown part may shrink most' => ['wool mix', null, null, '6', '3'];
        yield 'polycotton: as cotton' => ['polycotton', null, null, '4', '2'];
        yield 'unknown woven 6' => ['', null, null, '6', '3'];
        yield 'unknown knit 6' => ['', null, ClothType::Ponte, '6', '4'];
        yield 'unknown brushed 8' => ['', null, ClothType::Flannel, '8', '4'];
    }

    public function testDryCleanOnlyIsNeverCountedToShrinkInTheWash(): void
    {
        $wool = static fn (CareLabel $care): Cloth => new Cloth(
            'c',
            'Suiting',
            null,
            material: new Material(type: ClothType::Suiting, fibres: (new FibreReader())->read('wool', Knowledge::Label), care: $care),
        );
        self::assertSame('1 %', (string) $wool(CareLabel::DryClean)->material->shrinkage()->along);
        self::assertSame('0 %', (string) $wool(CareLabel::Wipe)->material->shrinkage()->along);
        self::assertSame('4 %', (string) $wool(CareLabel::Hand)->material->shrinkage()->along);
    }

    /** @param list<string> $line yards at 35, 39, 41, 44, 50, 52 and 58 in */
    #[DataProvider('chart')]
    public function testTheChartOfWidths(array $line): void
    {
        $widths = [35, 39, 41, 44, 50, 52, 58];
        $yards = static fn (string $text): Length => Length::parse($text.' yd', Unit::Yard);
        foreach ($line as $i => $amount) {
            $found = (new Conversion())->convert(
                $yards($line[0]),
                Length::of('35', Unit::Inch),
                Length::of((string) $widths[$i], Unit::Inch),
            );
            self::assertSame($yards($amount)->micrometres, $found->micrometres, $widths[$i].' in');
        }
    }

    /** @return iterable<string, array{list<string>}> */
    public static function chart(): iterable
    {
        $printed = <<<'CHART'
        1¾ 1½ 1½ 1⅜ 1¼ 1⅛ 1
        2 1¾ 1¾ 1⅝ 1½ 1⅜ 1¼
        2¼ 2 2 1¾ 1⅝ 1½ 1⅜
        2½ 2¼ 2¼ 2⅛ 1¾ 1¾ 1⅝
        2⅞ 2½ 2½ 2¼ 2 1⅞ 1¾
        3⅛ 2¾ 2¾ 2½ 2¼ 2 1⅞
        3⅜ 3 2⅞ 2¾ 2⅜ 2¼ 2
        3¾ 3¼ 3⅛ 2⅞ 2⅝ 2⅜ 2¼
        4¼ 3½ 3⅜ 3⅛ 2¾ 2⅝ 2⅜
        4½ 3¾ 3⅝ 3⅜ 3 2¾ 2⅝
        4¾ 4 3⅞ 3⅝ 3¼ 2⅞ 2¾
        5 4¼ 4⅛ 3⅞ 3⅜ 3⅛ 2⅞
        CHART;
        foreach (explode("\n", $printed) as $line) {
            yield $line => [explode(' ', $line)];
        }
    }

    #[DataProvider('classes')]
    public function testWidthsThatCountersSellAsOneReadOneRow(float $cloth, float $row, bool $reads): void
    {
        $table = new RequirementTable(
            ['14'],
            [
                new Requirement(Role::Main, Length::ofMillimetres(400), Nap::Without, ['14' => Length::ofMetres('9')]),
                new Requirement(Role::Main, Length::ofMillimetres($row), Nap::Without, ['14' => Length::ofMetres('2')]),
            ],
        );
        $need = self::need(
            new NeedRequest(new Version('v', 'A', $table), Garment::Top, Role::Main, '14'),
            new CuttingCloth(Length::ofMillimetres($cloth)),
        );
        self::assertSame($reads ? 2_000_000 : 9_000_000, $need->amount->micrometres);
    }

    /** @return iterable<string, array{float, float, bool}> cloth and row in mm */
    public static function classes(): iterable
    {
        $classes = [[1117.6, 1143, 1100, 1120, 1140, 1150], [1371.6, 1397, 1370, 1400], [1473.2, 1524, 1470, 1480, 1500, 1520]];
        foreach ($classes as $i => $widths) {
            foreach ($widths as $cloth) {
                foreach ($widths as $row) {
                    yield "$cloth reads $row" => [$cloth, $row, true];
                }
                foreach ($classes[$i + 1] ?? [] as $wider) {
                    yield "$cloth does not read $wider" => [$cloth, $wider, $wider - $cloth <= 51];
                }
            }
        }
        yield '137 reads 115, never 150' => [1370, 1500, false];
        yield 'a row 51 mm wider' => [1000, 1051, true];
        yield 'a row 52 mm wider' => [1000, 1052, false];
    }

    #[DataProvider('additions')]
    public function testAdditions(Garment $garment, Role $role, Matching $matching, bool $oneWay, int $printed, int $needed): void
    {
        $table = new RequirementTable(
            ['14'],
            [new Requirement($role, Length::ofMillimetres(1400), Nap::Without, ['14' => Length::ofMillimetres($printed)])],
        );
        $need = self::need(
            new NeedRequest(new Version('v', 'A', $table), $garment, $role, '14', matching: $matching),
            new CuttingCloth(Length::ofMillimetres(1400), $oneWay, Length::ofMillimetres(640)),
        );
        self::assertSame($needed, $need->amount->millimetres());
    }

    /** @return iterable<string, array{Garment, Role, Matching, bool, int, int}> printed and needed in mm, repeat 64 cm */
    public static function additions(): iterable
    {
        yield 'one-way: a quarter metre' => [Garment::Top, Role::Main, Matching::Never, true, 1000, 1250];
        yield 'one-way: 15 %' => [Garment::Top, Role::Main, Matching::Never, true, 2000, 2300];
        yield 'never matched' => [Garment::Dress, Role::Main, Matching::Never, false, 2000, 2000];
        $mainLengths = [[Garment::Top, 2], [Garment::Skirt, 2], [Garment::Dress, 3], [Garment::Trousers, 2], [Garment::Jacket, 3]];
        foreach ($mainLengths as [$garment, $lengths]) {
            yield $garment->value.': main lengths' => [$garment, Role::Main, Matching::MainSeams, false, 1000, 1000 + $lengths * 640];
        }
        yield 'a contrast has no main length' => [Garment::Dress, Role::Contrast, Matching::MainSeams, false, 300, 300];
        yield 'everywhere: one more' => [Garment::Dress, Role::Main, Matching::Everywhere, false, 1000, 1000 + 4 * 640];
        yield 'everywhere: a contrast, too' => [Garment::Dress, Role::Contrast, Matching::Everywhere, false, 300, 940];
    }

    #[DataProvider('steps')]
    public function testCountersSellByTheirStep(Counter $counter, int $micrometres): void
    {
        self::assertSame($micrometres, $counter->step()->micrometres);
        $step = $counter->step();
        self::assertSame($micrometres, Length::ofMicrometres(1)->toStep($step, Rounding::Up)->micrometres);
        self::assertSame($micrometres, Length::ofMicrometres($micrometres)->toStep($step, Rounding::Up)->micrometres);
        self::assertSame(2 * $micrometres, Length::ofMicrometres($micrometres + 1)->toStep($step, Rounding::Up)->micrometres);
    }

    /** @return iterable<string, array{Counter, int}> */
    public static function steps(): iterable
    {
        yield '⅛ yd' => [Counter::EighthYard, 114_300];
        yield '¼ yd' => [Counter::QuarterYard, 228_600];
        yield '10 cm' => [Counter::TenCentimetres, 100_000];
        yield '25 cm' => [Counter::TwentyFiveCentimetres, 250_000];
        yield '50 cm' => [Counter::FiftyCentimetres, 500_000];
    }

    #[DataProvider('verdicts')]
    public function testVerdicts(int $spare, int $need, Verdict $verdict): void
    {
        self::assertSame($verdict, Verdict::of(Length::ofMillimetres($spare), Length::ofMillimetres($need), new Assumptions()));
    }

    /** @return iterable<array{int, int, Verdict}> spare and need in mm */
    public static function verdicts(): iterable
    {
        yield [-1, 1000, Verdict::Short];
        yield [0, 1000, Verdict::Tight];
        yield [99, 1000, Verdict::Tight];
        yield [100, 1000, Verdict::Fits];
        yield [149, 3000, Verdict::Tight];
        yield [150, 3000, Verdict::Fits];
    }

    public function testStartingFigures(): void
    {
        $assumptions = new Assumptions();
        self::assertSame(
            [30, 10, 51, 250],
            array_map(static fn (Length $length): float|int => $length->millimetres(), [
                $assumptions->squaring,
                $assumptions->selvage,
                $assumptions->rowTolerance,
                $assumptions->oneWayLeast,
            ]),
        );
        self::assertSame(
            [2, 10, 15, 20, null],
            array_map(static fn (NeedSource $way): ?int => $way->trust(), [
                NeedSource::LaidOut,
                NeedSource::Converted,
                NeedSource::CalibratedBlock,
                NeedSource::RoughBlock,
                NeedSource::OwnWidth,
            ]),
        );
        self::assertSame(
            [
                WeightClass::Sheer,
                WeightClass::Light,
                WeightClass::Light,
                WeightClass::Medium,
                WeightClass::Medium,
                WeightClass::Heavy,
                WeightClass::Heavy,
                WeightClass::VeryHeavy,
            ],
            array_map(static fn (int $grams): WeightClass => Weight::ofGrams($grams)->class, [79, 80, 149, 150, 249, 250, 350, 351]),
        );
        self::assertSame([25_400, 3_175, 114_300], [Unit::Inch->value, intdiv(Unit::Inch->value, 8), Unit::EighthYard->value]);
    }

    private static function need(NeedRequest $wanted, CuttingCloth $on): Need
    {
        $need = (new Estimator(new Assumptions()))->estimate($wanted, $on);
        self::assertInstanceOf(Need::class, $need);

        return $need;
    }
}

<?php

declare(strict_types=1);

namespace Octavum\Core\Tests\Need;

use Octavum\Core\Measure\Assumptions;
use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\Unit;
use Octavum\Core\Need\Alteration;
use Octavum\Core\Need\Conversion;
use Octavum\Core\Need\CuttingCloth;
use Octavum\Core\Need\Estimator;
use Octavum\Core\Need\Missing;
use Octavum\Core\Need\Need;
use Octavum\Core\Need\NeedRequest;
use Octavum\Core\Need\NeedSource;
use Octavum\Core\Need\Unknown;
use Octavum\Core\Pattern\Nap;
use Octavum\Core\Pattern\Requirement;
use Octavum\Core\Pattern\RequirementTable;
use Octavum\Core\Pattern\Version;
use Octavum\Core\Piece\Garment;
use Octavum\Core\Piece\Role;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class EstimatorTest extends TestCase
{
    #[DataProvider('widths')]
    public function testReadsTheWidestRowTheClothReachesAndNeverAWiderOne(string $width, string $need, NeedSource $way): void
    {
        $found = $this->need($width);
        self::assertSame([Length::ofMetres($need)->micrometres, $way], [$found->amount->micrometres, $found->way]);
    }

    /** @return iterable<string, array{string, string, NeedSource}> */
    public static function widths(): iterable
    {
        yield '137 reads the 115 row' => ['1.37', '2.60', NeedSource::OwnWidth];
        yield '112 counts as 115' => ['1.12', '2.60', NeedSource::OwnWidth];
        yield '147 counts as 150' => ['1.47', '2.10', NeedSource::OwnWidth];
        yield '145 as well, 51 mm less' => ['1.449', '2.10', NeedSource::OwnWidth];
        yield '144 does not' => ['1.448', '2.60', NeedSource::OwnWidth];
        yield 'wider than all' => ['1.80', '2.10', NeedSource::OwnWidth];
    }

    public function testNarrowerThanEveryRowIsConvertedUpAndWarned(): void
    {
        $need = $this->need('0.90');
        self::assertSame(NeedSource::Converted, $need->way);
        self::assertTrue(Length::ofMetres('2.60')->isLessThan($need->amount));
        self::assertStringContainsString('widest piece may not fit', (string) $need->warnings[0]);
        self::assertSame(10, $need->way->trust());
    }

    public function testTheAreaBetweenTheRowsIsASecondOpinion(): void
    {
        // areas 1.15 × 2.60 = 2.990 and 1.50 × 2.10 = 3.150; at 1.37: 2.990 + 0.160 × 22/35 = 3.0906; / 1.37 = 2.256 m
        self::assertSame(2_256_000, $this->need('1.37')->secondOpinion?->micrometres);
        self::assertNull($this->need('1.15')->secondOpinion);
    }

    public function testOneWayClothReadsTheRowWithNapOrAddsTheLargerOfFifteenPerCentAndAQuarterMetre(): void
    {
        self::assertSame(2_415_000, $this->need('1.50', oneWay: true)->amount->micrometres, '2.10 + 15 %');
        self::assertSame(1_250_000, $this->need('1.50', oneWay: true, cell: '1.00')->amount->micrometres, '1.00 + 25 cm');
        $table = new RequirementTable(
            ['14'],
            [
                new Requirement(Role::Main, Length::ofMetres('1.5'), Nap::With, ['14' => Length::ofMetres('2.35')]),
                new Requirement(Role::Main, Length::ofMetres('1.5'), Nap::Without, ['14' => Length::ofMetres('2.10')]),
            ],
        );
        $estimator = new Estimator(new Assumptions());
        $wanted = new NeedRequest(new Version('v', 'A', $table), Garment::Skirt, Role::Main, '14');
        foreach ([[true, 2_350_000], [false, 2_100_000]] as [$oneWay, $expected]) {
            $need = $estimator->estimate($wanted, new CuttingCloth(Length::ofMetres('1.5'), $oneWay));
            self::assertInstanceOf(Need::class, $need);
            self::assertSame($expected, $need->amount->micrometres);
        }
    }

    public function testMatchingAddsARepeatForEachMainLengthAndAlterationsAddTheirOwn(): void
    {
        $wanted = new NeedRequest($this->version('2.10'), Garment::Dress, Role::Main, '14', null, [
            new Alteration('Lengthen by 5 cm, twice', Length::ofMetres('0.10')),
        ]);
        $need = (new Estimator(new Assumptions()))->estimate(
            $wanted,
            new CuttingCloth(Length::ofMetres('1.50'), repeat: Length::ofMetres('0.08')),
        );
        self::assertInstanceOf(Need::class, $need);
        self::assertSame(2_440_000, $need->amount->micrometres, '2.10 + 3 × 0.08 + 0.10');
    }

    public function testTheLargestSizeUsedDecides(): void
    {
        $table = new RequirementTable(
            ['14', '16'],
            [
                new Requirement(Role::Main, Length::ofMetres('1.5'), Nap::Either, [
                    '14' => Length::ofMetres('2'),
                    '16' => Length::ofMetres('2.2'),
                ]),
            ],
        );
        foreach ([['14', '16', 2_200_000], ['16', '14', 2_200_000], ['14', null, 2_000_000]] as [$size, $to, $expected]) {
            $need = (new Estimator(new Assumptions()))->estimate(
                new NeedRequest(new Version('v', 'A', $table), Garment::Top, Role::Main, $size, $to),
                new CuttingCloth(Length::ofMetres('1.5')),
            );
            self::assertInstanceOf(Need::class, $need);
            self::assertSame($expected, $need->amount->micrometres);
        }
    }

    public function testWhatIsMissingIsNamed(): void
    {
        $estimator = new Estimator(new Assumptions());
        $on = new CuttingCloth(Length::ofMetres('1.5'));
        $unknown = static function (Need|Unknown $answer): Unknown {
            self::assertInstanceOf(Unknown::class, $answer);

            return $answer;
        };
        self::assertSame(
            Missing::Width,
            $unknown(
                $estimator->estimate(new NeedRequest($this->version('2'), Garment::Top, Role::Main, '14'), new CuttingCloth(null)),
            )->missing,
        );
        self::assertSame(
            Missing::Pattern,
            $unknown($estimator->estimate(new NeedRequest(null, Garment::Top, Role::Main, '14'), $on))->missing,
        );
        self::assertSame(
            Missing::Size,
            $unknown($estimator->estimate(new NeedRequest($this->version('2'), Garment::Top, Role::Main, null), $on))->missing,
        );
        self::assertSame(
            'Size 22 is not in the table of version A: it has 14.',
            (string) $unknown($estimator->estimate(new NeedRequest($this->version('2'), Garment::Top, Role::Main, '22'), $on))->settle,
        );
        self::assertSame(
            Missing::Row,
            $unknown($estimator->estimate(new NeedRequest($this->version('2'), Garment::Top, Role::Lining, '14'), $on))->missing,
        );
        self::assertSame(
            Missing::Row,
            $unknown(
                $estimator->estimate(
                    new NeedRequest(new Version('v', 'A', new RequirementTable([], [])), Garment::Top, Role::Main, '14'),
                    $on,
                ),
            )->missing,
        );
    }

    public function testTheChartGivesItsOwnFiguresBack(): void
    {
        $chart = new Conversion();
        $yards = static fn (string $amount): Length => Length::of($amount, Unit::Yard);
        $inches = static fn (int $width): Length => Length::of((string) $width, Unit::Inch);
        self::assertEquals($yards('2.875'), $chart->convert($yards('2.5'), $inches(39), $inches(35)));
        self::assertEquals($yards('3.75'), $chart->convert($yards('2.875'), $inches(44), $inches(35)));
        self::assertEquals($yards('2'), $chart->convert($yards('1.875'), $inches(52), $inches(50)));
        self::assertEquals($yards('3.875'), $chart->convert($yards('2.875'), $inches(58), $inches(44)));
        self::assertEquals($yards('0.25'), $chart->extra($inches(58), $inches(44), new Assumptions()), 'more than 25 cm apart');
        self::assertEquals(Length::zero(), $chart->extra($inches(52), $inches(44), new Assumptions()));
    }

    public function testNarrowerClothNeverNeedsLess(): void
    {
        $chart = new Conversion();
        mt_srand(5);
        for ($i = 0; $i < 500; ++$i) {
            $amount = Length::ofMicrometres(mt_rand(200_000, 8_000_000));
            $from = mt_rand(700, 1700);
            $narrow = mt_rand(500, $from);
            $narrower = mt_rand(400, $narrow);
            $at = static fn (int $to): int => $chart->convert($amount, Length::ofMillimetres($from), Length::ofMillimetres($to))
                ->micrometres;
            self::assertGreaterThanOrEqual($amount->micrometres - 20, $at($narrow), "$from → $narrow");
            self::assertGreaterThanOrEqual($at($narrow) - 20, $at($narrower), "$from → $narrower");
        }
    }

    private function need(string $width, bool $oneWay = false, string $cell = '2.10'): Need
    {
        $need = (new Estimator(new Assumptions()))->estimate(
            new NeedRequest($this->version($cell), Garment::Coat, Role::Main, '14'),
            new CuttingCloth(Length::ofMetres($width), $oneWay),
        );
        self::assertInstanceOf(Need::class, $need);

        return $need;
    }

    private function version(string $wide): Version
    {
        return new Version(
            'v',
            'A',
            new RequirementTable(
                ['14'],
                [
                    new Requirement(Role::Main, Length::ofMetres('1.15'), Nap::Without, ['14' => Length::ofMetres('2.60')]),
                    new Requirement(Role::Main, Length::ofMetres('1.50'), Nap::Without, ['14' => Length::ofMetres($wide)]),
                ],
            ),
        );
    }
}

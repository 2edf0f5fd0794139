<?php

declare(strict_types=1);

namespace Octavum\Core\Tests\Need;

use Octavum\Core\Measure\Assumptions;
use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\Matching;
use Octavum\Core\Measure\Unit;
use Octavum\Core\Need\Conversion;
use Octavum\Core\Need\CuttingCloth;
use Octavum\Core\Need\Estimator;
use Octavum\Core\Need\Guess;
use Octavum\Core\Need\Need;
use Octavum\Core\Need\NeedRequest;
use Octavum\Core\Need\NeedSource;
use Octavum\Core\Need\Unknown;
use Octavum\Core\Pattern\Nap;
use Octavum\Core\Pattern\Requirement;
use Octavum\Core\Pattern\RequirementTable;
use Octavum\Core\Pattern\Version;
use Octavum\Core\Piece\Garment;
use Octavum\Core\Piece\Piece;
use Octavum\Core\Piece\PieceSet;
use Octavum\Core\Piece\Role;
use Octavum\Core\Piece\Shape;
use Octavum\Core\Shape\Outline;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class EstimatorEdgesTest extends TestCase
{
    /** A line stands in the working where something is added, and only there. */
    #[DataProvider('lines')]
    public function testTheWorkingHasALineForWhatIsAddedAndNoOther(CuttingCloth $on, ?Matching $matching, int $lines, string $needed): void
    {
        $need = $this->need($on, $matching);
        self::assertCount(
            $lines,
            $need->working()->lines,
            implode("\n", array_map(static fn ($line): string => (string) $line->label, $need->working()->lines)),
        );
        self::assertSame(Length::ofMetres($needed)->micrometres, $need->amount->micrometres);
    }

    /** @return iterable<string, array{CuttingCloth, ?Matching, int, string}> of 2.00 m on 1.40 m: the row, what is added, the sum */
    public static function lines(): iterable
    {
        $at = Length::ofMetres(...);
        yield 'as printed' => [new CuttingCloth($at('1.4')), null, 2, '2'];
        yield 'one-way: 15 % are 30 cm' => [new CuttingCloth($at('1.4'), true), null, 3, '2.3'];
        yield 'two repeats of 10 cm' => [new CuttingCloth($at('1.4'), repeat: $at('0.1')), null, 3, '2.2'];
        yield 'a repeat that is not matched' => [new CuttingCloth($at('1.4'), repeat: $at('0.1')), Matching::Never, 2, '2'];
        yield 'matched, without a repeat' => [new CuttingCloth($at('1.4')), Matching::Everywhere, 2, '2'];
        yield 'both' => [new CuttingCloth($at('1.4'), true, $at('0.1')), null, 4, '2.5'];
    }

    /** The chart's ¼ yd has a line of its own where the widths are more than 25 cm apart. */
    public function testTheQuarterYardStandsOnALineOfItsOwn(): void
    {
        self::assertCount(3, $this->need(new CuttingCloth(Length::ofMillimetres(1150)))->working()->lines, '25 cm apart: row, chart, sum');
        self::assertCount(4, $this->need(new CuttingCloth(Length::ofMillimetres(1149)))->working()->lines, 'a millimetre more');
    }

    /** @param list<Piece> $pieces */
    #[DataProvider('warned')]
    public function testWhenNobodyKnowsThePiecesAConversionWarns(array $pieces, ?Length $usable, bool $warns): void
    {
        $version = new Version('v', 'A', $this->table(), pieces: PieceSet::of($pieces, ['14']));
        $need = (new Estimator(new Assumptions()))->estimate(
            new NeedRequest($version, Garment::Top, Role::Main, '14'),
            new CuttingCloth(Length::ofMillimetres(900), usable: $usable),
        );
        self::assertInstanceOf(Need::class, $need);
        self::assertSame($warns, [] !== $need->warnings);
    }

    /** @return iterable<string, array{list<Piece>, ?Length, bool}> */
    public static function warned(): iterable
    {
        $piece = [new Piece('Back', shapes: [new Shape([], Outline::rectangle(600, 700))])];
        yield 'no pieces' => [[], Length::ofMillimetres(880), true];
        yield 'pieces, so that it is known whether they go across' => [$piece, Length::ofMillimetres(880), false];
        yield 'pieces, and a width between the selvages that is not known' => [$piece, null, true];
    }

    /** Without a table it is a guess from its own pieces, or from a block; with no cloth between the selvages there is none. */
    #[DataProvider('guessed')]
    public function testWhatAGuessIsMadeOf(bool $pieces, ?int $usable, Garment $garment, ?NeedSource $way): void
    {
        $own = $pieces ? [new Piece('Back', quantity: 2, shapes: [new Shape([], Outline::rectangle(600, 700))])] : [];
        $version = new Version('v', 'A', new RequirementTable(['14'], []), pieces: PieceSet::of($own, ['14']));
        $answer = (new Estimator(new Assumptions()))->estimate(
            new NeedRequest($version, $garment, Role::Main, '14'),
            new CuttingCloth(Length::ofMillimetres(1400), usable: null === $usable ? null : Length::ofMicrometres($usable)),
        );
        self::assertInstanceOf(Unknown::class, $answer);
        self::assertSame($way, $answer->guess?->way);
        if (NeedSource::QuickLay === $way) {
            self::assertSame(1200, $answer->guess?->amount->millimetres(), 'two backs of 60 × 70 cm one after the other');
        }
    }

    /** @return iterable<string, array{bool, ?int, Garment, ?NeedSource}> */
    public static function guessed(): iterable
    {
        yield 'its own pieces' => [true, 1_200_000, Garment::Skirt, NeedSource::QuickLay];
        yield 'a block' => [false, 1_200_000, Garment::Skirt, NeedSource::RoughBlock];
        yield 'a block, as wide as the selvages leave' => [false, null, Garment::Skirt, NeedSource::RoughBlock];
        yield 'nothing to lay it on' => [false, 0, Garment::Skirt, null];
        yield 'a thing of any size' => [false, 1_200_000, Garment::Toy, null];
    }

    /** Two pieces 69 cm wide lie side by side on 1.40 m less two selvages of 1 cm, and would not on less. */
    public function testAGuessCountsTwoSelvages(): void
    {
        $pieces = PieceSet::of([new Piece('Back', quantity: 2, shapes: [new Shape([], Outline::rectangle(600, 690))])], ['14']);
        $version = new Version('v', 'A', new RequirementTable(['14'], []), pieces: $pieces);
        $answer = (new Estimator(new Assumptions()))->estimate(
            new NeedRequest($version, Garment::Skirt, Role::Main, '14'),
            new CuttingCloth(Length::ofMillimetres(1400)),
        );
        self::assertInstanceOf(Unknown::class, $answer);
        self::assertSame(600, $answer->guess?->amount->millimetres());
    }

    public function testAnEmptyCellIsSaidToBeOne(): void
    {
        $table = new RequirementTable(['14', '16'], [
            new Requirement(Role::Main, Length::ofMillimetres(1150), Nap::Without, ['16' => Length::ofMetres('2.8')]),
            new Requirement(Role::Main, Length::ofMillimetres(1500), Nap::Without, ['14' => Length::ofMetres('2.1')]),
        ]);
        $warning = static function (int $width) use ($table): string {
            $need = (new Estimator(new Assumptions()))->estimate(
                new NeedRequest(new Version('v', 'A', $table), Garment::Top, Role::Main, '14'),
                new CuttingCloth(Length::ofMillimetres($width)),
            );
            self::assertInstanceOf(Need::class, $need);

            return (string) $need->warnings[0];
        };
        self::assertStringContainsString('The 115 cm row has no length for size 14', $warning(1200));
        self::assertStringContainsString('narrower than every row', $warning(1000));
    }

    public function testAGuessSaysWhatItIs(): void
    {
        $rough = new Guess(Length::ofMetres('1.9'), NeedSource::RoughBlock);
        self::assertSame('About 1.90 m, give or take 38 cm: enter the table or the pieces.', (string) $rough->sentence());
        self::assertStringContainsString(
            'Laid in a moment',
            (string) (new Guess(Length::ofMetres('1.9'), NeedSource::QuickLay))->sentence(),
        );
    }

    /** Beyond the chart's last column and line its own ratio goes on; within, its figures stand. */
    #[DataProvider('chart')]
    public function testTheChartAtItsEnds(string $amount, int $from, int $to, string $expected): void
    {
        self::assertEquals(
            Length::of($expected, Unit::Yard),
            (new Conversion())->convert(
                Length::of($amount, Unit::Yard),
                Length::of((string) $from, Unit::Inch),
                Length::of((string) $to, Unit::Inch),
            ),
        );
    }

    /** @return iterable<string, array{string, int, int, string}> */
    public static function chart(): iterable
    {
        yield 'the first line' => ['1', 58, 35, '1.75'];
        yield 'half of the first line' => ['0.5', 58, 35, '0.875'];
        yield 'the last line' => ['2.875', 58, 35, '5'];
        yield 'twice the last line' => ['5.75', 58, 35, '10'];
        yield 'the last column' => ['5', 35, 58, '2.875'];
        yield 'twice as wide as the last column' => ['5', 35, 116, '1.4375'];
        yield 'the second column' => ['1.75', 35, 39, '1.5'];
    }

    private function need(CuttingCloth $on, ?Matching $matching = null): Need
    {
        $need = (new Estimator(new Assumptions()))->estimate(
            new NeedRequest(new Version('v', 'A', $this->table()), Garment::Top, Role::Main, '14', matching: $matching),
            $on,
        );
        self::assertInstanceOf(Need::class, $need);

        return $need;
    }

    private function table(): RequirementTable
    {
        return new RequirementTable(
            ['14'],
            [new Requirement(Role::Main, Length::ofMillimetres(1400), Nap::Without, ['14' => Length::ofMetres('2')])],
        );
    }
}

<?php

declare(strict_types=1);

namespace Octavum\Core\Tests\Laid;

use Octavum\Core\Cloth\Cloth;
use Octavum\Core\Cloth\ClothLook;
use Octavum\Core\Laid\Figures;
use Octavum\Core\Laid\Hem;
use Octavum\Core\Laid\LaidGarment;
use Octavum\Core\Laid\LaidSheet;
use Octavum\Core\Laid\LayRules;
use Octavum\Core\Laid\LaySetup;
use Octavum\Core\Laid\PiecePlacement;
use Octavum\Core\Laid\PrintPlacement;
use Octavum\Core\Lay\Request\Fold;
use Octavum\Core\Lay\Request\Repeat;
use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Piece\Piece;
use Octavum\Core\Piece\Role;
use Octavum\Core\Piece\Shape;
use Octavum\Core\Shape\Inside;
use Octavum\Core\Shape\Outline;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Figures of 18 cm, one every 32 cm along the cloth and 24 cm across, one of them at 10 cm from the end and 5 cm from the edge. */
final class FiguresTest extends TestCase
{
    public function testAFigureLiesInTheMiddleOfAPieceOrWhereItIsAskedFor(): void
    {
        $piece = Outline::rectangle(600, 400);
        self::assertEquals(
            new Repeat(320, 240, 300, 200, [100, 50]),
            self::figures()->repeat('Front', $piece, new PiecePlacement(PrintPlacement::Middle)),
        );
        $down = new PiecePlacement(PrintPlacement::Middle, Length::ofMillimetres(150));
        self::assertEquals(new Repeat(320, 240, 155, 200, [100, 50]), self::figures()->repeat('Front', $piece->moved(5, 0), $down));
    }

    /** Half a repeat along, 16 cm, is farther than the 9 cm from a figure's middle to its rim. */
    public function testTwoPointsLieBetweenTheRows(): void
    {
        $asked = new PiecePlacement(PrintPlacement::Clear, Length::ofMillimetres(250), Length::ofMillimetres(190));
        self::assertEquals(
            new Repeat(320, 0, 250 + 160, 0, [100, 0]),
            self::figures()->repeat('Front', Outline::rectangle(600, 400), $asked),
        );
    }

    /**
     * Rows of 16 cm with figures of 18: two points 19 cm apart lie 9.5 cm from the middle, and 24 cm across from one figure to the
     * next: beside one in the middle each is 9.5 cm off across and 8 along, 12.4 together; between two it is 2.5 and 8, 8.4 together.
     * Figures of 30 cm let none in.
     */
    public function testWhereTheRowsAreCloseTheyLieBesideTheFigures(): void
    {
        $asked = new PiecePlacement(PrintPlacement::Clear, Length::ofMillimetres(250), Length::ofMillimetres(190));
        $piece = Outline::rectangle(600, 400);
        self::assertEquals(new Repeat(160, 240, 330, 200, [100, 50]), self::figures(160)->repeat('Front', $piece, $asked));
        $closer = new PiecePlacement(PrintPlacement::Clear, Length::ofMillimetres(250), Length::ofMillimetres(60));
        self::assertEquals(new Repeat(160, 240, 330, 320, [100, 50]), self::figures(160)->repeat('Front', $piece, $closer));
        self::assertSame(
            'Between figures of 30 cm the points of Front come no farther than 12 cm from the middle of one.',
            self::why(self::figures(160, 300)->repeat('Front', $piece, $asked)),
        );
    }

    /** The largest circle in a right-angled triangle of 300 × 400 has a radius of 100, and touches both legs. */
    public function testAWholeFigureLiesWhereThePieceIsRoomiest(): void
    {
        $triangle = Outline::of([[0, 0], [400, 0], [0, 300]]);
        self::assertEqualsWithDelta([100, 100, 100], (new Inside())->roomiest($triangle), 1.5);
        $repeat = self::figures()->repeat('Gusset', $triangle, new PiecePlacement(PrintPlacement::Whole));
        self::assertInstanceOf(Repeat::class, $repeat);
        self::assertEqualsWithDelta([100, 100], [$repeat->x, $repeat->y], 1.5);
        self::assertSame(
            'Gusset holds no whole figure of 21 cm: what goes into it is at most 19 cm.',
            self::why(self::figures(320, 210)->repeat('Gusset', $triangle, new PiecePlacement(PrintPlacement::Whole))),
        );
        $ell = Outline::of([[0, 0], [600, 0], [600, 200], [200, 200], [200, 500], [0, 500]]);
        self::assertEqualsWithDelta(117.2, (new Inside())->roomiest($ell)[2], 1, 'in the corner: 200 (2 − √2)');
    }

    public function testAPlaceOffThePieceIsRefused(): void
    {
        self::assertSame(
            'Cuff is 10 cm long: 25 cm below its top is off the piece.',
            self::why(self::figures()->repeat(
                'Cuff',
                Outline::rectangle(100, 200),
                new PiecePlacement(PrintPlacement::Middle, Length::ofMillimetres(250)),
            )),
        );
    }

    /** @param list<array{float, float}> $points */
    #[DataProvider('hems')]
    public function testHowFarAHemCurves(array $points, ?float $curve): void
    {
        foreach ([Outline::of($points), Outline::of($points)->flipped()] as $outline) {
            $is = (new Hem())->curve($outline);
            self::assertSame($curve, null === $is ? null : round($is, 2));
        }
    }

    /** @return iterable<string, array{list<array{float, float}>, ?float}> */
    public static function hems(): iterable
    {
        yield 'a panel' => [[[0, 0], [600, 0], [600, 400], [0, 400]], null];
        yield 'flared, straight' => [[[0, 100], [600, 0], [600, 400], [0, 300]], null];
        yield 'curved' => [[[0, 100], [580, 0], [595, 100], [600, 200], [595, 300], [580, 400], [0, 300]], 20.0];
        yield 'slanting' => [[[0, 0], [600, 0], [570, 400], [0, 400]], 30.0];
        yield 'slanting by less than anybody sees' => [[[0, 0], [600, 0], [597.1, 400], [0, 400]], null];
        yield 'slanting by as much as counts' => [[[0, 0], [600, 0], [597, 400], [0, 400]], 3.0];
    }

    public function testASetupLaysItsPiecesByTheRules(): void
    {
        $setup = $this->laid(new LayRules(
            off: ['0/Back'],
            edged: ['0/Band'],
            edge: Length::ofMillimetres(30),
            figures: self::figures(
                pieces: ['0/Front' => new PiecePlacement(PrintPlacement::Middle), '0/Back' => new PiecePlacement(PrintPlacement::Whole)],
            ),
        ));
        [$front, $band] = $setup->request([Fold::Flat])->pieces ?? self::fail('There are pieces.');
        self::assertSame([], $setup->refused, 'what comes from other cloth is not asked for');
        self::assertEquals(new Repeat(320, 240, 300, 0, [100, 50]), $front->match, 'opened, its middle lies on the fold');
        self::assertSame([null, 30.0, [270]], [$band->match, $band->edge, $band->turns(false)]);
    }

    /** The front's figure, at 10 cm, lies 30 cm above its lower end: that of the back lies at 40 cm, and both the same way up. */
    public function testWhatIsMatchedToAPieceWithAFigureHasItsLowerEndWhereThatHasIts(): void
    {
        $cloth = new Cloth('c', 'Peony', look: new ClothLook(repeat: Length::ofMillimetres(320)));
        $rules = new LayRules(
            match: true,
            off: ['0/Band'],
            figures: self::figures(pieces: ['0/Front' => new PiecePlacement(PrintPlacement::Middle)]),
        );
        $request = $this->laid($rules, cloth: $cloth)->request([Fold::Flat]) ?? self::fail('There are pieces.');
        self::assertTrue($request->oneWay);
        self::assertEquals(new Repeat(320, 0, 80, 0, [400, 0]), $request->pieces[1]->match);
    }

    /** @param list<string> $said */
    #[DataProvider('together')]
    public function testWhatCannotBeAskedForTogetherIsRefused(LayRules $rules, array $said, int $sheets = 1): void
    {
        self::assertSame($said, array_map(strval(...), $this->laid($rules, $sheets)->refused));
    }

    /** @return iterable<string, array{0: LayRules, 1: list<string>, 2?: int}> */
    public static function together(): iterable
    {
        $side = 'its figures would lie on their side.';
        yield 'all of it across one-way cloth' => [
            new LayRules(true, across: true),
            ['The whole garment cannot lie across this cloth: it is one-way, and '.$side],
        ];
        yield 'a hem at the edge of one-way cloth' => [
            new LayRules(true, edged: ['0/Band']),
            ['What has its hem at the edge lies across: this cloth is one-way, and '.$side],
        ];
        yield 'a hem at the edge, and the repeat matched' => [
            new LayRules(match: true, edged: ['0/Band']),
            ['What lies across the cloth cannot be matched to its repeat: choose one of the two.'],
        ];
        $figures = self::figures(pieces: ['0/Band' => new PiecePlacement(PrintPlacement::Middle)]);
        yield 'a piece at the edge and to the figures' => [
            new LayRules(edged: ['0/Band'], figures: $figures),
            ['Band cannot lie both at the edge and to the figures: choose one of the two.'],
        ];
        yield 'figures on two cuts' => [
            new LayRules(figures: $figures),
            ['Where the figures lie is measured on one cut: lay on that one alone.'],
            2,
        ];
        yield 'figures next to one another' => [
            new LayRules(figures: self::figures(29)),
            ['Figures 2.9 cm from one to the next are too close to lay pieces to: from 3 cm on it is done.'],
        ];
        yield 'two points of a piece that lies across' => [
            new LayRules(across: true, figures: self::figures(pieces: ['0/Front' => new PiecePlacement(PrintPlacement::Clear)])),
            ['Front may lie across the cloth: points of it are kept clear only where it lies along.'],
        ];
        yield 'a figure larger than the piece' => [
            new LayRules(figures: self::figures(pieces: ['0/Band' => new PiecePlacement(PrintPlacement::Whole)])),
            ['Band holds no whole figure of 18 cm: what goes into it is at most 8 cm.'],
        ];
    }

    private static function why(Repeat|Sentence $said): string
    {
        return $said instanceof Sentence ? (string) $said : self::fail('It can be laid so.');
    }

    /** @param array<string, PiecePlacement> $pieces */
    private static function figures(int $along = 320, int $size = 180, array $pieces = []): Figures
    {
        return new Figures(
            Length::ofMillimetres(100),
            Length::ofMillimetres(50),
            Length::ofMillimetres($along),
            Length::ofMillimetres(240),
            Length::ofMillimetres($size),
            $pieces,
        );
    }

    private function laid(LayRules $rules, int $sheets = 1, ?Cloth $cloth = null): LaySetup
    {
        $shape = static fn (float $length, float $width): array => [new Shape([], Outline::rectangle($length, $width))];

        return new LaySetup(
            array_fill(0, $sheets, new LaidSheet($cloth, null, Length::ofMillimetres(1400), null, Length::zero())),
            [new LaidGarment('skirt', 'skirt', 'v', Role::Main, '14', '')],
            [[
                new Piece('Front', onFold: true, shapes: $shape(600, 200)),
                new Piece('Back', shapes: $shape(80, 80)),
                new Piece('Band', shapes: $shape(80, 700)),
            ]],
            $rules,
        );
    }
}

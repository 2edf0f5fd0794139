<?php

declare(strict_types=1);

namespace Octavum\Core\Tests\Shape;

use Octavum\Core\Lay\Engine\Cost;
use Octavum\Core\Lay\Engine\Decoder;
use Octavum\Core\Lay\Engine\Leftovers;
use Octavum\Core\Lay\Engine\Search;
use Octavum\Core\Lay\Engine\Settler;
use Octavum\Core\Lay\Engine\Skyline;
use Octavum\Core\Lay\Engine\Spot;
use Octavum\Core\Lay\FaultWords;
use Octavum\Core\Lay\Request\Fold;
use Octavum\Core\Lay\Request\Grain;
use Octavum\Core\Lay\Request\LayPiece;
use Octavum\Core\Lay\Request\LayRequest;
use Octavum\Core\Lay\Request\Repeat;
use Octavum\Core\Lay\Request\Sheet;
use Octavum\Core\Lay\Way\Item;
use Octavum\Core\Lay\Way\Lane;
use Octavum\Core\Lay\Way\Variant;
use Octavum\Core\Lay\Way\Way;
use Octavum\Core\Lay\Way\Ways;
use Octavum\Core\Shape\Outline;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** The parts of the engine, each by itself. */
final class PartsTest extends TestCase
{
    public function testTheSkylineClosesAGapFlushBeforeAnythingElse(): void
    {
        $skyline = new Skyline(new Lane('c', 1000, \INF), 0);
        $result = $skyline->decode([self::box('a', 500, 600), self::box('small', 100, 100), self::box('flush', 500, 400)]);
        self::assertNotNull($result);
        self::assertSame([['a', 0.0, 0.0], ['flush', 0.0, 600.0], ['small', 500.0, 0.0]], self::told($result[0]));
    }

    public function testTheSkylineGivesUpAtTheLimitAndLeavesOutWhatACutCannotHold(): void
    {
        $boxes = [self::box('a', 500, 600), self::box('b', 500, 600)];
        self::assertNull((new Skyline(new Lane('c', 1000, \INF), 0))->decode($boxes, 999));
        self::assertNotNull((new Skyline(new Lane('c', 1000, \INF), 0))->decode($boxes, 1000));
        $result = (new Skyline(new Lane('c', 1000, 900), 0))->decode($boxes);
        self::assertSame(['b'], array_map(static fn (Item $item): string => $item->piece->id, $result[1] ?? []));
    }

    public function testTheSkylineKeepsTheGapOnBothSides(): void
    {
        $result = (new Skyline(new Lane('c', 1000, \INF), 10))->decode([
            self::box('a', 500, 495),
            self::box('b', 500, 495),
            self::box('c', 300, 300),
        ]);
        self::assertSame([['a', 0.0, 0.0], ['b', 0.0, 505.0], ['c', 510.0, 0.0]], self::told($result[0] ?? []));
    }

    public function testTheSkylineIsForRectanglesWithoutConditions(): void
    {
        $suits = static fn (Item $item, array $missing = []): bool => (new Skyline(
            new Lane('c', 1000, \INF, missing: [] === $missing ? [] : [[[0.0, 0.0], [1.0, 0.0], [0.0, 1.0]]]),
            0,
        ))->suits([$item]);
        self::assertTrue($suits(self::box('a', 10, 10)));
        self::assertFalse($suits(self::box('a', 10, 10), [1]));
        self::assertFalse($suits(self::item('a', Outline::of([[0.0, 0.0], [10.0, 0.0], [0.0, 10.0]]))));
        self::assertFalse($suits(self::item('a', Outline::rectangle(10, 10), new Repeat(5, 0, 0, 0))));
    }

    public function testTheDecoderFillsAHoleLeftBehind(): void
    {
        $result = (new Decoder([new Lane('c', 1000, \INF)], 10, 0))->decode([
            self::box('a', 300, 700),
            self::box('wide', 400, 900),
            self::box('small', 250, 250),
        ]);
        self::assertSame(['small', 0.0, 700.0], self::told($result[0] ?? [])[2]);
    }

    public function testTheDecoderNestsOneSlopeBehindAnother(): void
    {
        $wedge = Outline::of([[0.0, 0.0], [400.0, 0.0], [100.0, 500.0], [0.0, 500.0]]);
        $turned = $wedge->turned(180)->atOrigin();
        $result = (new Decoder([new Lane('c', 500, \INF)], 10, 0))->decode([self::item('a', $wedge), self::item('b', $turned)]);
        self::assertLessThan(520, self::told($result[0] ?? [])[1][1] + 400, 'far less than 800: along the cloth it is exact to the row');
    }

    public function testTheDecoderChoosesTheCutNamedAndKeepsOutOfWhatIsNoCloth(): void
    {
        $bite = [[0.0, 0.0], [300.0, 0.0], [300.0, 500.0], [0.0, 500.0]];
        $lanes = [new Lane('a', 500, 1000, missing: [$bite]), new Lane('b', 500, 1000)];
        $decoder = new Decoder($lanes, 10, 0);
        self::assertSame([['x', 300.0, 0.0]], self::told($decoder->decode([self::box('x', 200, 200)])[0] ?? []));
        $bound = new Item(new LayPiece('y', Outline::rectangle(200, 200), cut: 'b'), 1, 1, false, self::box('y', 200, 200)->variants);
        self::assertSame(1, ($decoder->decode([$bound])[0] ?? [])[0]->lane ?? null);
    }

    public function testAnItemForTheFoldLiesAtItAndOnlyOnALaneThatHasOne(): void
    {
        $half = new Item(
            new LayPiece('front', Outline::rectangle(300, 200), onFold: true),
            1,
            2,
            true,
            self::box('front', 300, 200)->variants,
        );
        $lanes = [new Lane('c', 400, \INF, 2), new Lane('c', 400, \INF, 2, true)];
        $spots = (new Decoder($lanes, 10, 0))->decode([$half, $half])[0] ?? [];
        self::assertSame(
            [[1, 0.0, 0.0], [1, 300.0, 0.0]],
            array_map(static fn (Spot $spot): array => [$spot->lane, $spot->x, $spot->y], $spots),
        );
    }

    public function testTheSettlerPushesPiecesTogetherExactlyButNotThroughOneAnother(): void
    {
        $a = self::box('a', 203.7, 300);
        $b = self::box('b', 100, 333.3);
        $settler = new Settler([new Lane('c', 1000, \INF)], 0);
        $spots = $settler->settle(
            [new Spot($a, $a->variants[0], 0, 12.0, 40.0), new Spot($b, $b->variants[0], 0, 500.0, 50.0)],
            static fn (): float => 1,
        );
        self::assertSame(
            [['a', 0.0, 0.0], ['b', 203.7, 0.0]],
            array_map(static fn (array $told): array => [$told[0], round($told[1], 3), round($told[2], 3)], self::told($spots)),
        );
        $spots = (new Settler([new Lane('c', 1000, \INF)], 8))->settle($spots, static fn (): float => 1);
        self::assertSame(203.7, round(self::told($spots)[1][1], 1), 'pieces that are too near already stay where they are');
        $spots = (new Settler([new Lane('c', 1000, \INF)], 8))->settle(
            [new Spot($a, $a->variants[0], 0, 0.0, 0.0), new Spot($b, $b->variants[0], 0, 500.0, 0.0)],
            static fn (): float => 1,
        );
        self::assertSame(211.7, round(self::told($spots)[1][1], 3), 'the gap is kept');
    }

    public function testAMatchedPieceIsNotMovedOffItsRepeat(): void
    {
        $matched = self::item('a', Outline::rectangle(100, 100), new Repeat(80, 0, 0, 0));
        self::assertSame(
            160.0,
            (new Settler([new Lane('c', 500, \INF)], 0))->settle(
                [new Spot($matched, $matched->variants[0], 0, 160.0, 0.0)],
                static fn (): float => 1,
            )[0]->x,
        );
    }

    public function testTheSearchFindsTheBestOrderAndTheSameSeedTheSameOne(): void
    {
        $items = array_map(static fn (int $i): Item => self::box('piece '.$i, 100 + $i, 100), range(1, 7));
        $way = new Way(Fold::Flat, [new Lane('c', 1000, \INF)], $items);
        $run = static function (int $seed) use ($items, $way): array {
            $looks = 0;
            // a decoder that likes pieces in falling order: each place out of order costs 10
            $decode = static function (array $order): array {
                $x = 0.0;
                $spots = [];
                foreach (array_values($order) as $i => $item) {
                    self::assertInstanceOf(Item::class, $item);
                    $x = max($x, 10.0 * abs(7 - $i - (int) substr($item->piece->id, 6)) ** 2);
                    $spots[] = new Spot($item, $item->variants[0], 0, $x, 0.0);
                }

                return [$spots, []];
            };
            $search = new Search($decode, new Cost($way), $seed);
            [$spots] = $search->run(
                $items,
                $items,
                static function () use (&$looks): float {
                    return 1 - ++$looks / 3000;
                },
                static function (): void {},
            );

            return [array_map(static fn (Spot $spot): string => $spot->item->piece->id, $spots), $search->evaluated];
        };
        self::assertSame($run(3), $run(3));
        self::assertSame(array_map(static fn (int $i): string => 'piece '.$i, range(7, 1)), $run(3)[0]);
    }

    public function testWhatALayCosts(): void
    {
        $box = self::box('a', 300, 100);
        $spot = static fn (int $lane, float $x): Spot => new Spot($box, $box->variants[0], $lane, $x, 0.0);
        $two = new Cost(new Way(Fold::Flat, [new Lane('a', 500, 1000), new Lane('b', 500, 1000)], []));
        self::assertSame(['a' => 300.0, 'b' => 500.0], $two->used([$spot(0, 0.0), $spot(1, 200.0)]));
        self::assertGreaterThan(
            $two->calculate([$spot(0, 0.0), $spot(0, 600.0)], []),
            $two->calculate([$spot(0, 0.0), $spot(1, 0.0)], []),
            'a second cut costs more than length',
        );
        self::assertGreaterThan(
            $two->calculate([$spot(0, 0.0), $spot(1, 0.0)], []),
            $two->calculate([$spot(0, 0.0)], [$box]),
            'a piece left out costs most',
        );
        self::assertSame(600.0, (new Cost(new Way(Fold::Crosswise, [new Lane('a', 500, \INF, 2)], [], 2)))->length([$spot(0, 0.0)]));
        self::assertSame(
            800.0,
            (new Cost(new Way(Fold::Part, [new Lane('a', 250, \INF, 2, true), new Lane('a', 500, \INF)], [])))->length([
                $spot(0, 0.0),
                $spot(1, 200.0),
            ]),
            'folded, then flat',
        );
        self::assertSame(
            500.0,
            (new Cost(new Way(Fold::Gate, [new Lane('a', 250, \INF, 2, true), new Lane('a', 250, \INF, 2, true)], [])))->length([
                $spot(0, 0.0),
                $spot(1, 200.0),
            ]),
            'side by side',
        );
    }

    /** @param list<string> $expected */
    #[DataProvider('ways')]
    public function testWhatGoesOnTheClothInOneGo(Fold $fold, LayPiece $piece, bool $oneWay, array $expected, ?string $refused = null): void
    {
        $way = (new Ways(10))->prepare(new LayRequest([new Sheet('c', 1400, null)], [$piece], oneWay: $oneWay), $fold);
        self::assertSame(
            $expected,
            array_map(
                static fn (Item $item): string => \sprintf(
                    '%d: %d×%s, %d ways',
                    $item->copy,
                    $item->layers,
                    $item->onFold ? ' fold' : '',
                    \count($item->variants),
                ),
                $way->items,
            ),
        );
        $said = null === $way->refused ? null : (string) (new FaultWords())->say($way->refused);
        null === $refused ? self::assertNull($said) : self::assertStringContainsString($refused, (string) $said);
    }

    /** @return iterable<string, array{0: Fold, 1: LayPiece, 2: bool, 3: list<string>, 4?: string}> */
    public static function ways(): iterable
    {
        $odd = Outline::of([[0.0, 0.0], [300.0, 0.0], [200.0, 150.0], [0.0, 100.0]]);
        $pair = new LayPiece('p', $odd, 2, true);
        yield 'flat, a copy each' => [Fold::Flat, $pair, false, ['1: 1×, 2 ways', '2: 1×, 2 ways']];
        yield 'flat and one-way' => [Fold::Flat, $pair, true, ['1: 1×, 1 ways', '2: 1×, 1 ways']];
        yield 'a square turned is the same square' => [
            Fold::Flat,
            new LayPiece('p', Outline::rectangle(100, 100), grain: Grain::Either),
            false,
            ['1: 1×, 1 ways'],
        ];
        yield 'a rectangle with either grain' => [
            Fold::Flat,
            new LayPiece('p', Outline::rectangle(100, 50), grain: Grain::Either),
            false,
            ['1: 1×, 2 ways'],
        ];
        yield 'on the bias' => [Fold::Flat, new LayPiece('p', Outline::rectangle(100, 50), grain: Grain::Bias), false, ['1: 1×, 2 ways']];
        yield 'folded, a pair in one go, either side up' => [Fold::Lengthwise, $pair, false, ['1: 2×, 4 ways']];
        yield 'folded, one on the fold' => [Fold::Lengthwise, new LayPiece('p', $odd, 1, false, true), false, ['1: 2× fold, 2 ways']];
        yield 'folded, one on the fold of one-way cloth' => [
            Fold::Gate,
            new LayPiece('p', $odd, 1, false, true),
            true,
            ['1: 2× fold, 1 ways'],
        ];
        yield 'folded, two alike of a shape with two sides' => [
            Fold::Lengthwise,
            new LayPiece('p', $odd, 2),
            false,
            [],
            'the same way over',
        ];
        yield 'folded, two alike of a shape without' => [
            Fold::Lengthwise,
            new LayPiece('p', Outline::rectangle(100, 50), 2),
            false,
            ['1: 2×, 1 ways'],
        ];
        yield 'folded, three' => [Fold::Gate, new LayPiece('p', Outline::rectangle(100, 50), 3), false, [], 'wanted 3 times'];
        yield 'on the fold, across the grain' => [
            Fold::Lengthwise,
            new LayPiece('p', $odd, 1, false, true, Grain::Across),
            false,
            [],
            'its grain does not run along it',
        ];
        yield 'crosswise, one-way' => [Fold::Crosswise, $pair, true, [], 'one-way'];
        yield 'part folded, nothing for the flat part' => [Fold::Part, $pair, false, [], 'nothing is left to lay flat'];
        yield 'part folded, nothing for the fold' => [Fold::Part, new LayPiece('p', $odd), false, [], 'no piece can be cut double'];
    }

    public function testAnIrregularCutIsNotFolded(): void
    {
        $bitten = new Sheet('c', 1000, 1000, Outline::of([[0.0, 0.0], [1000.0, 0.0], [1000.0, 500.0], [0.0, 1000.0]]));
        foreach ([Fold::Lengthwise, Fold::Gate, Fold::Crosswise, Fold::Part] as $fold) {
            self::assertNotNull(
                (new Ways(10))->prepare(new LayRequest([$bitten], [new LayPiece('p', Outline::rectangle(10, 10), 2)]), $fold)->refused,
            );
        }
    }

    public function testLeftoversAreTheLargestFreeRectangles(): void
    {
        $l = Outline::of([[0.0, 0.0], [1000.0, 0.0], [1000.0, 300.0], [400.0, 300.0], [400.0, 1000.0], [0.0, 1000.0]]);
        self::assertSame(
            [['x' => 400.0, 'y' => 300.0, 'length' => 600.0, 'width' => 700.0]],
            (new Leftovers())->find($l->convexParts(), 1000, 1000),
        );
        self::assertSame([], (new Leftovers())->find([], 140, 5000), 'a strip too narrow to keep');
        self::assertSame([['x' => 0.0, 'y' => 0.0, 'length' => 310.0, 'width' => 160.0]], (new Leftovers())->find([], 165, 310));
        self::assertSame([], (new Leftovers())->find([], 1000, 0));
    }

    private static function box(string $id, float $length, float $width): Item
    {
        return self::item($id, Outline::rectangle($length, $width));
    }

    private static function item(string $id, Outline $outline, ?Repeat $match = null): Item
    {
        return new Item(new LayPiece($id, $outline, match: $match), 1, 1, false, [new Variant($outline, 0, false, 10, $match)]);
    }

    /**
     * @param list<Spot> $spots
     *
     * @return list<array{string, float, float}>
     */
    private static function told(array $spots): array
    {
        return array_map(static fn (Spot $spot): array => [$spot->item->piece->id, $spot->x, $spot->y], $spots);
    }
}

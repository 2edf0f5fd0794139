<?php

declare(strict_types=1);

namespace Octavum\Core\Tests\Lay;

use Octavum\Core\Lay\FaultWords;
use Octavum\Core\Lay\Judge;
use Octavum\Core\Lay\Lay;
use Octavum\Core\Lay\LayMaker;
use Octavum\Core\Lay\LayMeasure;
use Octavum\Core\Lay\Request\Fold;
use Octavum\Core\Lay\Request\Grain;
use Octavum\Core\Lay\Request\LayPiece;
use Octavum\Core\Lay\Request\LayRequest;
use Octavum\Core\Lay\Request\Placement;
use Octavum\Core\Lay\Request\Repeat;
use Octavum\Core\Lay\Request\Sheet;
use Octavum\Core\Lay\Status;
use Octavum\Core\Lay\Way\Fault;
use Octavum\Core\Lay\Way\FaultKind;
use Octavum\Core\Shape\Outline;
use Octavum\Core\Tests\Shape\OutlineTest;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Time is counted in looks at the clock, so that every run is the same. */
final class LayMakerTest extends TestCase
{
    private const TEE = [[0.0, 0.0], [560.0, 0.0], [660.0, 110.0], [630.0, 230.0], [470.0, 230.0], [430.0, 270.0], [0.0, 280.0]];

    /** What is locked stays, whatever the fold, and the rest goes around it. */
    #[DataProvider('seeds')]
    public function testWhatIsLockedStaysAndTheRestGoesAroundIt(int $seed): void
    {
        mt_srand($seed + 100);
        for ($i = 0; $i < 6; ++$i) {
            $request = $this->random();
            $first = $this->make($request, 20);
            if (Fold::Part === $first->fold || [] === $first->placements) {
                continue;
            }
            $fixed = array_values(
                array_filter(
                    $first->placements,
                    static fn (Placement $placement): bool => null === $placement->piece->match && 0 === mt_rand(0, 2),
                ),
            );
            $again = new LayRequest(
                $request->sheets,
                $request->pieces,
                $request->gap,
                $request->oneWay,
                [$first->fold],
                $request->seconds,
                7,
                $fixed,
            );
            $lay = $this->make($again, 40);
            self::assertSame($fixed, \array_slice($lay->placements, 0, \count($fixed)), "seed $seed, request $i");
            self::assertSame([], (new Judge())->faults($again, $lay), "seed $seed, request $i");
        }
    }

    /** Five hundred requests, with every feature mixed. */
    #[DataProvider('many')]
    public function testAnyRequestIsLaidSoundly(int $seed): void
    {
        mt_srand($seed);
        for ($i = 0; $i < 8; ++$i) {
            $request = $this->random();
            $lay = $this->make($request, 120);
            self::assertSame([], (new Judge())->faults($request, $lay), "seed $seed, request $i, ".$lay->fold->value);
            self::assertLessThanOrEqual(1.0, $lay->measure->utilisation);
            foreach ($request->sheets as $sheet) {
                self::assertLessThanOrEqual(($sheet->length ?? \INF) + 0.01, $lay->used[$sheet->id] ?? 0);
            }
        }
    }

    /** @return iterable<string, array{int}> */
    public static function seeds(): iterable
    {
        foreach (range(1, 8) as $seed) {
            yield 'seed '.$seed => [$seed];
        }
    }

    /** @return iterable<string, array{int}> */
    public static function many(): iterable
    {
        foreach (range(1, 63) as $seed) {
            yield 'seed '.$seed => [$seed];
        }
    }

    public function testRectanglesSawnFromAClothGoBackOnIt(): void
    {
        $boards = [[700.0, 500.0], [700.0, 900.0], [1300.0, 350.0], [600.0, 1050.0], [700.0, 250.0], [700.0, 800.0]];
        $request = new LayRequest(
            [new Sheet('c', 1400, null)],
            array_map(static fn (int $i): LayPiece => new LayPiece('board '.$i, Outline::rectangle(...$boards[$i])), array_keys($boards)),
        );
        $lay = $this->make($request, 300);
        self::assertSame(2000.0, $lay->used['c']);
        self::assertSame([1.0, 2000.0, []], [$lay->measure->utilisation, $lay->measure->bound, $lay->leftovers]);
    }

    public function testTheSameSeedGivesTheSameLay(): void
    {
        mt_srand(5);
        $request = $this->random();
        self::assertEquals($this->make($request, 80), $this->make($request, 80));
    }

    public function testEveryLaySaidToBeBetterIsShorterThanTheOneBefore(): void
    {
        $heard = [];
        $request = $this->tee([Fold::Flat], 150, false);
        $lay = (new LayMaker())->make($request, $this->clock(300), static function (Fold $fold, float $used) use (&$heard): void {
            $heard[] = $used;
        });
        $falling = $heard;
        rsort($falling);
        self::assertSame($falling, $heard);
        self::assertEqualsWithDelta($lay->used['c'], end($heard), 0.01);
    }

    public function testFrontAndBackOnTheFoldLieInGateFoldWhereThatIsShorter(): void
    {
        $lay = $this->make($this->tee([Fold::Lengthwise, Fold::Gate], 1240), 100);
        self::assertSame(Fold::Gate, $lay->fold);
        self::assertLessThan($lay->folds['lengthwise'], $lay->folds['gate'], 'and the result says what each would use');
        $ends = array_map(
            static fn (Placement $placement): array => [$placement->outline->bottom, $placement->outline->top],
            $lay->placements,
        );
        self::assertContains(0.0, array_merge(...$ends), 'one at the lower fold edge');
        self::assertContains(620.0, array_merge(...$ends), 'one at the upper');
    }

    public function testCrosswiseIsRefusedForOneWayClothWithTheReason(): void
    {
        $pair = new LayPiece('front', Outline::rectangle(500, 600), 2, true);
        $request = new LayRequest([new Sheet('c', 700, null)], [$pair], oneWay: true, folds: [Fold::Crosswise, Fold::Flat]);
        $lay = $this->make($request, 50);
        self::assertEquals(new Fault(FaultKind::OneWayCrosswise), $lay->folds['crosswise']);
        self::assertSame(Fold::Flat, $lay->fold);
        $lay = $this->make(new LayRequest([new Sheet('c', 700, null)], [$pair], folds: [Fold::Crosswise]), 50);
        self::assertSame([Fold::Crosswise, 1000.0, 2], [$lay->fold, $lay->used['c'], $lay->placements[0]->layers]);
    }

    public function testAPieceWantedOnceIsNotCutTwiceFromAFold(): void
    {
        $request = new LayRequest(
            [new Sheet('c', 1400, null)],
            [new LayPiece('front', Outline::rectangle(500, 300), 2, true), new LayPiece('pocket', Outline::rectangle(150, 140))],
            folds: [Fold::Lengthwise, Fold::Part],
        );
        $lay = $this->make($request, 60);
        self::assertEquals(new Fault(FaultKind::OddCopies, ['piece' => 'pocket', 'wanted' => 1]), $lay->folds['lengthwise']);
        self::assertSame(Fold::Part, $lay->fold);
        self::assertSame([2, 1], array_map(static fn (Placement $placement): int => $placement->layers, $lay->placements));
        self::assertSame(650.0, $lay->used['c'], 'folded for 500, flat for 150');
    }

    public function testOneWayClothTakesMoreWhereTurningWouldNestPieces(): void
    {
        $wedge = new LayPiece('gore', Outline::of([[0.0, 0.0], [800.0, 130.0], [800.0, 170.0], [0.0, 300.0]]), 8);
        $roll = [new Sheet('c', 700, null)];
        $both = fn (bool $oneWay): float => $this->make(new LayRequest($roll, [$wedge], oneWay: $oneWay), 80)->used['c'];
        self::assertLessThan($both(true), $both(false));
    }

    public function testTwoCutsAreUsedWithoutAPieceAcrossTheGap(): void
    {
        $cuts = [new Sheet('long', 1440, 1800), new Sheet('short', 1440, 1650)];
        $pieces = [
            new LayPiece('pinafore', Outline::rectangle(1100, 620), 2),
            new LayPiece('vest', Outline::rectangle(600, 500), 4),
            new LayPiece('skirt', Outline::rectangle(560, 1300), 1),
        ];
        $lay = $this->make(new LayRequest($cuts, $pieces), 200);
        self::assertSame(Status::Placed, $lay->status);
        self::assertEqualsCanonicalizing(
            ['long', 'short'],
            array_values(array_unique(array_map(static fn (Placement $placement): string => $placement->sheet, $lay->placements))),
        );
        $one = $this->make(new LayRequest($cuts, [new LayPiece('skirt', Outline::rectangle(560, 1300), 2)]), 50);
        self::assertContains(0.0, $one->used, 'as few cuts as possible');
    }

    public function testWhatDoesNotFitIsNamed(): void
    {
        $lay = $this->make(new LayRequest([new Sheet('c', 1000, 1000)], [new LayPiece('big', Outline::rectangle(900, 900), 2)]), 30);
        self::assertSame([Status::Short, 1, ['big']], [$lay->status, \count($lay->placements), array_column($lay->unplaced, 'piece')]);
        $lay = $this->make(new LayRequest([new Sheet('c', 1000, null)], [new LayPiece('wide', Outline::rectangle(300, 1001))]), 30);
        self::assertSame(Status::Impossible, $lay->status);
        self::assertSame(['wide', FaultKind::TooLarge], [$lay->unplaced[0]->piece, $lay->unplaced[0]->reasons[0]->kind]);
        self::assertSame(
            Status::Placed,
            $this->make(
                new LayRequest([new Sheet('c', 1000, null)], [new LayPiece('wide', Outline::rectangle(300, 1001), grain: Grain::Either)]),
                30,
            )->status,
        );
    }

    /** Of a print that repeats every 230 mm: alone a piece needs no more than its length; several share the place in the repeat. */
    public function testThePlaceInTheRepeatIsFreeAndCommon(): void
    {
        self::assertSame(700.0, $this->panels(1, null));
        self::assertSame(920.0, $this->panels(1, [0.0, 0.0]), 'chosen, as at the cut end');
        self::assertSame(700.0 + 4 * 230, $this->panels(2, null), 'the second begins at the next repeat that is free');
    }

    /** The next place that matches is taken: it goes on to the one after, not to another height. */
    public function testWhatMatchesOnlyBehindABiteLiesThere(): void
    {
        $sheet = new Sheet('s', 100, 300, bites: [[0, 0, 30, 100], [50, 0, 10, 100]]);
        $leaf = Outline::of([[0.0, 0.0], [15.0, 0.0], [15.0, 60.0], [10.0, 100.0], [0.0, 100.0]]);
        $piece = new LayPiece('leaf', $leaf, match: new Repeat(40, 0, 0, 0, [0.0, 0.0]));
        $lay = $this->make(new LayRequest([$sheet], [$piece], oneWay: true), 20, false);
        self::assertSame([], $lay->unplaced);
        self::assertSame(80.0, $lay->placements[0]->outline->left);
    }

    /** Three panels have one order: it is laid once, however long is searched. */
    public function testAnOrderOfFewPiecesIsLaidOnce(): void
    {
        $panel = new LayPiece('panel', Outline::rectangle(700, 600), 3, match: new Repeat(230, 0, 0, 0));
        $lay = $this->make(new LayRequest([new Sheet('s', 1380, null)], [$panel]), 4000, false);
        self::assertSame(920.0 + 700, $lay->used['s']);
        self::assertLessThan(30, $lay->measure->evaluated);
    }

    /** @param ?array{float, float} $at */
    private function panels(int $copies, ?array $at): float
    {
        return $this->make(new LayRequest(
            [new Sheet('c', 700, null)],
            [new LayPiece('panel', Outline::rectangle(700, 600), $copies, match: new Repeat(230, 0, 700, 0, $at))],
            oneWay: true,
        ), 60)->used['c'];
    }

    public function testWhatIsMatchedLiesTurnedOnlyWhereThePrintIsTheSameSo(): void
    {
        $piece = static fn (bool $alike): LayPiece => new LayPiece(
            'flare',
            Outline::of([[0, 150], [600, 0], [600, 400], [0, 250]]),
            2,
            match: new Repeat(300, 0, 600, 0, alike: $alike),
        );
        self::assertSame([0], $piece(false)->turns(false));
        self::assertSame([0, 180], $piece(true)->turns(false));
        $turns = fn (bool $alike): array => array_unique(array_map(
            static fn (Placement $placement): int => $placement->turn,
            $this->make(new LayRequest([new Sheet('c', 600, null)], [$piece($alike)]), 60)->placements,
        ));
        self::assertSame([0], $turns(false));
        self::assertCount(2, $turns(true));
    }

    public function testAPieceBoundToACutLiesThere(): void
    {
        $lay = $this->make(
            new LayRequest(
                [new Sheet('a', 1000, 1000), new Sheet('b', 1000, 1000)],
                [new LayPiece('cuff', Outline::rectangle(100, 100), cut: 'b')],
            ),
            30,
        );
        self::assertSame('b', $lay->placements[0]->sheet);
    }

    public function testTheGapIsKeptAndTheRepeatMatched(): void
    {
        $request = new LayRequest(
            [new Sheet('c', 700, null)],
            [new LayPiece('panel', Outline::rectangle(300, 330), 4, match: new Repeat(80, 0, 10, 0))],
            gap: 12,
        );
        $lay = $this->make($request, 60);
        self::assertSame([], (new Judge())->faults($request, $lay));
        foreach ($lay->placements as $i => $a) {
            self::assertEqualsWithDelta(0, fmod(abs($a->x - $lay->placements[0]->x) + 0.01, 80), 0.1);
            foreach (\array_slice($lay->placements, $i + 1) as $b) {
                self::assertGreaterThanOrEqual(
                    11.99,
                    max(
                        $b->outline->left - $a->outline->right,
                        $a->outline->left - $b->outline->right,
                        $b->outline->bottom - $a->outline->top,
                        $a->outline->bottom - $b->outline->top,
                    ),
                );
            }
        }
    }

    public function testTheLargestFreeRectanglesAreNamed(): void
    {
        $lay = $this->make(new LayRequest([new Sheet('c', 1000, 2000)], [new LayPiece('square', Outline::rectangle(500, 500))]), 30);
        self::assertSame(['cut' => 'c', 'x' => 500.0, 'y' => 0.0, 'length' => 1500.0, 'width' => 1000.0], $lay->leftovers[0]);
        self::assertSame(['cut' => 'c', 'x' => 0.0, 'y' => 500.0, 'length' => 500.0, 'width' => 500.0], $lay->leftovers[1]);
    }

    public function testTheJudgeSeesWhatIsWrong(): void
    {
        $request = new LayRequest(
            [new Sheet('c', 1000, 2000)],
            [
                new LayPiece('front', Outline::of([[0.0, 0.0], [400.0, 0.0], [300.0, 200.0], [0.0, 200.0]]), 2, true),
                new LayPiece('back', Outline::rectangle(300, 300)),
            ],
        );
        $lay = $this->make($request, 120);
        self::assertSame([], (new Judge())->faults($request, $lay));
        [$first, $second] = $lay->placements;
        $rest = \array_slice($lay->placements, 1);
        $judged = static fn (Placement ...$placements): string => implode(
            '; ',
            array_map(
                static fn (Fault $fault): string => (string) (new FaultWords())->say($fault),
                (new Judge())->faults(
                    $request,
                    new Lay($lay->status, $lay->fold, $lay->used, array_values($placements), [], [], [], new LayMeasure(0)),
                ),
            ),
        );
        $moved = static fn (Placement $p, float $x, float $y, ?int $turn = null): Placement => new Placement(
            $p->piece,
            $p->copy,
            $p->sheet,
            $turn ?? $p->turn,
            $p->flipped,
            $p->layers,
            $p->x + $x,
            $p->y + $y,
            $p->outline->moved($x, $y),
        );
        self::assertStringContainsString(
            'overlap',
            $judged(
                $moved($first, $second->outline->left - $first->outline->left, $second->outline->bottom - $first->outline->bottom),
                ...$rest,
            ),
        );
        self::assertStringContainsString('leaves the cloth', $judged($moved($first, -600, 0), ...$rest));
        self::assertStringContainsString('against its grain', $judged($moved($first, 0, 0, 90), ...$rest));
        self::assertStringContainsString('are wanted and', $judged(...$rest));
        self::assertStringContainsString(
            'are reported',
            $judged(...array_map(static fn (Placement $p): Placement => $moved($p, 700, 0), $lay->placements)),
        );
        self::assertStringContainsString(
            'another shape',
            $judged(
                new Placement(
                    $first->piece,
                    $first->copy,
                    'c',
                    $first->turn,
                    $first->flipped,
                    1,
                    $first->x,
                    $first->y,
                    Outline::rectangle(10, 10),
                ),
                ...$rest,
            ),
        );
        self::assertStringContainsString(
            'another cut',
            $judged(new Placement($first->piece, $first->copy, 'z', 0, false, 1, 0, 0, $first->outline), ...$rest),
        );
    }

    /** @param non-empty-list<Fold> $folds */
    private function tee(array $folds, float $width, bool $onFold = true): LayRequest
    {
        return new LayRequest(
            [new Sheet('c', max($width, 620), null)],
            [
                new LayPiece('front', Outline::of(self::TEE), 1, false, $onFold),
                new LayPiece('back', Outline::of(self::TEE), 1, false, $onFold),
            ],
            folds: $folds,
        );
    }

    private function random(): LayRequest
    {
        $width = (float) mt_rand(600, 1600);
        $pieces = array_map(static function (int $i) use ($width): LayPiece {
            $onFold = 0 === mt_rand(0, 4);
            $pair = !$onFold && 0 === mt_rand(0, 2);
            $outline = $onFold ? self::half(mt_rand(3, 8), $width / 4 - 5) : OutlineTest::star(mt_rand(3, 9));

            return new LayPiece(
                'piece '.$i,
                $outline,
                $pair ? 2 * mt_rand(1, 2) : mt_rand(1, 3),
                $pair,
                $onFold,
                $onFold ? Grain::Along : Grain::cases()[mt_rand(0, 3)],
                null,
                match (mt_rand(0, 11)) {
                    0 => new Repeat(mt_rand(60, 200), 0, 0, 0),
                    1 => new Repeat(mt_rand(60, 200), mt_rand(0, 200), mt_rand(0, 50), mt_rand(0, 50), [mt_rand(0, 90), mt_rand(0, 90)]),
                    default => null,
                },
                edge: 0 === mt_rand(0, 14) ? (float) mt_rand(0, 30) : null,
            );
        }, range(1, mt_rand(1, 8)));
        $sheets = array_map(static function (int $i) use ($width): Sheet {
            $length = 0 === mt_rand(0, 1) && 1 === $i ? null : (float) mt_rand(500, 2500);
            $bitten = null !== $length && 0 === mt_rand(0, 3);

            return new Sheet(
                'cut '.$i,
                $width,
                $length,
                $bitten
                    ? Outline::of([
                        [0.0, 0.0],
                        [$length, 0.0],
                        [$length, $width * 0.6],
                        [$length * 0.7, $width * 0.7],
                        [$length * 0.6, $width],
                        [0.0, $width],
                    ])
                    : null,
            );
        }, range(1, mt_rand(1, 2)));
        $folds = array_values(array_filter(Fold::cases(), static fn (): bool => 0 === mt_rand(0, 1)));

        return new LayRequest(
            $sheets,
            $pieces,
            0 === mt_rand(0, 2) ? (float) mt_rand(1, 15) : 0.0,
            0 === mt_rand(0, 1),
            [] === $folds ? [Fold::Flat] : $folds,
            seed: mt_rand(1, 99),
        );
    }

    private static function half(int $points, float $most): Outline
    {
        $corners = [[0.0, 0.0], [400.0, 0.0]];
        for ($j = 1; $j < $points; ++$j) {
            $angle = (\M_PI * $j) / $points;
            $reach = mt_rand(30, 100) / 100;
            $corners[] = [200 + 200 * $reach * cos($angle), max(1.0, min($most, 250) * $reach * sin($angle))];
        }

        return Outline::of($corners);
    }

    private function make(LayRequest $request, int $looks, bool $second = true): Lay
    {
        return (new LayMaker($second))->make($request, $this->clock($looks));
    }

    /** @return \Closure(): float a clock that has run down after so many looks */
    private function clock(int $looks): \Closure
    {
        $seen = 0;

        return static function () use (&$seen, $looks): float {
            return (2 * ++$seen) / $looks;
        };
    }

    /**
     * @param list<array{int, int}> $points
     * @param non-empty-list<Sheet> $sheets
     * @param array<string, int>    $used
     */
    #[DataProvider('headToTail')]
    public function testPanelsLieHeadToTailAndOnAsFewCutsAsWillDo(array $points, int $quantity, array $sheets, array $used): void
    {
        $outline = Outline::of(array_map(static fn (array $p): array => [(float) $p[0], (float) $p[1]], $points));
        $request = new LayRequest($sheets, [new LayPiece('panel', $outline, $quantity)], seconds: 0.6);
        $start = microtime(true);
        $lay = (new LayMaker())->make($request, static fn (): float => microtime(true) - $start);
        self::assertSame([], (new Judge())->faults($request, $lay));
        self::assertSame($used, array_map(static fn (float $length): int => (int) round($length), $lay->used));
    }

    /** @return iterable<string, array{list<array{int, int}>, int, non-empty-list<Sheet>, array<string, int>}> */
    public static function headToTail(): iterable
    {
        $flared = [[0, 100], [700, 0], [700, 350], [0, 250]];
        yield 'four flared panels' => [$flared, 4, [new Sheet('c', 1150, null)], ['c' => 700]];
        yield 'six on wide cloth' => [$flared, 6, [new Sheet('c', 1700, null)], ['c' => 700]];
        yield 'two that just go on' => [[[0, 0], [1000, 0], [1000, 600], [0, 400]], 2, [new Sheet('c', 1008, null)], ['c' => 1000]];
        yield 'the long cut alone holds all' => [
            [[0, 0], [900, 0], [900, 900], [0, 900]],
            3,
            [new Sheet('a', 1000, 1000), new Sheet('b', 1000, 1000), new Sheet('c', 1000, 3000)],
            ['a' => 0, 'b' => 0, 'c' => 2700],
        ];
        yield 'two short ones rather than three' => [
            [[0, 0], [900, 0], [900, 450], [0, 450]],
            4,
            [new Sheet('a', 1000, 1000), new Sheet('b', 1000, 1000), new Sheet('c', 1000, 1000)],
            ['a' => 900, 'b' => 900, 'c' => 0],
        ];
    }

    public function testNothingIsLaidInAWayThatWasNotAllowed(): void
    {
        $request = new LayRequest(
            [new Sheet('c', 1000, 1000)],
            [new LayPiece('panel', Outline::rectangle(300, 200), 2)],
            oneWay: true,
            folds: [Fold::Crosswise],
            seconds: 0.2,
        );
        $lay = (new LayMaker())->make($request, static fn (): float => 0.0);
        self::assertSame([Status::Impossible, Fold::Crosswise, 0], [$lay->status, $lay->fold, \count($lay->placements)]);
        self::assertCount(2, $lay->unplaced);
        self::assertEquals([new Fault(FaultKind::OneWayCrosswise)], $lay->unplaced[0]->reasons);
    }

    /** A figure every 320 × 270 mm, one of them at 130 from the end and 55 from the edge. */
    #[DataProvider('engines')]
    public function testAPieceIsLaidToTheFiguresOfThePrint(bool $second): void
    {
        $at = static fn (string $id, float $length, float $width, float $x, float $y): LayPiece => new LayPiece(
            $id,
            Outline::of([[0, 0], [$length, 0], [$length, $width], [60, $width * 0.6]]),
            2,
            true,
            match: new Repeat(320, 270, $x, $y, [130, 55]),
        );
        $pieces = [
            $at('front', 600, 500, 300, 250),
            $at('back', 700, 420, 310, 200),
            new LayPiece('facing', Outline::rectangle(300, 200), 6),
        ];
        $request = new LayRequest([new Sheet('c', 1400, 4000)], $pieces, folds: [Fold::Flat, Fold::Lengthwise]);
        $lay = $this->make($request, 400, $second);
        self::assertSame([Status::Placed, []], [$lay->status, (new Judge())->faults($request, $lay)]);
        foreach ($lay->placements as $placement) {
            $match = $placement->piece->match;
            if (null === $match) {
                continue;
            }
            $side = $placement->flipped ? -1 : 1;
            $back = 180 === $placement->turn ? -1 : 1;
            $off = [$placement->x + $back * $match->x - 130, $placement->y + $back * $side * $match->y - 55];
            self::assertEqualsWithDelta([0, 0], [$off[0] - 320 * round($off[0] / 320), $off[1] - 270 * round($off[1] / 270)], 0.01);
        }
        self::assertEquals(new Fault(FaultKind::FiguresHidden), $lay->folds['lengthwise']);
        $moved = array_map(static fn (Placement $one): Placement => new Placement(
            $one->piece,
            $one->copy,
            $one->sheet,
            $one->turn,
            $one->flipped,
            1,
            $one->x + 160,
            $one->y,
            $one->outline->moved(160, 0),
        ), $lay->placements);
        $beside = new Lay($lay->status, $lay->fold, ['c' => $lay->used['c'] + 160], $moved, [], [], [], new LayMeasure(0));
        $say = static fn (Fault $fault): string => (string) (new FaultWords())->say($fault);
        $said = array_map($say, (new Judge())->faults($request, $beside));
        self::assertContains('front 1 does not lie to the figures as it should', $said);
        self::assertContains('back 2 does not lie to the figures as it should', $said);
    }

    /** The lower end at the edge, or as far from it as the border wants. */
    #[DataProvider('engines')]
    public function testAPieceLiesWithItsLowerEndAtTheEdge(bool $second): void
    {
        $skirt = new LayPiece('skirt', Outline::of([[0, 150], [800, 0], [800, 700], [0, 550]]), 2, edge: 0.0);
        $band = new LayPiece('band', Outline::rectangle(60, 900), 2, edge: 35.0);
        $pieces = [$skirt, $band, new LayPiece('front', Outline::rectangle(500, 300), 4, true)];
        $request = new LayRequest([new Sheet('c', 1400, 4000)], $pieces, folds: Fold::cases());
        $lay = $this->make($request, 400, $second);
        self::assertSame([Status::Placed, []], [$lay->status, (new Judge())->faults($request, $lay)]);
        $lower = [];
        foreach ($lay->placements as $placement) {
            $lower[$placement->piece->id] = [$placement->turn, round($placement->outline->bottom, 3)];
        }
        self::assertSame([[270, 0.0], [270, 35.0]], [$lower['skirt'], $lower['band']]);
        foreach (['lengthwise', 'gate', 'part'] as $fold) {
            self::assertEquals(new Fault(FaultKind::EdgeFolded), $lay->folds[$fold]);
        }
        $crosswise = new LayRequest($request->sheets, $pieces, folds: [Fold::Crosswise]);
        self::assertSame([], (new Judge())->faults($crosswise, $this->make($crosswise, 100, $second)));
    }

    /** @return iterable<string, array{bool}> */
    public static function engines(): iterable
    {
        return ['the first engine' => [false], 'both' => [true]];
    }

    public function testAMatchedPieceOnTheFoldIsMatchedEitherWayUp(): void
    {
        $piece = static fn (string $id, float $length, float $width, float $from): LayPiece => new LayPiece(
            $id,
            Outline::of([[$from, 0], [$length, 0], [$length, $width], [60, $width * 0.6]]),
            2,
            onFold: true,
            match: new Repeat(130, 0, $length, 0, alike: true),
        );
        $pieces = [$piece('front', 600, 300, 5), $piece('back', 700, 320, 0), $piece('yoke', 350, 200, 40)];
        $request = new LayRequest([new Sheet('c', 1400, null)], $pieces, folds: [Fold::Lengthwise], seed: 3);
        $lay = $this->make($request, 200);
        self::assertSame([], (new Judge())->faults($request, $lay));
        self::assertContains(180, array_map(static fn (Placement $placement): int => $placement->turn, $lay->placements));
    }

    public function testWhatIsLockedSaysWhereTheRepeatBegins(): void
    {
        $piece = new LayPiece('panel', Outline::rectangle(300, 330), 4, match: new Repeat(80, 0, 10, 0));
        $sheets = [new Sheet('c', 700, null)];
        $locked = new Placement($piece, 1, 'c', 0, false, 1, 37.0, 0.0, $piece->outline->moved(37, 0));
        $request = new LayRequest($sheets, [$piece], seconds: 0.2, fixed: [$locked]);
        $start = microtime(true);
        $lay = (new LayMaker())->make($request, static fn (): float => microtime(true) - $start);
        self::assertSame([Status::Placed, []], [$lay->status, (new Judge())->faults($request, $lay)]);
    }

    public function testManyCornersAreTakenApartInTime(): void
    {
        $points = array_map(
            static fn (int $i): array => [
                (200 + 40 * sin((7 * $i * \M_PI) / 100)) * cos(($i * \M_PI) / 100),
                (200 + 40 * sin((7 * $i * \M_PI) / 100)) * sin(($i * \M_PI) / 100),
            ],
            range(0, 199),
        );
        $outline = Outline::of($points);
        $turned = $outline->turned(90)->flipped()->moved(5, 5);
        $area = static fn (Outline $one): float => array_sum(
            array_map(static fn (array $part): float => Outline::convex($part)->area(), $one->convexParts()),
        );
        self::assertEqualsWithDelta($outline->area(), $area($outline), 0.01);
        self::assertEqualsWithDelta($outline->area(), $area($turned), 0.01);
        self::assertCount(\count($outline->convexParts()), $turned->convexParts());
    }
}

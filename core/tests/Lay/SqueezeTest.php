<?php

declare(strict_types=1);

namespace Octavum\Core\Tests\Lay;

use Octavum\Core\Lay\Engine\Clusters;
use Octavum\Core\Lay\Engine\Coarse;
use Octavum\Core\Lay\Engine\Cost;
use Octavum\Core\Lay\Engine\Guard;
use Octavum\Core\Lay\Engine\NoFit;
use Octavum\Core\Lay\Engine\Settler;
use Octavum\Core\Lay\Engine\Spot;
use Octavum\Core\Lay\Engine\Squeeze;
use Octavum\Core\Lay\Engine\SqueezeCuts;
use Octavum\Core\Lay\Judge;
use Octavum\Core\Lay\Lay;
use Octavum\Core\Lay\LayMaker;
use Octavum\Core\Lay\Request\Fold;
use Octavum\Core\Lay\Request\Grain;
use Octavum\Core\Lay\Request\LayPiece;
use Octavum\Core\Lay\Request\LayRequest;
use Octavum\Core\Lay\Request\Placement;
use Octavum\Core\Lay\Request\Repeat;
use Octavum\Core\Lay\Request\Sheet;
use Octavum\Core\Lay\Way\Item;
use Octavum\Core\Lay\Way\Lane;
use Octavum\Core\Lay\Way\Member;
use Octavum\Core\Lay\Way\Variant;
use Octavum\Core\Lay\Way\Ways;
use Octavum\Core\Shape\Convex;
use Octavum\Core\Shape\Outline;
use Octavum\Core\Tests\Shape\OutlineTest;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** The second engine. Time is counted in looks at the clock, so that every run is the same. */
final class SqueezeTest extends TestCase
{
    private const SQUARE = [[0.0, 0.0], [100.0, 0.0], [100.0, 100.0], [0.0, 100.0]];

    /** A square of 60 beside one of 100: where its lowest corner is, and how deep it lies in the other. */
    #[DataProvider('places')]
    public function testHowDeepAShapeLiesInAnother(float $x, float $y, float $deep): void
    {
        $small = [[0.0, 0.0], [60.0, 0.0], [60.0, 60.0], [0.0, 60.0]];
        $faces = NoFit::of([self::SQUARE], [$small], 0, new Convex());
        self::assertCount(1, $faces->faces);
        self::assertEqualsWithDelta($deep, $this->depth($faces->faces[0], $x, $y), 0.05);
        self::assertEqualsWithDelta($deep, $this->depth($faces->across[0], $y, $x), 0.05, 'and with x and y changed');
    }

    /** @return iterable<string, array{float, float, float}> worked by hand */
    public static function places(): iterable
    {
        yield 'touching' => [100.0, 20.0, 0.0];
        yield 'far away' => [400.0, 20.0, 0.0];
        yield 'ten in from the right' => [90.0, 20.0, 10.0];
        yield 'ten in from the left' => [-50.0, 20.0, 10.0];
        yield 'ten in from above, thirty from the right' => [70.0, 90.0, 10.0];
        yield 'in the middle: eighty to any side' => [20.0, 20.0, 80.0];
    }

    /** 600 of one cut and 300 of another are used, and all of it has room on 600 of the first; what is bound to its cut stays there. */
    public function testAPieceGoesToTheCutWhereThereIsRoom(): void
    {
        $request = new LayRequest([new Sheet('a', 700, 1000), new Sheet('b', 700, 1000)], [
            new LayPiece('long', Outline::rectangle(600, 300)),
            new LayPiece('short', Outline::rectangle(300, 300)),
        ]);
        $way = (new Ways(10))->prepare($request, Fold::Flat);
        $lanes = [] === $way->lanes ? self::fail('It is laid on two.') : $way->lanes;
        $spots = array_map(static fn (Item $item, int $i): Spot => new Spot($item, $item->variants[0], $i, 0, 0), $way->items, [0, 1]);
        self::assertTrue(SqueezeCuts::suits($lanes, $spots));
        $looks = 0;
        $left = static function () use (&$looks): float {
            return 1 - ++$looks / 2_000;
        };
        $heard = 0;
        $laid = (new SqueezeCuts($lanes, 0, new Settler($lanes, 0), new Cost($way), 1))->run($spots, $left, static function () use (
            &$heard,
        ): void {
            ++$heard;
        });
        self::assertEquals(['a' => 600, 'b' => 0], (new Cost($way))->used($laid));
        self::assertGreaterThan(0, $heard);
        $bound = new LayRequest($request->sheets, [new LayPiece('long', Outline::rectangle(600, 300), cut: 'a'), $request->pieces[1]]);
        $items = (new Ways(10))->prepare($bound, Fold::Flat)->items;
        self::assertFalse(SqueezeCuts::suits($lanes, [new Spot($items[0], $items[0]->variants[0], 0, 0, 0)]));
    }

    public function testTheGapIsKeptAndDoublePointsAreNoSides(): void
    {
        $doubled = [...self::SQUARE, [0.0, 100.0], [0.0, 0.0]];
        $faces = NoFit::of([$doubled], [self::SQUARE], 5, new Convex())->faces;
        self::assertCount(4 + 3 * 4, $faces[0], 'a box and four sides');
        self::assertEqualsWithDelta(5.0, $this->depth($faces[0], 100, 0), 0.05);
        self::assertEqualsWithDelta(0.0, $this->depth($faces[0], 105, 0), 0.05);
    }

    /** Four pieces that were one rectangle, 1000 by 600, come together again whichever way they are given. */
    public function testWhatWasSawnApartGoesTogetherAgain(): void
    {
        $pieces = array_map(static fn (array $points, int $i): LayPiece => new LayPiece(
            'p'.$i,
            Outline::of($points)->turned(0 === $i % 2 ? 0 : 180)->atOrigin(),
        ), [
            [[0.0, 0.0], [350.0, 0.0], [250.0, 600.0], [0.0, 600.0]],
            [[350.0, 0.0], [700.0, 0.0], [400.0, 250.0], [500.0, 600.0], [250.0, 600.0]],
            [[700.0, 0.0], [1000.0, 0.0], [1000.0, 200.0], [440.0, 390.0], [400.0, 250.0]],
            [[1000.0, 200.0], [1000.0, 600.0], [500.0, 600.0], [440.0, 390.0]],
        ], [0, 1, 2, 3]);
        $request = new LayRequest([new Sheet('cloth', 600, null)], $pieces);
        $spent = 0.0;
        $lay = (new LayMaker())->make($request, static function () use (&$spent): float {
            return $spent += 2 / 400;
        });
        self::assertEqualsWithDelta(1000.0, $lay->used['cloth'], 0.1);
        self::assertLessThan(1.1, $spent, 'of 2 seconds: once nothing can be shorter it ends');
        $clusters = (new Clusters(10, 600))->build((new Ways(10))->prepare($request, Fold::Flat)->items, static fn (): float => 1.0);
        self::assertCount(1, $clusters);
        $whole = $clusters[0]->variants[0];
        self::assertCount(4, $whole->members);
        self::assertEqualsWithDelta([1000.0, 600.0], [$whole->length, $whole->width], 0.1);
        self::assertCount(2, $clusters[0]->variants, 'as it is, and the other way round');
        $narrow = (new Clusters(10, 590))->build((new Ways(10))->prepare($request, Fold::Flat)->items, static fn (): float => 1.0);
        self::assertGreaterThan(1, \count($narrow), 'what is wider than the cloth stays apart');
    }

    /**
     * Sawn apart and digitised to whole millimetres, pieces fit only nearly, and are together a hair wider than the cloth: they still go
     * together, each moves a little, and no two overlap.
     */
    public function testWhatFitsNearlyGoesTogetherAgain(): void
    {
        $pieces = array_map(static fn (array $points, int $i): LayPiece => new LayPiece('p'.$i, Outline::of($points)->atOrigin()), [
            [[0.0, 0.0], [350.0, 0.0], [251.0, 600.0], [0.0, 599.0]],
            [[350.0, 0.0], [701.0, 0.0], [399.0, 250.0], [500.0, 600.0], [250.0, 600.0]],
            [[700.0, 0.0], [1000.0, 0.0], [1000.0, 201.0], [441.0, 390.0], [400.0, 249.0]],
            [[1001.0, 200.0], [1000.0, 601.0], [500.0, 600.0], [440.0, 389.0]],
        ], [0, 1, 2, 3]);
        $request = new LayRequest([new Sheet('cloth', 600, null)], $pieces);
        $clusters = (new Clusters(10, 600))->build((new Ways(10))->prepare($request, Fold::Flat)->items, static fn (): float => 1.0);
        self::assertCount(1, $clusters);
        self::assertLessThan(600.001, $clusters[0]->variants[0]->width);
        $lay = $this->make($request, 6000);
        self::assertSame([], (new Judge())->faults($request, $lay));
        self::assertLessThan(1020.0, $lay->used['cloth']);
    }

    /** What is laid as one and is not clear of itself moves apart by itself, and is handed out sound or not at all. */
    public function testWhatOverlapsInOneMovesApart(): void
    {
        $pieces = [
            new LayPiece('a', Outline::of([[0.0, 0.0], [400.0, 0.0], [300.0, 600.0], [0.0, 600.0]])),
            new LayPiece('b', Outline::of([[100.0, 0.0], [500.0, 0.0], [500.0, 600.0], [0.0, 600.0]])),
        ];
        $way = (new Ways(10))->prepare(new LayRequest([new Sheet('cloth', 600, null)], $pieces), Fold::Flat);
        [$a, $b] = $way->items;
        $members = [new Member($a, $a->variants[0], 0, 0), new Member($b, $b->variants[0], 299, 0)];
        $both = new Item($a->piece, 1, 1, false, [new Variant(Outline::rectangle(799, 600), 0, false, 10, null, $members)]);
        $first = array_map(static fn (Member $m): Spot => new Spot($m->item, $m->variant, 0, $m->x, $m->y), $members);
        $long = [new Spot($a, $a->variants[0], 0, 0, 0), new Spot($b, $b->variants[0], 0, 400, 0)];
        $found = [];
        $squeeze = new Squeeze($way->lanes[0], 0, new Settler([$way->lanes[0]], 0), 1);
        $lay = $squeeze->together($long, [$both], $first, static fn (): float => 1.0, static function (array $spots) use (&$found): void {
            $found[] = $spots;
        });
        self::assertTrue((new Guard($way->lanes[0]))->isSound($lay));
        self::assertSame([$lay], $found);
        self::assertEqualsWithDelta(800.0, max(0.0, ...array_map(static fn (Spot $s): float => $s->x + $s->variant->length, $lay)), 0.2);
        $none = $squeeze->together($first, [$both], $first, static fn (): float => 1.0, static fn () => self::fail('It is no shorter.'));
        self::assertSame($first, $none);
    }

    /** Between two cuts that slant alike the ends fit one another too, and what comes of that slants at both: it begins anew. */
    public function testAWrongBeginningIsMended(): void
    {
        $pieces = array_map(static fn (array $points, int $i): LayPiece => new LayPiece('p'.$i, Outline::of($points)->atOrigin()), [
            [[0.0, 0.0], [200.0, 0.0], [420.0, 600.0], [0.0, 600.0]],
            [[200.0, 0.0], [500.0, 0.0], [610.0, 300.0], [310.0, 300.0]],
            [[310.0, 300.0], [610.0, 300.0], [720.0, 600.0], [420.0, 600.0]],
            [[500.0, 0.0], [1000.0, 0.0], [1000.0, 600.0], [720.0, 600.0]],
        ], [0, 1, 2, 3]);
        foreach (range(1, 5) as $seed) {
            $items = (new Ways(10))->prepare(new LayRequest([new Sheet('cloth', 600, null)], $pieces), Fold::Flat)->items;
            $clusters = (new Clusters(10, 600, $seed))->build($items, static fn (): float => 1.0);
            self::assertCount(1, $clusters);
            self::assertEqualsWithDelta(1000.0, $clusters[0]->variants[0]->length, 0.1);
        }
    }

    public function testNoLayIsLongerThanTheFirstEnginesAndAllAreSound(): void
    {
        foreach (range(1, 40) as $seed) {
            $request = $this->random($seed);
            $lay = $this->make($request, 400);
            self::assertSame([], (new Judge())->faults($request, $lay), 'seed '.$seed);
            self::assertLessThan(0.05, $this->deepest($lay), 'seed '.$seed);
            $start = $this->make($request, 40, false);
            self::assertLessThanOrEqual(
                array_sum($start->used) + \count($lay->unplaced) * 1e6 + 0.01,
                array_sum($lay->used),
                'seed '.$seed.': no longer than what it begins with',
            );
        }
    }

    /** Matched to a repeat, in a gate fold, part folded, on two cuts: shorter than what it begins with. */
    #[TestWith([Fold::Flat, 90.0, 1])]
    #[TestWith([Fold::Gate, 0.0, 1])]
    #[TestWith([Fold::Part, 0.0, 1])]
    #[TestWith([Fold::Flat, 0.0, 2])]
    public function testItMakesShorterWhatIsMatchedAndWhatLiesOnSeveralLanes(Fold $fold, float $repeat, int $cuts): void
    {
        $first = $second = 0.0;
        foreach ([1, 2] as $seed) {
            mt_srand($seed);
            $request = new LayRequest(
                array_map(static fn (int $i): Sheet => new Sheet(
                    'cut '.$i,
                    Fold::Gate === $fold ? 2800 : 1600,
                    1 === $cuts ? null : 900.0,
                ), range(1, $cuts)),
                array_map(static fn (int $i): LayPiece => new LayPiece(
                    'p'.$i,
                    OutlineTest::star(mt_rand(4, 7)),
                    Fold::Part === $fold && $i > 4 ? 1 : 2,
                    Fold::Part !== $fold || $i <= 4,
                    match: $repeat > 0 ? new Repeat($repeat, 0, 0, 0) : null,
                ), range(1, 7)),
                folds: [$fold],
            );
            [$one, $two] = [$this->make($request, 150, false), $this->make($request, 1500)];
            self::assertSame([[], []], [(new Judge())->faults($request, $two), $two->unplaced]);
            $first += array_sum($one->used);
            $second += array_sum($two->used);
        }
        self::assertLessThan(0.99 * $first, $second);
    }

    public function testTheSameSeedMakesTheSameLay(): void
    {
        $request = $this->random(3);
        self::assertEquals($this->make($request, 300), $this->make($request, 300));
    }

    public function testEachBetterLayIsTold(): void
    {
        $told = [];
        $looks = 600;
        (new LayMaker())->make($this->random(5), static function () use (&$looks): float {
            return 2 - 2 * max(0, --$looks) / 600;
        }, static function (Fold $fold, float $used) use (&$told): void {
            $told[] = $used;
        });
        self::assertGreaterThan(1, \count($told));
        $sorted = $told;
        rsort($sorted);
        self::assertSame($sorted, $told, 'each shorter than the one before');
    }

    /** An armhole is filled by five mm at most, a notch of thirty is not; nothing of the shape is lost. */
    public function testShallowHollowsAreFilledAndDeepOnesStay(): void
    {
        $curve = array_map(static fn (int $i): array => [
            round(300 - 60 * sin($i * \M_PI / 24), 1),
            round(60 - 60 * cos($i * \M_PI / 24), 1),
        ], range(0, 24));
        $shape = Outline::of([[0.0, 0.0], ...$curve, [300.0, 300.0], [150.0, 270.0], [0.0, 300.0]]);
        $variant = new Variant($shape, 0, false, 10, null);
        $parts = Coarse::parts($variant);
        self::assertLessThan(\count($shape->convexParts()), \count($parts));
        $area = array_sum(array_map(static fn (array $part): float => Outline::of($part)->area(), $parts));
        self::assertGreaterThanOrEqual($shape->area() - 0.1, $area);
        self::assertLessThan($shape->area() + 5 * 200, $area, 'five millimetres along a curve of two hundred at most');
    }

    /** What lies within another part of the no-fit is left out, and the depth stays one. */
    public function testCoveredPartsOfTheNoFitAreLeftOut(): void
    {
        $slices = array_map(static fn (int $i): array => [
            [10.0 * $i, 0.0], [10.0 * $i + 10, 0.0], [10.0 * $i + 10, 100.0], [10.0 * $i, 100.0],
        ], range(0, 9));
        $fits = NoFit::of([self::SQUARE, ...$slices], [self::SQUARE], 0, new Convex());
        self::assertLessThan(11, \count($fits->faces));
        self::assertEqualsWithDelta(100.0, $this->depth($fits->faces[0], 0, 0), 0.1, 'the largest stays');
    }

    public function testTheGuardLooksForItself(): void
    {
        $variant = new Variant(Outline::of(self::SQUARE), 0, false, 10, null);
        $item = new Item(new LayPiece('p', Outline::of(self::SQUARE)), 1, 1, false, [$variant]);
        $lies = static fn (float $x, float $y): Spot => new Spot($item, $variant, 0, $x, $y);
        $hole = [[300.0, 0.0], [400.0, 0.0], [400.0, 50.0], [300.0, 50.0]];
        $guard = new Guard(new Lane('cloth', 200, 500, missing: [$hole]));
        self::assertTrue($guard->isSound([$lies(0, 0), $lies(100, 0), $lies(99.97, 100)]));
        self::assertFalse($guard->isSound([$lies(0, 0), $lies(99.9, 0)]), 'a tenth over another');
        self::assertFalse($guard->isSound([$lies(0, 100.2)]), 'off the side');
        self::assertFalse($guard->isSound([$lies(-0.2, 0)]), 'off the end');
        self::assertFalse($guard->isSound([$lies(400.2, 100)]), 'beyond the length');
        self::assertFalse($guard->isSound([$lies(250, 0)]), 'where there is no cloth');
        self::assertTrue($guard->isSound([$lies(250, 50)]));
    }

    private function make(LayRequest $request, int $looks = 400, bool $squeeze = true): Lay
    {
        $all = $looks;

        return (new LayMaker($squeeze))->make($request, static function () use (&$looks, $all, $request): float {
            return $request->seconds * (1 - max(0, --$looks) / $all);
        });
    }

    /** Pieces of three to seven corners, some in pairs, on the fold, held off one another, or on a cut with a bite. */
    private function random(int $seed): LayRequest
    {
        mt_srand($seed);
        $pieces = [];
        $matched = 0 === $seed % 4;
        for ($i = 0, $n = mt_rand(2, 6); $i < $n; ++$i) {
            $corners = mt_rand(3, 7);
            $points = array_map(static function (int $k) use ($corners): array {
                $radius = mt_rand(60, 200);

                return [round($radius * cos((2 * $k * \M_PI) / $corners), 1), round($radius * sin((2 * $k * \M_PI) / $corners), 1)];
            }, range(0, $corners - 1));
            $fold = 0 === mt_rand(0, 4);
            $box = [[0.0, 0.0], [(float) mt_rand(100, 300), 0.0], [(float) mt_rand(100, 300), (float) mt_rand(60, 150)], [0.0, 120.0]];
            $pair = !$fold && 0 === mt_rand(0, 2);
            $grain = 0 === mt_rand(0, 3) ? Grain::Either : Grain::Along;
            $pieces[] = new LayPiece(
                'p'.$i,
                $fold ? Outline::of($box) : Outline::of($points)->atOrigin(),
                $pair ? 2 : mt_rand(1, 3),
                $pair,
                $fold,
                $fold ? Grain::Along : $grain,
                null,
                $matched ? new Repeat((float) mt_rand(80, 200), 0, 0, 0) : null,
            );
        }
        $bites = 0 === mt_rand(0, 2) ? [[0.0, 0.0, 150.0, 200.0]] : [];
        $folds = [] === $bites && 0 === mt_rand(0, 2) ? [Fold::Lengthwise, Fold::Flat] : [Fold::Flat];
        $folds = [2 => [Fold::Gate], 3 => [Fold::Part]][$seed % 5] ?? $folds;

        return new LayRequest(
            [new Sheet('cloth', 1100, 0 === mt_rand(0, 1) ? null : 3000.0, bites: $bites)],
            [] === $pieces ? throw new \LogicException('Two at least.') : $pieces,
            0 === mt_rand(0, 2) ? 3.0 : 0.0,
            0 === mt_rand(0, 2),
            $folds,
            2,
            $seed,
        );
    }

    private function deepest(Lay $lay): float
    {
        $deepest = 0.0;
        $convex = new Convex();
        foreach ($lay->placements as $i => $a) {
            foreach (\array_slice($lay->placements, $i + 1) as $b) {
                $deepest = max($deepest, $this->over($a, $b, $convex));
            }
        }

        return $deepest;
    }

    private function over(Placement $a, Placement $b, Convex $convex): float
    {
        $deep = 0.0;
        foreach ($a->outline->convexParts() as $part) {
            foreach ($b->outline->convexParts() as $other) {
                $deep = max($deep, $convex->depth($part, $other));
            }
        }

        return $deep;
    }

    /** @param list<float> $face */
    private function depth(array $face, float $x, float $y): float
    {
        $least = \INF;
        for ($k = 4; $k < \count($face); $k += 3) {
            $least = min($least, $face[$k + 2] - $face[$k] * $x - $face[$k + 1] * $y);
        }

        return max(0.0, $least);
    }
}

<?php

declare(strict_types=1);

namespace Octavum\Core\Tests\Shape;

use Octavum\Core\Lay\Request\Sheet;
use Octavum\Core\Shape\Convex;
use Octavum\Core\Shape\Outline;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class OutlineTest extends TestCase
{
    private const L = [[0.0, 0.0], [300.0, 0.0], [300.0, 100.0], [100.0, 100.0], [100.0, 200.0], [0.0, 200.0]];

    public function testAreaAndExtentInEitherOrderOfPoints(): void
    {
        foreach ([self::L, array_reverse(self::L)] as $points) {
            $outline = Outline::of($points);
            self::assertSame([40_000.0, 300.0, 200.0], [$outline->area(), $outline->length(), $outline->width()]);
            self::assertFalse($outline->isRectangle());
        }
        self::assertTrue(Outline::rectangle(20, 30)->isRectangle());
    }

    public function testTurningAndFlippingKeepTheOrderOfThePoints(): void
    {
        $outline = Outline::of(self::L);
        self::assertSame([-0.0, 300.0], $outline->turned(90)->points[1]);
        self::assertSame([300.0, -100.0], $outline->flipped()->points[2]);
        self::assertEquals($outline->points, $outline->turned(90)->turned(270)->points);
        self::assertEqualsWithDelta($outline->area(), $outline->turned(45)->area(), 0.001);
        self::assertSame([0.0, 0.0], [$outline->turned(180)->atOrigin()->left, $outline->turned(180)->atOrigin()->bottom]);
    }

    public function testAPieceOnTheFoldIsOpened(): void
    {
        foreach (
            [
                [[0.0, 0.0], [100.0, 0.0], [80.0, 40.0], [0.0, 50.0]],
                [[0.0, 50.0], [80.0, 40.0], [100.0, 0.0], [0.0, 0.0]],
                [[0.0, 0.0], [0.0, -50.0], [80.0, -40.0], [100.0, 0.0]],
            ] as $points
        ) {
            $half = Outline::of($points);
            $whole = $half->unfolded();
            self::assertEqualsWithDelta(2 * $half->area(), $whole->area(), 0.001);
            self::assertTrue($whole->isSymmetric());
        }
        $this->expectExceptionMessage('an edge on y = 0');
        Outline::of([[0.0, 5.0], [100.0, 5.0], [50.0, 40.0]])->unfolded();
    }

    /** @param list<array{float, float}> $points */
    #[DataProvider('broken')]
    public function testWhatIsNoOutlineIsRefused(array $points, string $why): void
    {
        $this->expectException(\InvalidArgumentException::class);
        $this->expectExceptionMessage($why);
        Outline::of($points);
    }

    /** @return iterable<string, array{list<array{float, float}>, string}> */
    public static function broken(): iterable
    {
        yield 'two points' => [[[0.0, 0.0], [1.0, 1.0]], 'at least 3 points'];
        yield 'a line' => [[[0.0, 0.0], [50.0, 0.0], [100.0, 0.0]], 'encloses none'];
        yield 'a bow tie' => [[[0.0, 0.0], [100.0, 100.0], [100.0, 0.0], [0.0, 60.0]], 'does not cross itself'];
        yield 'a spike that goes back on itself' => [
            [[0.0, 0.0], [100.0, 0.0], [100.0, 50.0], [200.0, 50.0], [100.0, 50.0], [0.0, 50.0]],
            'does not cross itself',
        ];
    }

    public function testConvexPartsCoverTheOutlineAndNothingElse(): void
    {
        mt_srand(31);
        for ($i = 0; $i < 200; ++$i) {
            $outline = self::star(mt_rand(3, 14));
            $area = 0.0;
            foreach ($outline->convexParts() as $part) {
                $area += Outline::convex($part)->area();
                foreach ($part as $k => $b) {
                    $a = $part[($k + \count($part) - 1) % \count($part)];
                    $c = $part[($k + 1) % \count($part)];
                    self::assertGreaterThan(
                        -1e-3,
                        ($b[0] - $a[0]) * ($c[1] - $b[1]) - ($b[1] - $a[1]) * ($c[0] - $b[0]),
                        'convex, counter-clockwise',
                    );
                }
            }
            self::assertEqualsWithDelta($outline->area(), $area, 0.01 + $outline->area() * 1e-9);
        }
    }

    public function testWhatIsBlockedAlongTheClothIsExactlyWhereTwoOverlap(): void
    {
        mt_srand(33);
        $convex = new Convex();
        for ($i = 0; $i < 300; ++$i) {
            $fixed = self::star(mt_rand(3, 8))->convexParts()[0];
            $moving = self::star(mt_rand(3, 8))->convexParts()[0];
            $dy = mt_rand(-300, 300) / 1.0;
            $at = static fn (float $x): float => $convex->depth($fixed, Outline::convex($moving)->moved($x, $dy)->points);
            $blocked = $convex->blocked($fixed, $moving, $dy);
            if (null === $blocked) {
                foreach ([-200.0, 0.0, 150.0] as $x) {
                    self::assertLessThan(1e-6, $at($x));
                }
                continue;
            }
            self::assertLessThan(1e-4, $at($blocked[0]), 'free at the one end');
            self::assertLessThan(1e-4, $at($blocked[1]), 'and at the other');
            self::assertGreaterThan(0, $at(($blocked[0] + $blocked[1]) / 2), 'not between');
        }
    }

    public function testWhatIsNotClothOfAnIrregularCut(): void
    {
        $bitten = new Sheet('c', 1000, 2000, Outline::of([[0.0, 0.0], [2000.0, 0.0], [2000.0, 600.0], [1500.0, 1000.0], [0.0, 1000.0]]));
        $area = array_sum(array_map(static fn (array $part): float => Outline::convex($part)->area(), $bitten->missingParts()));
        self::assertEqualsWithDelta((500 * 400) / 2, $area, 0.01);
        self::assertSame([], (new Sheet('c', 1000, 2000))->missingParts());
    }

    /** A simple polygon, concave more often than not. */
    public static function star(int $points): Outline
    {
        $corners = [];
        for ($j = 0; $j < $points; ++$j) {
            $angle = (2 * \M_PI * $j) / $points;
            $reach = mt_rand(25, 100) * 2.0;
            $corners[] = [$reach * cos($angle), $reach * sin($angle)];
        }

        return Outline::of($corners);
    }
}

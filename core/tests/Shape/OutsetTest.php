<?php

declare(strict_types=1);

namespace Octavum\Core\Tests\Shape;

use Octavum\Core\Shape\Outline;
use Octavum\Core\Shape\Outset;
use Octavum\Core\Shape\Pen;
use PHPUnit\Framework\TestCase;

final class OutsetTest extends TestCase
{
    public function testARectangleGrowsOnEverySideButTheFold(): void
    {
        $outset = new Outset();
        self::assertSame(
            [[-10.0, -10.0], [110.0, -10.0], [110.0, 60.0], [-10.0, 60.0]],
            $outset->expand(Outline::rectangle(100, 50), 10)->points,
        );
        $onFold = $outset->expand(Outline::rectangle(100, 50), 10, true);
        self::assertSame([0.0, 60.0, -10.0, 110.0], [$onFold->bottom, $onFold->top, $onFold->left, $onFold->right]);
        self::assertSame(Outline::rectangle(100, 50)->points, $outset->expand(Outline::rectangle(100, 50), 0)->points);
    }

    public function testANarrowNotchCloses(): void
    {
        $notched = Outline::of([[0.0, 0.0], [100.0, 0.0], [100.0, 100.0], [55.0, 100.0], [50.0, 20.0], [45.0, 100.0], [0.0, 100.0]]);
        self::assertEqualsWithDelta(130 * 130, (new Outset())->expand($notched, 15)->area(), 1);
    }

    /** Nowhere is the new edge nearer than the allowance to the old outline, and every shape stays simple. */
    public function testTheAllowanceIsThereAllAround(): void
    {
        mt_srand(11);
        for ($i = 0; $i < 120; ++$i) {
            $count = mt_rand(4, 14);
            $points = [];
            for ($j = 0; $j < $count; ++$j) {
                $reach = mt_rand(20, 200);
                $points[] = [$reach * cos((2 * \M_PI * $j) / $count), $reach * sin((2 * \M_PI * $j) / $count)];
            }
            $outline = Outline::of(0 === $i % 2 ? $points : array_reverse($points));
            $around = (new Outset())->expand($outline, 12);
            self::assertTrue($around->holds($outline), 'shape '.$i);
            foreach ($outline->points as $point) {
                self::assertGreaterThan(12 - 1e-3, $this->distance($point, $around), 'shape '.$i);
            }
        }
    }

    public function testCurvesKeepToTheirCourse(): void
    {
        foreach (
            (new Pen(-100, 0, 0.2))
                ->arc([100, 100], 0, false, true, [100, 0])
                ->arc([100, 100], 0, false, true, [-100, 0])
                ->closed() as $point
        ) {
            self::assertEqualsWithDelta(100, hypot(...$point), 0.05);
        }
        $circle = Outline::of(
            (new Pen(-100, 0, 0.2))
                ->arc([100, 100], 0, false, true, [100, 0])
                ->arc([100, 100], 0, false, true, [-100, 0])
                ->closed(),
        );
        self::assertEqualsWithDelta(\M_PI * 100 * 100, $circle->area(), 2 * \M_PI * 100 * 0.2);
        self::assertCount(2, (new Pen(0, 0))->curve([10, 0], [20, 0], [30, 0])->points, 'a straight curve is a line');
    }

    /** @param array{float, float} $point */
    private function distance(array $point, Outline $outline): float
    {
        $least = \INF;
        foreach ($outline->points as $i => $a) {
            $b = $outline->points[($i + 1) % \count($outline->points)];
            $long = hypot($b[0] - $a[0], $b[1] - $a[1]);
            $along = max(0, min(1, (($point[0] - $a[0]) * ($b[0] - $a[0]) + ($point[1] - $a[1]) * ($b[1] - $a[1])) / $long ** 2));
            $least = min($least, hypot($point[0] - $a[0] - $along * ($b[0] - $a[0]), $point[1] - $a[1] - $along * ($b[1] - $a[1])));
        }

        return $least;
    }
}

<?php

declare(strict_types=1);

namespace Octavum\Core\Tests\Shopping;

use Octavum\Core\Measure\Assumptions;
use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\Percent;
use Octavum\Core\Measure\Working;
use Octavum\Core\Need\Need;
use Octavum\Core\Need\NeedSource;
use Octavum\Core\Shopping\Counter;
use Octavum\Core\Shopping\Curve;
use Octavum\Core\Shopping\CurveStep;
use PHPUnit\Framework\TestCase;

final class CurveTest extends TestCase
{
    /** 1.0 m makes 2 versions, 1.5 m 6, 2.0 m 14, 3.0 m one more: 2.0 m is the length to ask for. */
    public function testTheKneeIsWhereAFurtherLengthMakesLittleMore(): void
    {
        $needs = [...array_fill(0, 2, 940), ...array_fill(0, 4, 1440), ...array_fill(0, 8, 1940), 2940];
        $curve = $this->curve($needs);
        self::assertSame(
            ['1000 2 1800', '1500 6 2700', '2000 14 3600', '3000 15 5400'],
            array_map(
                static fn (CurveStep $step): string => \sprintf('%d %d %d', $step->length->millimetres(), $step->versions, $step->cost),
                $curve->steps,
            ),
        );
        self::assertSame(2000, (int) $curve->knee?->length->millimetres());
    }

    public function testOfOneLengthThatIsTheOneAndOfNoneThereIsNone(): void
    {
        self::assertSame(1000, (int) $this->curve([940])->knee?->length->millimetres());
        self::assertNull($this->curve([])->knee);
        $even = $this->curve([900, 1400, 1900]);
        self::assertSame([1, 2, 3], array_column($even->steps, 'versions'));
        self::assertSame(3, $even->knee?->versions, 'each length makes one more: there is no knee, and all of it is asked for');
        self::assertFalse($even->makesMore());
    }

    public function testTheWashAndTheCounterAreCounted(): void
    {
        // 1.90 m / 0.95 = 2.00 m, and 6 cm of squaring: 2.06 m, which the counter sells as 2.10 m
        $curve = $this->curve([1900], Percent::of(5), null);
        self::assertSame(2100, (int) $curve->knee?->length->millimetres());
        self::assertNull($curve->steps[0]->cost);
    }

    /** @param list<int> $needs mm */
    private function curve(array $needs, ?Percent $shrink = null, ?int $price = 1800): Curve
    {
        return Curve::of(
            array_map(
                static fn (int $need): Need => new Need(Length::ofMillimetres($need), NeedSource::OwnWidth, Working::empty(...)),
                $needs,
            ),
            $shrink ?? Percent::of(0),
            Counter::TenCentimetres,
            new Assumptions(),
            $price,
        );
    }
}

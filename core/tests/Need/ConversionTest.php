<?php

declare(strict_types=1);

namespace Octavum\Core\Tests\Need;

use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\Unit;
use Octavum\Core\Need\Conversion;
use PHPUnit\Framework\TestCase;

/** The trade's chart beyond its printed lines and columns; figures in yards and inches as it has them. */
final class ConversionTest extends TestCase
{
    public function testBetweenLinesItInterpolates(): void
    {
        // 44 in, halfway between 1⅜ and 1⅝, to 41 in: both lines give 1½ and 1¾, so 1⅝
        self::assertSame(1.625, $this->yards('1.5', 44, 41));
    }

    public function testBetweenColumnsItInterpolates(): void
    {
        // 47 in is halfway between 44 (1⅜) and 50 (1¼): 1.3125 there is line 1, which is 1½ at 39
        self::assertEqualsWithDelta(1.5, $this->yards('1.3125', 47, 39), 0.00001);
    }

    public function testBelowTheFirstAndAboveTheLastLineProportionsAreKept(): void
    {
        self::assertEqualsWithDelta(0.875, $this->yards('0.75', 39, 35), 0.00001, 'half of line 1: 1½ → 1¾');
        self::assertEqualsWithDelta(10, $this->yards('8.5', 39, 35), 0.00001, 'twice the last line: 4¼ → 5');
    }

    public function testBeyondTheOuterColumnsTheAreaIsKept(): void
    {
        self::assertEqualsWithDelta(2, ($this->yards('1.75', 35, 30) * 30) / 30.625, 0.00001, '1¾ × 35 / 30 = 2.0417');
        self::assertEqualsWithDelta(58 / 60, $this->yards('1', 58, 60), 0.00001);
    }

    public function testTheSameWidthChangesNothing(): void
    {
        foreach (['0.4', '1.3', '2.75', '5', '7.2'] as $amount) {
            foreach ([30, 36, 45, 54, 58, 65] as $width) {
                self::assertEqualsWithDelta((float) $amount, $this->yards($amount, $width, $width), 0.00002, "$amount yd at $width in");
            }
        }
    }

    public function testMoreGarmentNeverNeedsLess(): void
    {
        mt_srand(8);
        for ($i = 0; $i < 300; ++$i) {
            $from = mt_rand(32, 62);
            $to = mt_rand(30, $from);
            $amount = mt_rand(100, 7000);
            $more = $amount + mt_rand(1, 500);
            $at = static fn (int $millimetres): int => (new Conversion())->convert(
                Length::ofMillimetres($millimetres),
                Length::of((string) $from, Unit::Inch),
                Length::of((string) $to, Unit::Inch),
            )->micrometres;
            self::assertGreaterThanOrEqual($at($amount), $at($more), "$amount → $more mm, $from → $to in");
        }
    }

    private function yards(string $amount, int $from, int $to): float
    {
        return (new Conversion())->convert(
            Length::of($amount, Unit::Yard),
            Length::of((string) $from, Unit::Inch),
            Length::of((string) $to, Unit::Inch),
        )->micrometres / Unit::Yard->value;
    }
}

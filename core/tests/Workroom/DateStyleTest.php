<?php

declare(strict_types=1);

namespace Octavum\Core\Tests\Workroom;

use Octavum\Core\Workroom\DateStyle;
use PHPUnit\Framework\TestCase;

final class DateStyleTest extends TestCase
{
    public function testADayIsWrittenAsOneWritesIt(): void
    {
        $day = new \DateTimeImmutable('2027-03-09');
        self::assertSame(
            ['9 Mar 2027', 'Mar 9, 2027', '2027-03-09'],
            array_map(static fn (DateStyle $style): string => $style->write($day), DateStyle::cases()),
        );
        self::assertSame(
            ['9 Mar', 'Mar 9', '03-09'],
            array_map(static fn (DateStyle $style): string => $style->write($day, year: false), DateStyle::cases()),
        );
        self::assertSame(
            ['9 March 2027', 'March 9, 2027', '2027-03-09'],
            array_map(static fn (DateStyle $style): string => $style->write($day, short: false), DateStyle::cases()),
        );
    }
}

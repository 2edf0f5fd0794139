<?php

declare(strict_types=1);

namespace Octavum\Core\Tests\Workroom;

use Octavum\Core\Measure\Unreadable;
use Octavum\Core\Workroom\DateStyle;
use Octavum\Core\Workroom\DayReader;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class DayReaderTest extends TestCase
{
    /** A Wednesday. */
    private const TODAY = '2026-12-02';

    #[DataProvider('days')]
    public function testReadsADayAsItIsWritten(string $text, string $day, DateStyle $style = DateStyle::DayFirst, bool $past = false): void
    {
        self::assertSame($day, $this->reader($style)->read($text, $past)->format('Y-m-d'));
    }

    /** @return iterable<string, array{0: string, 1: string, 2?: DateStyle, 3?: bool}> */
    public static function days(): iterable
    {
        yield 'as stored' => ['2027-03-01', '2027-03-01'];
        yield 'day and month' => ['3 Mar', '2027-03-03'];
        yield 'the month first' => ['March 3', '2027-03-03'];
        yield 'with the year' => ['3 March 2028', '2028-03-03'];
        yield 'month first with the year' => ['Mar 3, 2028', '2028-03-03'];
        yield 'a short year' => ['3 mar 28', '2028-03-03'];
        yield 'the 3rd' => ['3rd March', '2027-03-03'];
        yield 'without a blank' => ['3mar', '2027-03-03'];
        yield 'with points' => ['3. Sept.', '2027-09-03'];
        yield 'today is still to come' => ['2 Dec', '2026-12-02'];
        yield 'yesterday of next year' => ['1 Dec', '2027-12-01'];
        yield 'the last one past' => ['3 Mar', '2026-03-03', DateStyle::DayFirst, true];
        yield 'past, later in the year' => ['24 Dec', '2025-12-24', DateStyle::DayFirst, true];
        yield 'figures, day first' => ['3/4', '2027-04-03'];
        yield 'figures, month first' => ['3/4', '2027-03-04', DateStyle::MonthFirst];
        yield 'figures that leave no choice' => ['13/4', '2027-04-13', DateStyle::MonthFirst];
        yield 'nor here' => ['4/13', '2027-04-13', DateStyle::YearFirst];
        yield 'the same twice' => ['5.5.', '2027-05-05', DateStyle::YearFirst];
        yield 'points and a short year' => ['3.4.27', '2027-04-03'];
        yield 'a leap day' => ['29 Feb', '2028-02-29'];
        yield 'today' => ['Today', '2026-12-02'];
        yield 'tomorrow' => ['tomorrow', '2026-12-03'];
        yield 'yesterday' => ['yesterday', '2026-12-01', DateStyle::DayFirst, true];
        yield 'a weekday' => ['Sat', '2026-12-05'];
        yield 'the same weekday is a week away' => ['wednesday', '2026-12-09'];
        yield 'the last weekday' => ['sat', '2026-11-28', DateStyle::DayFirst, true];
        yield 'in so many weeks' => ['in 2 weeks', '2026-12-16'];
        yield 'so long ago' => ['3 days ago', '2026-11-29', DateStyle::DayFirst, true];
    }

    #[DataProvider('nonsense')]
    public function testWhatIsNoDayIsAsked(string $text, string $says, DateStyle $style = DateStyle::DayFirst): void
    {
        $this->expectException(Unreadable::class);
        $this->expectExceptionMessage($says);
        $this->reader($style)->read($text);
    }

    /** @return iterable<string, array{0: string, 1: string, 2?: DateStyle}> */
    public static function nonsense(): iterable
    {
        yield 'words' => ['soon', '“soon” is not a day: type it as 1 Mar 2027 or 2027-03-01.'];
        yield 'in the other order' => ['soon', 'type it as Mar 1, 2027', DateStyle::MonthFirst];
        yield 'no such day' => ['31 Feb', '“31 Feb” is not a day'];
        yield 'no such day of a year' => ['29 Feb 2027', 'is not a day'];
        yield 'no such month' => ['2027-13-01', 'is not a day'];
        yield 'two figures, none of which is a month' => ['13/14', 'is not a day'];
        yield 'two days' => ['3/4', '“3/4” may be two days: write the month by its name, such as 3 Apr.', DateStyle::YearFirst];
        yield 'a number' => ['3', 'is not a day'];
        yield 'a word that begins like a month' => ['3 marble', 'is not a day'];
        yield 'zero' => ['0/0/0000', 'is not a day'];
        yield 'a year far off' => ['9999-01-01', 'is not a day'];
        yield 'both ways' => ['in 3 days ago', 'is not a day'];
        yield 'emoji' => ['🧵', 'is not a day'];
    }

    private function reader(DateStyle $style): DayReader
    {
        return new DayReader($style, new \DateTimeImmutable(self::TODAY.' 15:30'));
    }
}

<?php

declare(strict_types=1);

namespace Octavum\Core\Tests\Project;

use Octavum\Core\Project\Season;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Five weeks of seven hours from Monday 1 March 2027, an hour a day; the second and the third are off. */
final class SeasonTest extends TestCase
{
    public function testHoursAreThoseOfTheWeeksInWhichSomebodySews(): void
    {
        self::assertSame(3 * 420, $this->season()->minutes());
        self::assertSame(5 * 420, $this->season([])->minutes());
        self::assertSame(0, $this->season([1, 2, 3, 4, 5])->minutes());
    }

    #[DataProvider('days')]
    public function testWeeksOffArePassedOver(int $minutes, string $day, float $weeks): void
    {
        self::assertSame($day, $this->season()->dayAfter($minutes)->format('Y-m-d'));
        self::assertEqualsWithDelta($weeks, $this->season()->weeksAfter($minutes), 0.001);
    }

    /** @return iterable<string, array{int, string, float}> */
    public static function days(): iterable
    {
        yield 'at once' => [0, '2027-03-01', 0.0];
        yield 'six hours: the seventh day' => [360, '2027-03-07', 6 / 7];
        yield 'a week’s hours: after the two weeks off' => [420, '2027-03-22', 3.0];
        yield 'eight hours' => [480, '2027-03-23', 3 + 1 / 7];
        yield 'two weeks’ hours' => [840, '2027-03-29', 4.0];
        yield 'all of it: the day after the season' => [1260, '2027-04-05', 5.0];
        yield 'more than there is goes on after its end' => [1320, '2027-04-06', 5 + 1 / 7];
    }

    public function testASeasonWithoutHoursEndsBeforeAnythingIsDone(): void
    {
        $season = new Season('s', 'Thaw', new \DateTimeImmutable('2027-03-01'), 5, 0);
        self::assertSame('2027-04-05', $season->dayAfter(60)->format('Y-m-d'));
        self::assertSame(0.0, $season->weeksAfter(60));
    }

    /** @param list<int> $off */
    private function season(array $off = [2, 3]): Season
    {
        return new Season('s', 'Thaw', new \DateTimeImmutable('2027-03-01'), 5, 420, off: $off);
    }
}

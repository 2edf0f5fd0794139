<?php

declare(strict_types=1);

namespace Octavum\Core\Tests\Season;

use Octavum\Core\Measure\Assumptions;
use Octavum\Core\Season\Check\SeasonCheck;
use Octavum\Core\Season\CheckedSeason;
use Octavum\Core\Season\Deadlines;
use Octavum\Core\Season\Due;
use Octavum\Core\Season\Project;
use Octavum\Core\Season\Season;
use PHPUnit\Framework\TestCase;

/** Four weeks of seven hours from Monday 1 March 2027: an hour a day. */
final class DeadlinesTest extends TestCase
{
    public function testTheEarliestFirstMeetsWhatTheRankDoesNot(): void
    {
        // as ranked the dress is done on the 11th, three days late; before the coat on the 6th
        $checked = $this->checked(['Coat' => [5, '03-15'], 'Dress' => [5, '03-08']]);
        self::assertSame([['Dress', '2027-03-06', 0], ['Coat', '2027-03-11', 0]], $this->say($checked));
        self::assertSame('All deadlines can be met: Dress, Coat first, in this order.', $this->words($checked));
    }

    public function testWhatNoOrderMeetsIsLateBySoManyDays(): void
    {
        $checked = $this->checked(['Coat' => [10, '03-08'], 'Dress' => [2, '03-04'], 'Hat' => [1, null]]);
        // two hours to the 3rd, ten more to the 13th
        self::assertSame([['Dress', '2027-03-03', 0], ['Coat', '2027-03-13', 5]], $this->say($checked));
        self::assertStringContainsString('Coat', $this->words($checked));
        self::assertSame(5, (new Deadlines())->says($checked)?->with['days'] ?? null);
    }

    public function testWeeksOffMakeItLate(): void
    {
        $checked = $this->checked(['Coat' => [8, '03-12']], [2]);
        // a day's hour of the third week, since the second is off
        self::assertSame([['Coat', '2027-03-16', 4]], $this->say($checked));
        self::assertSame([['Coat', '2027-03-09', 0]], $this->say($this->checked(['Coat' => [8, '03-12']])));
    }

    public function testNothingIsSaidWhileTheRankMeetsThemAllAndWishesDoNotCount(): void
    {
        self::assertNull((new Deadlines())->says($this->checked(['Dress' => [5, '03-08'], 'Coat' => [5, '03-15']])));
        self::assertNull((new Deadlines())->says($this->checked(['Coat' => [20, '03-02', true]])));
        self::assertSame([], (new Deadlines())->of($this->checked(['Coat' => [20, '03-02', true]])));
        self::assertSame([['Dress', '2027-03-01', 0]], $this->say($this->checked(['Dress' => [null, '03-02']])), 'hours nobody said');
    }

    /**
     * @param array<string, array{0: ?int, 1: ?string, 2?: bool}> $projects hours, deadline, whether it is a wish
     * @param list<int>                                           $off
     */
    private function checked(array $projects, array $off = []): CheckedSeason
    {
        $season = new Season('s', 'Thaw', new \DateTimeImmutable('2027-03-01'), 4, 420, off: $off);
        $all = [];
        foreach ($projects as $name => $one) {
            $all[] = new Project(
                $name,
                $name,
                $season,
                \count($all) + 1,
                minutes: null === $one[0] ? null : 60 * $one[0],
                deadline: null === $one[1] ? null : new \DateTimeImmutable('2027-'.$one[1]),
                soft: $one[2] ?? false,
            );
        }

        return (new SeasonCheck(new Assumptions()))->check($season, $all);
    }

    /** @return list<array{string, string, int}> */
    private function say(CheckedSeason $checked): array
    {
        return array_map(
            static fn (Due $one): array => [$one->project->name, $one->done->format('Y-m-d'), $one->late],
            (new Deadlines())->of($checked),
        );
    }

    private function words(CheckedSeason $checked): string
    {
        return (string) (new Deadlines())->says($checked);
    }
}

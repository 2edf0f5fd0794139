<?php

declare(strict_types=1);

namespace Octavum\Core\Tests\Season;

use Octavum\Core\Measure\Assumptions;
use Octavum\Core\Project\Option;
use Octavum\Core\Project\Project;
use Octavum\Core\Project\ProjectBrief;
use Octavum\Core\Project\ProjectDates;
use Octavum\Core\Project\Season;
use Octavum\Core\Season\Answer\CheckedSeason;
use Octavum\Core\Season\Check\SeasonCheck;
use Octavum\Core\Season\Deadlines;
use Octavum\Core\Season\Due;
use PHPUnit\Framework\TestCase;

/** Four weeks of seven hours from Monday 1 March 2027: an hour a day. */
final class DeadlinesTest extends TestCase
{
    public function testTheEarliestFirstMeetsWhatTheRankDoesNot(): void
    {
        // as ranked the dress is done on the 10th, two days late; before the coat on the 5th
        $checked = $this->checked(['Coat' => [5, '03-15'], 'Dress' => [5, '03-08']]);
        self::assertSame([['Dress', '2027-03-05', 0], ['Coat', '2027-03-10', 0]], $this->say($checked));
        self::assertSame('All deadlines can be met: Dress, Coat first, in this order.', $this->words($checked));
    }

    public function testWhatNoOrderMeetsIsLateBySoManyDays(): void
    {
        $checked = $this->checked(['Coat' => [10, '03-08'], 'Dress' => [2, '03-04'], 'Hat' => [1, null]]);
        // two hours to the 2nd, ten more to the 12th
        self::assertSame([['Dress', '2027-03-02', 0], ['Coat', '2027-03-12', 4]], $this->say($checked));
        self::assertStringContainsString('Coat', $this->words($checked));
        self::assertSame(4, (new Deadlines())->says($checked)?->with['days'] ?? null);
    }

    public function testWeeksOffMakeItLate(): void
    {
        $checked = $this->checked(['Coat' => [8, '03-12']], [2]);
        // a day's hour of the third week, since the second is off
        self::assertSame([['Coat', '2027-03-15', 3]], $this->say($checked));
        self::assertSame([['Coat', '2027-03-08', 0]], $this->say($this->checked(['Coat' => [8, '03-12']])));
    }

    public function testAWeekThatIsExactlyFullIsDoneOnItsLastDay(): void
    {
        self::assertSame([['Coat', '2027-03-07', 0]], $this->say($this->checked(['Coat' => [7, '03-07']], [2])));
        self::assertSame(
            [['Coat', '2027-03-15', 8]],
            $this->say($this->checked(['Coat' => [8, '03-07']], [2])),
            'an hour more waits a week',
        );
    }

    /** The coat is due first and may not be begun before the 8th; the dress is sewn until then. */
    public function testWhatMayNotBeBegunSoonerIsDoneLaterAndOthersGoFirst(): void
    {
        $checked = $this->checked(['Coat' => [3, '03-10', false, '03-08'], 'Dress' => [9, '03-16']]);
        self::assertSame([['Coat', '2027-03-10', 0], ['Dress', '2027-03-12', 0]], $this->say($checked));
        $late = $this->checked(['Coat' => [3, '03-09', false, '03-08']]);
        self::assertSame([['Coat', '2027-03-10', 1]], $this->say($late));
        self::assertSame([420, 600, 600], [$late->projects[0]->turn->from, $late->projects[0]->turn->to, $late->wished + 420]);
    }

    public function testNothingIsSaidWhileTheRankMeetsThemAllAndWishesDoNotCount(): void
    {
        self::assertNull((new Deadlines())->says($this->checked(['Dress' => [5, '03-08'], 'Coat' => [5, '03-15']])));
        self::assertNull((new Deadlines())->says($this->checked(['Coat' => [20, '03-02', true]])));
        self::assertSame([], (new Deadlines())->check($this->checked(['Coat' => [20, '03-02', true]])));
        self::assertSame([['Dress', '2027-03-01', 0]], $this->say($this->checked(['Dress' => [null, '03-02']])), 'hours nobody said');
    }

    /**
     * @param array<string, array{0: ?int, 1: ?string, 2?: bool, 3?: string}> $projects hours, deadline, whether it is a wish, not before
     * @param list<int>                                                       $off
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
                brief: new ProjectBrief(dates: new ProjectDates(
                    deadline: null === $one[1] ? null : new \DateTimeImmutable('2027-'.$one[1]),
                    soft: $one[2] ?? false,
                    notBefore: isset($one[3]) ? new \DateTimeImmutable('2027-'.$one[3]) : null,
                )),
                current: new Option('', minutes: null === $one[0] ? null : 60 * $one[0]),
            );
        }

        return (new SeasonCheck(new Assumptions()))->check($season, $all);
    }

    /** @return list<array{string, string, int}> */
    private function say(CheckedSeason $checked): array
    {
        return array_map(
            static fn (Due $one): array => [$one->project->name, $one->done->format('Y-m-d'), $one->late],
            (new Deadlines())->check($checked),
        );
    }

    private function words(CheckedSeason $checked): string
    {
        return (string) (new Deadlines())->says($checked);
    }
}

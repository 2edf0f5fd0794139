<?php

declare(strict_types=1);

namespace Octavum\Core\Tests\Season\Check;

use Octavum\Core\Measure\Assumptions;
use Octavum\Core\Project\Log\ProjectState;
use Octavum\Core\Project\Option;
use Octavum\Core\Project\Project;
use Octavum\Core\Project\ProjectLog;
use Octavum\Core\Project\Season;
use Octavum\Core\Season\Answer\CheckedSeason;
use Octavum\Core\Season\Answer\ProjectAnswer;
use Octavum\Core\Season\Check\SeasonCheck;
use PHPUnit\Framework\TestCase;

/** Three garments in three weeks from Monday 1 March 2027. */
final class CountedSeasonTest extends TestCase
{
    public function testTheLineFallsAfterTheCountAndEachHasAShareOfTheDays(): void
    {
        $checked = $this->checked(new Season('s', 'March', new \DateTimeImmutable('2027-03-01'), 3, 0, most: 3), 4);
        self::assertSame([false, false, false, true], $this->below($checked));
        $season = $checked->season;
        self::assertSame(
            ['2027-03-08', '2027-03-15', '2027-03-22'],
            array_map(
                static fn (ProjectAnswer $one): string => $season->dayAfter($one->turn->to)->format('Y-m-d'),
                \array_slice($checked->projects, 0, 3),
            ),
        );
    }

    public function testAWeekOffLeavesThreeInTwo(): void
    {
        $season = new Season('s', 'March', new \DateTimeImmutable('2027-03-01'), 3, 0, off: [2], most: 2);
        $checked = $this->checked($season, 3);
        self::assertSame([false, false, true], $this->below($checked));
        self::assertSame('2027-03-15', $season->dayAfter($checked->projects[0]->turn->to)->format('Y-m-d'), 'the week off is passed over');
    }

    public function testWithHoursTooWhicheverEndsFirst(): void
    {
        $hours = static fn (int $most): Season => new Season('s', 'March', new \DateTimeImmutable('2027-03-01'), 3, 120, most: $most);
        // six hours of two each: three by the hours
        self::assertSame([false, false, true, true], $this->below($this->checked($hours(2), 4)));
        self::assertSame([false, false, false, true], $this->below($this->checked($hours(9), 4)));
    }

    public function testIdeasAndWhatRestsTakeNoHoursAndIdeasGetTheirClothLast(): void
    {
        $season = new Season('s', 'March', new \DateTimeImmutable('2027-03-01'), 3, 120);
        $all = [
            new Project('i', 'Idea', $season, 1, log: new ProjectLog(state: ProjectState::Idea), current: new Option('', minutes: 120)),
            new Project(
                'r',
                'Resting',
                $season,
                2,
                log: new ProjectLog(state: ProjectState::Resting),
                current: new Option('', minutes: 120),
            ),
            new Project('p', 'Planned', $season, 3, current: new Option('', minutes: 120)),
        ];
        $checked = (new SeasonCheck(new Assumptions()))->check($season, $all);
        self::assertSame(120, $checked->wished);
        $names = array_map(static fn (ProjectAnswer $one): string => $one->project->name, $checked->projects);
        self::assertSame(['Planned', 'Resting', 'Idea'], $names);
    }

    private function checked(Season $season, int $count): CheckedSeason
    {
        $two = new Option('', minutes: 120);
        $all = array_map(static fn (int $i): Project => new Project('p'.$i, 'P'.$i, $season, $i, current: $two), range(1, $count));

        return (new SeasonCheck(new Assumptions()))->check($season, $all);
    }

    /** @return list<bool> */
    private function below(CheckedSeason $checked): array
    {
        return array_map(static fn (ProjectAnswer $one): bool => $one->turn->below, $checked->projects);
    }
}

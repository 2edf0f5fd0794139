<?php

declare(strict_types=1);

namespace Octavum\Tests\Strip\Season;

use Octavum\Core\Project\Option;
use Octavum\Core\Project\Project;
use Octavum\Core\Project\ProjectBrief;
use Octavum\Core\Project\ProjectDates;
use Octavum\Core\Tests\Season\Plan;
use Octavum\Core\Workroom\Settings;
use Octavum\Strip\Season\SeasonDrawing;
use Octavum\Strip\Season\WeekBar;
use Octavum\Strip\StripBuilder;
use PHPUnit\Framework\TestCase;

final class SeasonDrawingTest extends TestCase
{
    public function testHoursLieOneAfterAnotherOnTheRulerOfWeeks(): void
    {
        // 13 weeks of 4 h on 156 px: 12 px a week, 3 px an hour
        $rows = $this->rows($this->project('A', 1, 4), $this->project('B', 2, 8, '2027-04-05'), $this->project('C', 3, 80));
        self::assertSame(
            [[0.0, 12.0], [12.0, 24.0]],
            array_map(static fn (WeekBar $weeks): array => [$weeks->x, $weeks->width], \array_slice($rows, 0, 2)),
        );
        self::assertSame(156.0, $rows[2]->x + $rows[2]->width, 'what runs on past the season ends with the ruler');
        self::assertSame([null, 60.0], [$rows[0]->deadline, $rows[1]->deadline], 'five weeks after the first day');
    }

    public function testTheChalkLineIsDrawnBeforeTheFirstProjectThatDoesNotFit(): void
    {
        $draw = static fn (Project ...$projects): mixed => (new SeasonDrawing(new StripBuilder()))->page(
            Plan::check(...$projects),
            new Settings(),
        )->chalkLine;
        self::assertSame(2, $draw($this->project('A', 1, 40), $this->project('B', 2, 12), $this->project('C', 3, 1)));
        self::assertNull($draw($this->project('A', 1, 52)), 'exactly the hours there are');
        self::assertSame(0, $draw($this->project('A', 1, 53)));
    }

    public function testWhatBeginsAfterTheSeasonIsStillSeenAtItsEnd(): void
    {
        $rows = $this->rows($this->project('A', 1, 60), $this->project('B', 2, 5, '2020-01-01'));
        self::assertSame(144.0, $rows[1]->x);
        self::assertGreaterThanOrEqual(3, $rows[1]->width);
        self::assertSame(2.0, $rows[1]->deadline, 'a deadline long past stands at the very beginning');
    }

    public function testMonthsAreNamedWhereTheyBegin(): void
    {
        $months = (new SeasonDrawing(new StripBuilder()))->page(Plan::check($this->project('A', 1, 4)), new Settings())->ruler->months();
        self::assertSame([0 => 'Mar', 53 => 'Apr', 105 => 'May'], $months);
    }

    public function testASeasonThatBeginsOnTheLastOfAMonthSkipsNone(): void
    {
        $project = new Project('A', 'A', Plan::season(starts: '2027-01-30'), 1, current: new Option('', minutes: 60));
        $months = (new SeasonDrawing(new StripBuilder()))->page(Plan::check($project), new Settings())->ruler->months();
        self::assertSame(['Feb', 'Mar', 'Apr'], array_values($months));
    }

    /** @return list<WeekBar> */
    private function rows(Project ...$projects): array
    {
        return array_column((new SeasonDrawing(new StripBuilder()))->page(Plan::check(...$projects), new Settings())->rows, 'weeks');
    }

    private function project(string $name, int $rank, int $hours, ?string $deadline = null): Project
    {
        return new Project(
            $name,
            $name,
            Plan::season(),
            $rank,
            brief: new ProjectBrief(dates: new ProjectDates(deadline: null === $deadline ? null : new \DateTimeImmutable($deadline))),
            current: new Option('', minutes: $hours * 60),
        );
    }
}

<?php

declare(strict_types=1);

namespace Octavum\Core\Tests\Project\Time;

use Octavum\Core\Measure\Assumptions;
use Octavum\Core\Project\Option;
use Octavum\Core\Project\Project;
use Octavum\Core\Project\ProjectBrief;
use Octavum\Core\Project\ProjectDates;
use Octavum\Core\Project\Season;
use Octavum\Core\Project\Time\Pace;
use Octavum\Core\Project\Time\Turn;
use Octavum\Core\Season\Answer\OptionAnswer;
use Octavum\Core\Season\Check\SeasonCheck;
use PHPUnit\Framework\TestCase;

/** When projects have their turn, against a day-by-day count over weeks. */
final class TurnTest extends TestCase
{
    private const CASES = 500;

    public function testTheDayOnWhichEachIsDoneAgainstADayByDayCount(): void
    {
        mt_srand(11);
        for ($case = 0; $case < self::CASES; ++$case) {
            $season = $this->season();
            $projects = $this->projects($season);
            $expected = $this->dayByDay($season, $projects);
            foreach (Turn::of($projects, Pace::asSaid()) as $i => $turn) {
                $done = $season->doneOn($turn->to);
                self::assertSame($expected[$i]->format('Y-m-d'), $done->format('Y-m-d'), \sprintf('case %d, project %d', $case, $i));
                $begun = $season->dayAfter($turn->from);
                self::assertFalse(
                    null !== $turn->project->brief->dates->notBefore && $begun < $turn->project->brief->dates->notBefore,
                    'case '.$case,
                );
            }
        }
    }

    public function testAnOptionOfAProjectBelowTheCountLineIsBelowItToo(): void
    {
        $season = new Season('s', 'Thaw', new \DateTimeImmutable('2027-03-01'), 3, 0, most: 2);
        $others = static fn (string $name): array => [new Option('of '.$name)];
        $project = static fn (string $name, int $place): Project => new Project($name, $name, $season, $place, others: $others($name));
        $all = [$project('Top', 1), $project('Skirt', 2), $project('Coat', 3)];
        $check = new SeasonCheck(new Assumptions());
        $below = array_map(
            static fn (Project $one): array => array_map(
                static fn (OptionAnswer $option): bool => $option->answer->turn->below,
                $check->options($one, $all),
            ),
            $all,
        );
        self::assertSame([[false], [false], [true]], $below);
    }

    private function season(): Season
    {
        $weeks = mt_rand(1, 8);
        $off = array_values(array_filter(range(1, $weeks), static fn (): bool => 0 === mt_rand(0, 3)));

        return new Season('s', 'Thaw', new \DateTimeImmutable('2027-03-0'.mt_rand(1, 9)), $weeks, 7 * mt_rand(1, 60), off: $off);
    }

    /** @return list<Project> */
    private function projects(Season $season): array
    {
        return array_map(
            static fn (int $i): Project => new Project(
                'p'.$i,
                'P'.$i,
                $season,
                $i,
                brief: new ProjectBrief(
                    dates: new ProjectDates(notBefore: 0 === mt_rand(0, 2) ? $season->starts->modify('+'.mt_rand(-5, 60).' days') : null),
                ),
                current: new Option('', minutes: mt_rand(1, 2 * max(7, $season->minutesPerWeek))),
            ),
            range(1, mt_rand(1, 6)),
        );
    }

    /**
     * Each day of a week that is sewn has a seventh of its minutes; beyond the season all weeks are.
     *
     * @param list<Project> $projects
     *
     * @return list<\DateTimeImmutable>
     */
    private function dayByDay(Season $season, array $projects): array
    {
        $daily = intdiv($season->minutesPerWeek, 7);
        $day = 0;
        $has = static fn (int $day): int => $day < 7 * $season->weeks && \in_array(intdiv($day, 7) + 1, $season->off, true) ? 0 : $daily;
        $left = $has(0);
        $done = [];
        foreach ($projects as $project) {
            $first = null === $project->brief->dates->notBefore ? 0 : (int) $season->starts->diff(
                $project->brief->dates->notBefore,
            )->format('%r%a');
            if ($first > $day) {
                [$day, $left] = [$first, $has($first)];
            }
            $minutes = $project->current->minutes ?? 0;
            while ($minutes > $left) {
                $minutes -= $left;
                $left = $has(++$day);
            }
            $left -= $minutes;
            $done[] = $season->starts->modify('+'.$day.' days');
        }

        return $done;
    }
}

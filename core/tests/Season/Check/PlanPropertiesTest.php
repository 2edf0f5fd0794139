<?php

declare(strict_types=1);

namespace Octavum\Core\Tests\Season\Check;

use Octavum\Core\Cloth\Cloth;
use Octavum\Core\Measure\Length;
use Octavum\Core\Need\Verdict;
use Octavum\Core\Project\Project;
use Octavum\Core\Project\Season;
use Octavum\Core\Season\Answer\CheckedSeason;
use Octavum\Core\Season\Answer\ProjectAnswer;
use Octavum\Core\Season\Reserve\Reservation;
use Octavum\Core\Tests\Season\Plan;
use PHPUnit\Framework\TestCase;

/** What must hold for any plan, tried on many made at random. */
final class PlanPropertiesTest extends TestCase
{
    public function testACutIsNeverGivenOutTwice(): void
    {
        $this->each(static function (CheckedSeason $season, Cloth $cloth): void {
            $left = Plan::check(...self::projects($season))->projects[0]->roles[0]->toCut->length->micrometres ?? 0;
            foreach ($season->projects as $answer) {
                $need = $answer->roles[0]->amount()->micrometres ?? 0;
                $spare = $answer->roles[0]->spare->micrometres ?? 0;
                self::assertSame($left - $need, $spare, $answer->project->name.' on '.$cloth->name);
                self::assertSame($spare < 0, Verdict::Short === $answer->verdict);
                $left = max(0, $left - $need);
            }
        });
    }

    public function testWhatStandsLaterChangesNothingForWhatStandsBefore(): void
    {
        $this->each(static function (CheckedSeason $season): void {
            $some = \array_slice(self::projects($season), 0, 2);
            $without = Plan::check(...$some);
            foreach ($without->projects as $i => $answer) {
                self::assertEquals($season->projects[$i]->roles[0]->spare, $answer->roles[0]->spare);
            }
        });
    }

    public function testTheOrderOfTheListDoesNotMatterOnlyTheRank(): void
    {
        $this->each(static function (CheckedSeason $season): void {
            $shuffled = self::projects($season);
            shuffle($shuffled);
            $verdicts = static fn (CheckedSeason $checked): array => array_map(
                static fn (ProjectAnswer $answer): array => [
                    $answer->project->name,
                    $answer->verdict,
                    $answer->turn->from,
                    $answer->turn->to,
                ],
                $checked->projects,
            );
            self::assertSame($verdicts($season), $verdicts(Plan::check(...$shuffled)));
        });
    }

    public function testEveryProjectOnAnOverclaimedCutSaysSo(): void
    {
        $this->each(static function (CheckedSeason $season): void {
            $short = array_filter($season->projects, static fn (ProjectAnswer $answer): bool => Verdict::Short === $answer->verdict);
            foreach ($season->projects as $i => $answer) {
                $said = implode(' ', array_map(static fn ($snag): string => (string) $snag->sentence, $answer->snags));
                $behind = array_filter($short, static fn (int $j): bool => $j > $i, \ARRAY_FILTER_USE_KEY);
                if ([] !== $behind && Verdict::Short !== $answer->verdict) {
                    self::assertStringContainsString('is reserved more than once', $said);
                    self::assertStringContainsString(end($behind)->project->name, $said);
                }
                if (Verdict::Short === $answer->verdict && $i > 0) {
                    self::assertStringContainsString($season->projects[0]->project->name, $said, 'names who has it first');
                }
            }
        });
    }

    public function testWhatIsFreeIsNeverBelowNothing(): void
    {
        $promise = static fn (string $length): Reservation => Plan::check(
            Plan::project('A', 1, null, Plan::claim(Plan::cloth('140 cm', '9'), stated: $length)),
        )->projects[0]->roles[0]->promises[0];
        self::assertSame(500_000, Reservation::free(Length::ofMetres('2'), [$promise('1'), $promise('0.5')])?->micrometres);
        self::assertSame(0, Reservation::free(Length::ofMetres('2'), [$promise('1.5'), $promise('1.5')])?->micrometres);
        self::assertNull(Reservation::free(null, [$promise('1')]));
    }

    public function testTheDaysOfASeason(): void
    {
        $season = new Season('s', 'Thaw', new \DateTimeImmutable('2027-03-01'), 13, 240);
        self::assertSame(['2027-05-30', 3120], [$season->ends()->format('Y-m-d'), $season->minutes()]);
        self::assertSame(
            ['2027-03-01', '2027-03-08', '2027-03-11'],
            array_map(static fn (int $minutes): string => $season->dayAfter($minutes)->format('Y-m-d'), [0, 240, 360]),
        );
        self::assertSame(
            '2027-05-31',
            (new Season('s', 'Rest', new \DateTimeImmutable('2027-03-01'), 13, 0))->dayAfter(60)->format('Y-m-d'),
            'without hours nothing is done before the end',
        );
    }

    /** @param \Closure(CheckedSeason, Cloth): void $assert */
    private function each(\Closure $assert): void
    {
        mt_srand(17);
        for ($i = 0; $i < 60; ++$i) {
            $cloth = Plan::cloth('140 cm', mt_rand(30, 600).' cm');
            $projects = [];
            for ($j = 1, $n = mt_rand(3, 6); $j <= $n; ++$j) {
                $projects[] = Plan::project(
                    'Project '.$j,
                    $j,
                    null,
                    Plan::claim($cloth, stated: mt_rand(20, 250).' cm', id: 'claim '.$j),
                    minutes: mt_rand(30, 900),
                );
            }
            $assert(Plan::check(...$projects), $cloth);
        }
    }

    /** @return non-empty-list<Project> */
    private static function projects(CheckedSeason $season): array
    {
        $projects = array_map(static fn (ProjectAnswer $answer): Project => $answer->project, $season->projects);

        return [] === $projects ? self::fail('No projects.') : $projects;
    }
}

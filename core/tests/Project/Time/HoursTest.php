<?php

declare(strict_types=1);

namespace Octavum\Core\Tests\Project\Time;

use Octavum\Core\Measure\Sentence;
use Octavum\Core\Piece\Garment;
use Octavum\Core\Project\Log\ProjectState;
use Octavum\Core\Project\Log\Sewing;
use Octavum\Core\Project\Log\StateChange;
use Octavum\Core\Project\Log\Step;
use Octavum\Core\Project\Log\StepKind;
use Octavum\Core\Project\Log\TimeEntry;
use Octavum\Core\Project\Project;
use Octavum\Core\Project\ProjectLog;
use Octavum\Core\Project\Time\Hours;
use Octavum\Core\Project\Time\Pace;
use Octavum\Core\Tests\Project\Log\Sewn;
use PHPUnit\Framework\TestCase;

final class HoursTest extends TestCase
{
    public function testPreparationAndTryingOnAreAsSaidAndSewingGoesAtOnesPace(): void
    {
        $steps = [
            new Step('trace', 'Trace', StepKind::Trace, 40),
            new Step('cut', 'Cut out', StepKind::CutOut, 40),
            new Step('body', 'Body', StepKind::Sew, 100),
            new Step('fit', 'Try on', StepKind::Fit, 20),
            new Step('hem', 'Hem', StepKind::Finish, 60),
        ];
        // one project at 1.5: 1.125
        $hours = Hours::of(Sewn::project('Dress', $steps), Pace::of([Sewn::done('x', 90)]));
        self::assertSame([80, 20, 160], [$hours->prepared, $hours->tried, $hours->said]);
        // 100 × 1.125 = 112.5 → 113, 60 × 1.125 = 67.5 → 68
        self::assertSame(80 + 20 + 113 + 68, $hours->all);
        self::assertSame($hours->all, $hours->left);
        self::assertSame(
            [
                ['Sewing, as the pattern says', 160],
                ['Your pace', 21],
                ['Paper, wash and cutting out', 80],
                ['Toile and trying on', 20],
                ['In all', 281],
            ],
            array_map(static fn (array $line): array => [explode(', {', $line[0]->message)[0], $line[1]], $hours->working()),
        );
        self::assertContainsOnlyInstancesOf(Sentence::class, array_column($hours->working(), 0));
        self::assertSame(80 + 113, $hours->before(Sewn::project('Dress', $steps), $steps[3]));
    }

    public function testWhatIsDoneIsBehindAndAStepBegunHasItsRestToCome(): void
    {
        $steps = [
            new Step('cut', 'Cut out', StepKind::CutOut, 40, done: Sewn::day('03-02')),
            new Step('body', 'Body', StepKind::Sew, 100),
            new Step('hem', 'Hem', StepKind::Finish, 60),
        ];
        $spent = [
            new TimeEntry(Sewn::day('02-20'), 45, 'cut'),
            new TimeEntry(Sewn::day('03-02'), 30, 'body'),
            new TimeEntry(Sewn::day('03-03'), 10, 'body'),
        ];
        $hours = Hours::of(Sewn::project('Dress', $steps, $spent), Pace::asSaid());
        self::assertSame([200, 60 + 60], [$hours->all, $hours->left]);
        self::assertSame(40, $hours->spent, 'before the season it took nothing of it');
        self::assertSame(160, $hours->ofSeason());
        self::assertSame('body', $hours->next()?->id);
        $long = [...$spent, new TimeEntry(Sewn::day('03-04'), 500, 'body')];
        self::assertSame(60, Hours::of(Sewn::project('Dress', $steps, $long), Pace::asSaid())->left, 'what takes longer leaves nothing');
    }

    public function testTheStateSaysWhatIsBehind(): void
    {
        $pattern = Sewn::pattern(Garment::Skirt, 100);
        $planned = Hours::of(Sewn::project('Skirt', pattern: $pattern), Pace::asSaid());
        self::assertSame(100 + 40 + 40, $planned->left);
        foreach ([ProjectState::Cut, ProjectState::Sewing] as $state) {
            self::assertSame(100, Hours::of(Sewn::project('Skirt', state: $state, pattern: $pattern), Pace::asSaid())->left);
        }
        self::assertSame(0, Hours::of(Sewn::project('Skirt', state: ProjectState::Done, pattern: $pattern), Pace::asSaid())->left);
        $on = new Project(
            'p',
            'P',
            Sewn::project('x')->season,
            1,
            log: new ProjectLog(state: ProjectState::Cut, sewing: new Sewing(
                states: [new StateChange(ProjectState::Cut, Sewn::day('03-05'))],
            )),
        );
        self::assertSame('2027-03-05', Hours::of($on, Pace::asSaid())->steps[0]->done?->format('Y-m-d'));
    }

    public function testNobodyKnowsTheHoursOfWhatNobodySaid(): void
    {
        $hours = Hours::of(Sewn::project('Hat', pattern: Sewn::pattern(Garment::Hat, null)), Pace::asSaid());
        self::assertSame([null, null, null, []], [$hours->all, $hours->left, $hours->ofSeason(), $hours->working()]);
    }
}

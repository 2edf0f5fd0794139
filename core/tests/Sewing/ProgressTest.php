<?php

declare(strict_types=1);

namespace Octavum\Core\Tests\Sewing;

use Octavum\Core\Project\Log\ProjectState;
use Octavum\Core\Project\Log\Step;
use Octavum\Core\Project\Log\StepKind;
use Octavum\Core\Project\Log\TimeEntry;
use Octavum\Core\Project\Log\Timer;
use Octavum\Core\Project\Project;
use Octavum\Core\Sewing\Progress;
use Octavum\Core\Tests\Project\Log\Sewn;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class ProgressTest extends TestCase
{
    public function testATimerIsKeptWithTheProjectAndItsMinutesWithTheStep(): void
    {
        $project = $this->skirt();
        $started = (new Progress($project))->started('body', new \DateTimeImmutable('2027-03-02 19:00:00'));
        self::assertSame('body', $started->timer?->step);
        self::assertSame(25, $started->timer->minutes(new \DateTimeImmutable('2027-03-02 19:24:40')));
        $paused = (new Progress($project->sewn($started)))->paused(25, Sewn::day('03-02'));
        self::assertNull($paused->timer);
        self::assertEquals([new TimeEntry(Sewn::day('03-02'), 25, 'body')], $paused->stretches);
        self::assertSame([], (new Progress($project->sewn($started)))->paused(0, Sewn::day('03-02'))->stretches);
        $earlier = (new Progress($project->sewn($paused)))->spent('', 40, Sewn::day('02-28'));
        self::assertSame([40, 25], array_column($earlier->stretches, 'minutes'), 'by day');
    }

    /** @param ?int $expected minutes of the step */
    #[DataProvider('times')]
    public function testAVeryLongTimeIsAskedFor(int $minutes, ?int $expected, bool $forgotten): void
    {
        self::assertSame($forgotten, Timer::isForgotten($minutes, $expected));
    }

    /** @return iterable<array{int, ?int, bool}> */
    public static function times(): iterable
    {
        yield [90, 5, false];
        yield [91, 5, true];
        yield [91, null, true];
        yield [180, 60, false];
        yield [181, 60, true];
    }

    /** @param list<string> $done steps */
    #[DataProvider('states')]
    public function testTheStateFollowsTheSteps(ProjectState $was, array $done, ?string $running, ProjectState $is): void
    {
        $project = $this->skirt($was);
        $sewing = $project->log->sewing->steps($project->log->sewing->steps);
        foreach ($done as $step) {
            $sewing = (new Progress($project->sewn($sewing)))->done($step, Sewn::day('03-02'));
        }
        $sewing = $sewing->timed(null === $running ? null : new Timer($running, Sewn::day('03-02')));
        self::assertSame($is, (new Progress($project))->state($sewing));
    }

    /** @return iterable<array{ProjectState, list<string>, ?string, ProjectState}> */
    public static function states(): iterable
    {
        yield [ProjectState::Planned, [], null, ProjectState::Planned];
        yield [ProjectState::Planned, ['trace'], null, ProjectState::Planned];
        yield [ProjectState::Resting, [], 'trace', ProjectState::Planned];
        yield [ProjectState::Ready, ['trace', 'cut'], null, ProjectState::Cut];
        yield [ProjectState::Cut, ['trace', 'cut'], 'body', ProjectState::Sewing];
        yield [ProjectState::Cut, ['trace', 'cut', 'body'], null, ProjectState::Finishing];
        yield [ProjectState::Finishing, ['trace', 'cut', 'body', 'hem'], null, ProjectState::Finishing];
        yield [ProjectState::GivenUp, ['trace', 'cut', 'body'], null, ProjectState::GivenUp];
        yield [ProjectState::Done, [], null, ProjectState::Done];
    }

    public function testADoneStepCanBeOpenedAgain(): void
    {
        $project = $this->skirt();
        $done = (new Progress($project))->done('trace', Sewn::day('03-02'));
        self::assertNotNull((new Progress($project->sewn($done)))->step('trace')?->done);
        self::assertNull((new Progress($project->sewn((new Progress($project->sewn($done)))->done('trace', null))))->step('trace')?->done);
        self::assertNull((new Progress($project))->step('no such step'));
    }

    private function skirt(ProjectState $state = ProjectState::Planned): Project
    {
        return Sewn::project('Skirt', [
            new Step('trace', 'Trace', StepKind::Trace, 20),
            new Step('cut', 'Cut out', StepKind::CutOut, 40),
            new Step('body', 'Panels', StepKind::Sew, 60),
            new Step('hem', 'Hem', StepKind::Finish, 30),
        ], state: $state);
    }
}

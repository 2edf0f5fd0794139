<?php

declare(strict_types=1);

namespace Octavum\Core\Tests\Sewing;

use Octavum\Core\Cloth\FibreMix;
use Octavum\Core\Cloth\Knowledge;
use Octavum\Core\Measure\Assumptions;
use Octavum\Core\Notion\NotionKind;
use Octavum\Core\Piece\Garment;
use Octavum\Core\Piece\Role;
use Octavum\Core\Project\Claim;
use Octavum\Core\Project\Log\Finding;
use Octavum\Core\Project\Log\Fitted;
use Octavum\Core\Project\Log\ProjectState;
use Octavum\Core\Project\Log\Sewing;
use Octavum\Core\Project\Log\Step;
use Octavum\Core\Project\Log\StepKind;
use Octavum\Core\Project\Option;
use Octavum\Core\Project\Project;
use Octavum\Core\Project\ProjectLog;
use Octavum\Core\Project\Time\Pace;
use Octavum\Core\Project\Time\Turn;
use Octavum\Core\Project\Wish;
use Octavum\Core\Season\Answer\ProjectAnswer;
use Octavum\Core\Season\Check\SeasonCheck;
use Octavum\Core\Season\Snag\Severity;
use Octavum\Core\Sewing\NextActionFinder;
use Octavum\Core\Sewing\NextKind;
use Octavum\Core\Sewing\PathFinder;
use Octavum\Core\Sewing\PathStop;
use Octavum\Core\Sewing\StepDays;
use Octavum\Core\Tests\Project\Log\Sewn;
use Octavum\Core\Tests\Season\Plan;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Where a project stands between planned and worn, and the one thing that brings it on. */
final class ProjectPathTest extends TestCase
{
    /**
     * @param \Closure(): Project $project
     * @param string              $path    what is behind it, a stroke, what is to come; a snag is marked by its severity
     */
    #[DataProvider('projects')]
    public function testItsStopsAndWhatIsToBeDoneNext(\Closure $project, string $path, ?NextKind $next): void
    {
        $answer = self::answer($project());
        self::assertSame($path, self::say((new PathFinder())->find($answer)));
        self::assertSame($next, (new NextActionFinder())->find($answer)?->kind);
    }

    /** @return iterable<string, array{\Closure(): Project, string, ?NextKind}> */
    public static function projects(): iterable
    {
        $short = static fn (): Project => self::project([Plan::claim(Plan::cloth('1.4', Plan::cut('1', true)))]);
        $unwashed = static fn (): Project => self::project([Plan::claim(Plan::cloth('1.4', Plan::cut('4')))]);
        $fits = static fn (): Project => self::project([Plan::claim(Plan::cloth('1.4', Plan::cut('4', true)))]);
        yield 'short' => [
            $short,
            'planned, washed | enough Short, before cutting, cut out, Body, Hem, worn',
            NextKind::MakeEnough,
        ];
        yield 'enough, and not washed' => [
            $unwashed,
            'planned, enough | washed Note, before cutting, cut out, Body, Hem, worn',
            NextKind::PassGate,
        ];
        yield 'enough and washed' => [
            $fits,
            'planned, enough, washed | before cutting, cut out, Body, Hem, worn',
            NextKind::PassGate,
        ];
        yield 'no cloth' => [
            static fn (): Project => self::project([]),
            'planned | enough NotKnown, before cutting, cut out, Body, Hem, worn',
            NextKind::ChooseCloth,
        ];
        yield 'a role without a cloth' => [
            static fn (): Project => self::project([new Claim('c', Role::Main)]),
            'planned | enough NotKnown, before cutting, cut out, Body, Hem, worn',
            NextKind::ChooseCloth,
        ];
        yield 'its width is not known' => [
            static fn (): Project => self::project([Plan::claim(Plan::cloth(null, Plan::cut('4', true)))]),
            'planned, washed | enough NotKnown, before cutting, cut out, Body, Hem, worn',
            NextKind::ClearSnag,
        ];
        yield 'to be bought' => [
            static fn (): Project => self::project([
                new Claim('c', Role::Main, wish: new Wish(
                    'Drill',
                    FibreMix::of(['cotton' => 100], Knowledge::Label),
                    width: Plan::length('1.4'),
                )),
            ]),
            'planned | enough, before cutting, cut out, Body, Hem, worn',
            NextKind::Buy,
        ];
        yield 'a toile comes before the scissors' => [
            static fn (): Project => self::project(
                [Plan::claim(Plan::cloth('1.4', Plan::cut('4', true)))],
                before: [new Step('toile', 'Sew a toile', StepKind::Toile, 60)],
            ),
            'planned, enough, washed | Sew a toile, before cutting, cut out, Body, Hem, worn',
            NextKind::SewStep,
        ];
        yield 'an idea' => [
            static fn (): Project => self::project([Plan::claim(Plan::cloth('1.4', Plan::cut('4', true)))], ProjectState::Idea),
            'enough, washed | planned, before cutting, cut out, Body, Hem, worn',
            NextKind::PlanIt,
        ];
        yield 'cut, one step done' => [
            static fn (): Project => self::cut(true),
            'planned, enough, washed, before cutting, cut out, Body | Hem, worn',
            NextKind::SewStep,
        ];
        yield 'done, and nothing told' => [
            static fn (): Project => self::cut(true, ProjectState::Done),
            'planned, enough, before cutting, cut out, Body, Hem | worn',
            NextKind::TellFinding,
        ];
        yield 'done and told' => [
            static fn (): Project => self::cut(true, ProjectState::Done, new Finding(Sewn::day('04-01'), Fitted::Well)),
            'planned, enough, before cutting, cut out, Body, Hem | worn',
            null,
        ];
        yield 'given up' => [
            static fn (): Project => self::project([], ProjectState::GivenUp),
            'planned | enough, before cutting, cut out, Body, Hem, worn',
            null,
        ];
    }

    public function testTheGravestOfItsRolesLeadsAndWhatIsCutDoesNot(): void
    {
        $finder = new NextActionFinder();
        $main = Plan::claim(Plan::cloth('1.4', Plan::cut('4', true, 'main')));
        $lining = new Claim('lining', Role::Lining, $cloth = Plan::cloth('1.4', '1', name: 'Lining'), $cloth->cuts[0]);
        self::assertSame('lining', $finder->leading(self::answer(self::project([$main, $lining])))?->claim->id, 'no row says how much');
        $wanted = new Claim('lining', Role::Lining, $cloth, $cloth->cuts[0], stated: Plan::length('0.5'));
        $leading = $finder->leading(self::answer(self::project([$main, $wanted])));
        self::assertSame($main->id, $leading?->claim->id, 'the first of two that fit');
        $cut = new Claim($main->id, $main->role, $main->cloth, $main->cut, cutOut: true);
        $answer = self::answer(self::project([$cut, $wanted]));
        self::assertSame('lining', $finder->leading($answer)?->claim->id);
        self::assertSame(NextKind::PassGate, $finder->find($answer)?->kind);
        self::assertFalse((new PathFinder())->isCut($answer), 'its lining is still whole');
    }

    /** A season of 4 hours a week: 40 minutes are over on the second day, two hours on the fourth. */
    public function testEachStepHasTheDayByWhichItIsDone(): void
    {
        $fits = self::answer(self::project([Plan::claim(Plan::cloth('1.4', Plan::cut('4', true)))]));
        $starts = $fits->project->season->starts;
        $days = array_map(
            static fn (\DateTimeImmutable $day): int => $starts->diff($day)->days,
            (new StepDays())->find($fits),
        );
        self::assertSame(['cut' => 1, 'body' => 2, 'hem' => 3], $days);
        self::assertSame([], (new StepDays())->find(self::answer(self::cut(true, ProjectState::Done))), 'nothing is to come');
    }

    public function testASnagOfANotionStandsAtTheStepThatNeedsIt(): void
    {
        $pattern = Sewn::pattern(Garment::Skirt, 60, ['zip 20 cm']);
        $project = Sewn::project('Skirt', [
            new Step('sew', 'Panels'),
            new Step('zip', 'Set the zip', needs: [NotionKind::Zip]),
        ], pattern: $pattern);
        $zip = array_values(array_filter(
            (new PathFinder())->find(self::answer($project)),
            static fn (PathStop $stop): bool => 'Set the zip' === $stop->name,
        ))[0];
        self::assertSame(Severity::Tight, $zip->severity());
        self::assertSame('Not here, or not enough: zip 20 cm.', (string) $zip->pins[0][1]);
    }

    /** @param list<PathStop> $stops */
    private static function say(array $stops): string
    {
        $name = static fn (PathStop $stop): string => trim(
            ('' === $stop->name ? $stop->stage->value : $stop->name).' '.($stop->severity()->name ?? ''),
        );
        $done = array_filter($stops, static fn (PathStop $stop): bool => $stop->done);
        $open = array_filter($stops, static fn (PathStop $stop): bool => !$stop->done);

        return trim(implode(', ', array_map($name, $done)).' | '.implode(', ', array_map($name, $open)));
    }

    private static function answer(Project $project): ProjectAnswer
    {
        $checked = (new SeasonCheck(new Assumptions(), []))->check($project->season, [$project]);

        return $checked->projects[0] ?? new ProjectAnswer(
            Turn::outside($project, Pace::asSaid()),
            [],
            null,
            [],
        );
    }

    /**
     * @param list<Claim> $claims
     * @param list<Step>  $before
     */
    private static function project(
        array $claims,
        ProjectState $state = ProjectState::Planned,
        array $before = [],
        bool $sewn = false,
        ?Finding $finding = null,
    ): Project {
        $day = Sewn::day('03-02');
        $steps = [
            ...$before,
            new Step('cut', 'Cut out', StepKind::CutOut, 40, done: $sewn ? $day : null),
            new Step('body', 'Body', minutes: 60, done: $sewn ? $day : null),
            new Step('hem', 'Hem', StepKind::Finish, 20),
        ];
        $version = Plan::version(['1.4' => '2']);
        $plan = Plan::project('Coat', 1, $version, new Claim('', Role::Main));

        return new Project(
            'coat',
            'Coat',
            $plan->season,
            1,
            current: new Option('', $plan->current->pattern, $version, '14', minutes: 120, claims: $claims),
            log: new ProjectLog(state: $state, sewing: new Sewing($steps, finding: $finding)),
        );
    }

    private static function cut(bool $sewn, ProjectState $state = ProjectState::Sewing, ?Finding $finding = null): Project
    {
        $cloth = Plan::cloth('1.4', Plan::cut('4', true));
        $claim = new Claim('c', Role::Main, $cloth, $cloth->cuts[0], cutOut: true);

        return self::project([$claim], $state, sewn: $sewn, finding: $finding);
    }
}

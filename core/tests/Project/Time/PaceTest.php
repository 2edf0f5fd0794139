<?php

declare(strict_types=1);

namespace Octavum\Core\Tests\Project\Time;

use Octavum\Core\Project\Log\ProjectState;
use Octavum\Core\Project\Option;
use Octavum\Core\Project\Project;
use Octavum\Core\Project\ProjectLog;
use Octavum\Core\Project\Time\Pace;
use Octavum\Core\Tests\Project\Log\Sewn;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class PaceTest extends TestCase
{
    /** @param list<int> $spent minutes on an hour of sewing, of each project done */
    #[DataProvider('hours')]
    public function testTheMedianIsPulledTowardsOneByThreeImagined(array $spent, int $permille): void
    {
        $projects = array_map(static fn (int $i): Project => Sewn::done('p'.$i, $spent[$i]), array_keys($spent));
        $pace = Pace::of($projects);
        self::assertSame([$permille, \count($spent)], [$pace->permille, $pace->projects]);
    }

    /** @return iterable<string, array{list<int>, int}> by hand */
    public static function hours(): iterable
    {
        yield 'none yet' => [[], 1000];
        yield 'one at 1.5: (1.5 + 3) / 4' => [[90], 1125];
        yield 'two, median 1.25: (2 × 1.25 + 3) / 5' => [[60, 90], 1100];
        yield 'three, median 2: (3 × 2 + 3) / 6' => [[60, 120, 240], 1500];
        yield 'nine at 1.5: (9 × 1.5 + 3) / 12' => [[90, 90, 90, 90, 90, 90, 90, 90, 90], 1375];
        yield 'one very slow of many changes nothing: (5 × 1 + 3) / 8' => [[60, 60, 60, 60, 900], 1000];
    }

    public function testWhatIsNotDoneOrWasTimedInPartOnlyOrSaidByOneselfTellsNothing(): void
    {
        $like = Sewn::done('x', 90);
        $own = new Project(
            'own',
            'Own',
            $like->season,
            1,
            log: new ProjectLog(state: $like->log->state, sewing: $like->log->sewing),
            current: new Option('', minutes: 60),
        );
        $none = [
            Sewn::done('sewing still', 120, state: ProjectState::Sewing),
            Sewn::done('an hour of three timed', 120, cover: 120),
            Sewn::done('no time kept', 0),
            $own,
        ];
        foreach ($none as $project) {
            self::assertSame(0, Pace::of([$project])->projects, $project->name);
        }
        self::assertSame(1, Pace::of([Sewn::done('an hour of two timed', 120, cover: 60)])->projects);
        self::assertSame(30, Pace::asSaid()->applied(30));
        self::assertSame(34, Pace::of([Sewn::done('p', 90)])->applied(30), '30 × 1.125 = 33.75');
    }
}

<?php

declare(strict_types=1);

namespace Octavum\Core\Tests\Season;

use Octavum\Core\Body\Person;
use Octavum\Core\Cloth\Cloth;
use Octavum\Core\Cloth\Purchase;
use Octavum\Core\Match\Criteria\Sewist;
use Octavum\Core\Measure\Assumptions;
use Octavum\Core\Pattern\Pattern;
use Octavum\Core\Pattern\PatternGarment;
use Octavum\Core\Pattern\Technique;
use Octavum\Core\Piece\Role;
use Octavum\Core\Project\Claim;
use Octavum\Core\Project\Copy;
use Octavum\Core\Project\Log\ProjectState;
use Octavum\Core\Project\Option;
use Octavum\Core\Project\Project;
use Octavum\Core\Project\ProjectBrief;
use Octavum\Core\Project\ProjectLog;
use Octavum\Core\Project\Purpose;
use Octavum\Core\Project\Season;
use Octavum\Core\Season\Answer\CheckedSeason;
use Octavum\Core\Season\Check\SeasonCheck;
use Octavum\Core\Season\Hints;
use Octavum\Core\Season\Mix;
use PHPUnit\Framework\TestCase;

final class HintsTest extends TestCase
{
    public function testWhatIsBegunComesBeforeAnythingNew(): void
    {
        $planned = ['log' => new ProjectLog(ProjectState::Planned)];
        $sewing = ['log' => new ProjectLog(ProjectState::Sewing)];
        self::assertSame([], $this->hints($sewing, $planned));
        self::assertSame(['b is begun: before anything new, it is the sooner finished.'], $this->hints($planned, $sewing));
        self::assertSame(
            [],
            $this->hints(['log' => new ProjectLog(ProjectState::Idea)], $sewing, ['log' => new ProjectLog(ProjectState::Resting)]),
        );
    }

    public function testANewTechniqueIsTriedFirstWhereLittleIsAtStake(): void
    {
        $fly = static fn (int $hours, bool $precious): array => [
            'current' => new Option(
                '',
                new Pattern('p', 'P', makes: new PatternGarment(techniques: [Technique::Fly])),
                minutes: 60 * $hours,
                claims: [new Claim('c', Role::Main, new Cloth('x', 'X', purchase: new Purchase(moreToBeHad: !$precious)))],
            ),
        ];
        self::assertSame(['fly is new to you: b before a, where less is at stake.'], $this->hints($fly(4, true), $fly(9, false)));
        self::assertSame(['fly is new to you: b before a, where less is at stake.'], $this->hints($fly(9, false), $fly(4, false)));
        self::assertSame([], $this->hints($fly(4, false), $fly(9, true)));
        self::assertSame([], $this->hints($fly(4, true)));
    }

    public function testAListLongerThanItShallBeIsSaid(): void
    {
        $season = new Season('s', 'Thaw', new \DateTimeImmutable('2027-03-01'), 3, 0, most: 2);
        self::assertSame([], (new Hints(new Sewist()))->find($this->checked($season, [], [])));
        $said = (new Hints(new Sewist()))->find($this->checked($season, [], [], []));
        self::assertSame([3, 2], [$said[0]->with['count'] ?? 0, $said[0]->with['most'] ?? 0]);
    }

    public function testTheMixCountsWhatForAndForWhom(): void
    {
        $mix = Mix::of($this->checked(
            Plan::season(),
            [
                'brief' => new ProjectBrief(new Person('p', 'Suvi'), Purpose::Joy),
                'current' => new Option('', copies: [new Copy(new Person('e', 'Emeka'))]),
            ],
            ['brief' => new ProjectBrief(new Person('p', 'Suvi'), Purpose::Practical)],
            ['log' => new ProjectLog(ProjectState::Idea), 'brief' => new ProjectBrief(purpose: Purpose::Joy)],
            [],
        ));
        self::assertSame(['practical' => 1, 'just for joy' => 1, '' => 1], $mix->purposes);
        self::assertSame(['Suvi' => 2, 'Emeka' => 1, '' => 1], $mix->people);
        self::assertTrue($mix->isSaid());
        self::assertFalse(Mix::of($this->checked(Plan::season(), []))->isSaid());
    }

    /**
     * @param array<string, mixed> ...$projects
     *
     * @return list<string>
     */
    private function hints(array ...$projects): array
    {
        $hints = (new Hints(new Sewist(learns: [Technique::Fly])))->find($this->checked(Plan::season(), ...$projects));

        return array_map(strval(...), $hints);
    }

    /** @param array<string, mixed> ...$projects what is said of each, in rank order; they are called a, b, c */
    private function checked(Season $season, array ...$projects): CheckedSeason
    {
        $all = [];
        foreach (array_values($projects) as $i => $said) {
            // @phpstan-ignore argument.type
            $all[] = new Project(...['id' => 'p'.$i, 'name' => \chr(97 + $i), 'season' => $season, 'rank' => $i + 1] + $said);
        }

        return (new SeasonCheck(new Assumptions()))->check($season, $all);
    }
}

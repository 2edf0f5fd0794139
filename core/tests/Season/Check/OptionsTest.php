<?php

declare(strict_types=1);

namespace Octavum\Core\Tests\Season\Check;

use Octavum\Core\Cloth\Cloth;
use Octavum\Core\Cloth\FibreMix;
use Octavum\Core\Measure\Assumptions;
use Octavum\Core\Need\Verdict;
use Octavum\Core\Piece\Role;
use Octavum\Core\Project\Claim;
use Octavum\Core\Project\Log\ProjectState;
use Octavum\Core\Project\Option;
use Octavum\Core\Project\Project;
use Octavum\Core\Project\ProjectLog;
use Octavum\Core\Project\Wish;
use Octavum\Core\Season\Check\SeasonCheck;
use Octavum\Core\Season\Reserve\Collision;
use Octavum\Core\Season\Reserve\Reservation;
use Octavum\Core\Tests\Season\Plan;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class OptionsTest extends TestCase
{
    /**
     * Lawn gives 2.94 m usable and tweed 1.94 m. Ash takes 1.50 m and Birch 1.40 m of the lawn, Cedar 1.00 m of the tweed, and might
     * take 1.00 m of the lawn: 3.90 m of 2.94 m, so whoever comes last on it is 0.96 m short.
     *
     * @param list<string> $collisions
     */
    #[DataProvider('orders')]
    public function testTakingAnOptionSaysWhomItLeavesShortInEveryOrder(string $order, array $collisions): void
    {
        $projects = $this->projects($order);
        $answers = (new SeasonCheck(new Assumptions()))->options($projects['Cedar'], array_values($projects));
        self::assertCount(1, $answers);
        self::assertSame($collisions, array_map($this->says(...), $answers[0]->collisions));
    }

    /** @return iterable<string, array{string, list<string>}> */
    public static function orders(): iterable
    {
        yield 'last' => ['Ash Birch Cedar', ['Ash first 0.96', 'Birch first 0.96']];
        yield 'last, the others turned' => ['Birch Ash Cedar', ['Birch first 0.96', 'Ash first 0.96']];
        yield 'between' => ['Ash Cedar Birch', ['Birch behind 0.96']];
        yield 'between, the others turned' => ['Birch Cedar Ash', ['Ash behind 0.96']];
        yield 'first' => ['Cedar Ash Birch', ['Birch behind 0.96']];
        yield 'first, the others turned' => ['Cedar Birch Ash', ['Ash behind 0.96']];
    }

    #[DataProvider('orders')]
    public function testAPerhapsCountsInNoSum(string $order): void
    {
        $with = $this->projects($order);
        $without = $this->projects($order, options: []);
        $check = new SeasonCheck(new Assumptions());
        $promises = $check->promises(array_values($with));
        $perhaps = $check->perhaps(array_values($with));
        self::assertSame([2.9, 1.0], [$this->metres($promises, 'cut of Lawn'), $this->metres($promises, 'cut of Tweed')]);
        self::assertSame([1.0, 0.0], [$this->metres($perhaps, 'cut of Lawn'), $this->metres($perhaps, 'cut of Tweed')]);
        $season = $with['Ash']->season;
        foreach ($check->check($season, array_values($with))->projects as $i => $answer) {
            $plain = $check->check($season, array_values($without))->projects[$i];
            self::assertEquals($plain->roles[0]->spare, $answer->roles[0]->spare);
            self::assertEquals($plain->snags, $answer->snags, $answer->project->name);
        }
    }

    #[DataProvider('orders')]
    public function testAnOptionComesToWhatThePlanWouldSayIfItLed(string $order): void
    {
        $projects = $this->projects($order);
        $check = new SeasonCheck(new Assumptions());
        [$option] = $check->options($projects['Cedar'], array_values($projects));
        $taken = ['Cedar' => $projects['Cedar']->made($option->option)] + $projects;
        $fresh = $check->check($projects['Cedar']->season, array_values($taken));
        foreach ($fresh->projects as $answer) {
            if ('Cedar' === $answer->project->name) {
                self::assertEquals($answer->roles, $option->answer->roles);
                self::assertSame($answer->verdict, $option->answer->verdict);
                self::assertSame([$answer->turn->from, $answer->turn->to], [$option->answer->turn->from, $option->answer->turn->to]);
            }
        }
    }

    public function testAnOptionFromTheSameCutTakesThePlaceOfTheLead(): void
    {
        $lawn = $this->lawn();
        $longer = new Option('longer', claims: [$this->claim($lawn, '2.5', 'longer')]);
        $project = $this->project('Ash', 1, $this->claim($lawn, '1.5', 'ash'), [$longer]);
        [$answer] = (new SeasonCheck(new Assumptions()))->options($project, [$project]);
        self::assertSame(Verdict::Fits, $answer->answer->verdict, '2.50 of 2.94 m, not 4.00 m');
        self::assertSame([], $answer->collisions);
        self::assertCount(1, $answer->answer->roles[0]->promises);
    }

    public function testWhatIsLetGoOrFinishedTakesNothing(): void
    {
        $lawn = $this->lawn();
        $past = new Option('past', claims: [$this->claim($lawn, '2.5', 'past')], past: true);
        $open = new Option('open', claims: [$this->claim($lawn, '2.5', 'open')]);
        $check = new SeasonCheck(new Assumptions());
        $project = $this->project('Ash', 1, $this->claim($lawn, '1.5', 'ash'), [$past]);
        self::assertSame([], $check->options($project, [$project]));
        self::assertSame([], $check->perhaps([$project]));
        self::assertSame([$past], $project->pastOptions());
        $finished = $this->project('Ash', 1, $this->claim($lawn, '1.5', 'ash'), [$open], ProjectState::Done);
        self::assertSame([], $check->options($finished, [$finished]));
        self::assertSame([], $check->perhaps([$finished]));
    }

    public function testAnOptionWithoutALengthIsNotKnownAndCollidesWithNobody(): void
    {
        $lawn = Plan::cloth('150 cm', Plan::cut(null, id: 'cut of Lawn'), name: 'Lawn');
        $option = new Option('option', claims: [$this->claim($lawn, null, 'option')]);
        $tweed = Plan::cloth('150 cm', Plan::cut('2.0', washed: true, id: 'cut of Tweed'), name: 'Tweed');
        $projects = [
            $this->project('Ash', 1, $this->claim($lawn, '1.5', 'ash')),
            $this->project('Cedar', 2, $this->claim($tweed, '1.0', 'cedar'), [$option]),
        ];
        [$answer] = (new SeasonCheck(new Assumptions()))->options($projects[1], $projects);
        self::assertSame(Verdict::NotKnown, $answer->answer->verdict);
        self::assertSame([], $answer->collisions);
    }

    public function testWhatLeadsAndWhatIsMadeOfItAreTheSame(): void
    {
        $option = new Option('b', size: '16', when: 'the toile fails', claims: [$this->claim($this->lawn(), '1.0', 'b')]);
        $project = $this->project('Ash', 1, $this->claim($this->lawn(), '1.5', 'a'), [$option]);
        self::assertEquals($project, $project->made($project->current));
        $made = $project->made($option);
        self::assertEquals($option, $made->current);
        self::assertSame([$project->id, $project->name, $project->rank], [$made->id, $made->name, $made->rank]);
    }

    /** @param list<Claim> $claims */
    #[DataProvider('names')]
    public function testWhatAnOptionIsCalled(?string $version, ?string $size, ?string $to, array $claims, string $called): void
    {
        $option = new Option('o', null, null === $version ? null : Plan::version([], name: $version), $size, $to, claims: $claims);
        self::assertSame($called, (string) $option->sentence());
    }

    /** @return iterable<string, array{?string, ?string, ?string, list<Claim>, string}> */
    public static function names(): iterable
    {
        $cut = new Claim('a', Role::Main, $cloth = Plan::cloth('150 cm', '2'), $cloth->cuts[0]);
        $wish = new Claim('b', Role::Lining, wish: new Wish('Viscose lining', FibreMix::unknown()));
        $open = new Claim('c', Role::Main);
        yield 'all of it' => ['A', '14', null, [$cut, $wish], 'A, size 14, from Heron lawn'];
        yield 'graded' => ['A', '14', '16', [$cut], 'A, size 14 to 16, from Heron lawn'];
        yield 'no size' => ['A', null, null, [$cut], 'A, from Heron lawn'];
        yield 'no cloth' => ['A', '14', null, [], 'A, size 14'];
        yield 'the first that is chosen' => ['A', '14', null, [$open, $wish], 'A, size 14, from Viscose lining'];
        yield 'nothing' => [null, null, null, [$open], 'no pattern yet'];
        yield 'no pattern, but a size' => [null, '14', null, [], 'no pattern yet'];
    }

    /** @param array<string, list<Reservation>> $promises */
    private function metres(array $promises, string $cut): float
    {
        return Reservation::total($promises[$cut] ?? [])->millimetres() / 1000;
    }

    private function says(Collision $collision): string
    {
        return \sprintf('%s %s %.2f', $collision->with->name, $collision->first ? 'first' : 'behind', $collision->by->millimetres() / 1000);
    }

    /**
     * @param ?list<Option> $options of Cedar
     *
     * @return array<string, Project> by name
     */
    private function projects(string $order, ?array $options = null): array
    {
        $lawn = $this->lawn();
        $tweed = Plan::cloth('150 cm', Plan::cut('2.0', washed: true, id: 'cut of Tweed'), name: 'Tweed');
        $claims = [
            'Ash' => $this->claim($lawn, '1.5', 'ash'),
            'Birch' => $this->claim($lawn, '1.4', 'birch'),
            'Cedar' => $this->claim($tweed, '1.0', 'cedar'),
        ];
        $projects = [];
        foreach (explode(' ', $order) as $i => $name) {
            $others = 'Cedar' === $name ? $options ?? [new Option('lawn', claims: [$this->claim($lawn, '1.0', 'perhaps')])] : [];
            $projects[$name] = $this->project($name, $i + 1, $claims[$name], $others);
        }

        return $projects;
    }

    private function lawn(): Cloth
    {
        return Plan::cloth('150 cm', Plan::cut('3.0', washed: true, id: 'cut of Lawn'), name: 'Lawn');
    }

    private function claim(Cloth $cloth, ?string $length, string $id): Claim
    {
        return Plan::claim($cloth, stated: $length, id: $id);
    }

    /** @param list<Option> $options */
    private function project(
        string $name,
        int $rank,
        Claim $claim,
        array $options = [],
        ProjectState $state = ProjectState::Planned,
    ): Project {
        return new Project(
            'project '.$name,
            $name,
            Plan::season(),
            $rank,
            log: new ProjectLog(state: $state),
            current: new Option('', minutes: 300, claims: [$claim]),
            others: $options,
        );
    }
}

<?php

declare(strict_types=1);

namespace Octavum\Core\Tests\Sewing;

use Octavum\Core\Cloth\CareLabel;
use Octavum\Core\Cloth\Cloth;
use Octavum\Core\Cloth\Cut;
use Octavum\Core\Cloth\CutState;
use Octavum\Core\Cloth\LedgerEntry;
use Octavum\Core\Cloth\LedgerKind;
use Octavum\Core\Cloth\Material;
use Octavum\Core\Cloth\Weight;
use Octavum\Core\Measure\Assumptions;
use Octavum\Core\Notion\Notion;
use Octavum\Core\Notion\NotionKind;
use Octavum\Core\Pattern\Pattern;
use Octavum\Core\Piece\Garment;
use Octavum\Core\Piece\Role;
use Octavum\Core\Project\Claim;
use Octavum\Core\Project\Log\Sewing;
use Octavum\Core\Project\Log\Step;
use Octavum\Core\Project\Log\StepKind;
use Octavum\Core\Project\Log\TimeEntry;
use Octavum\Core\Project\Option;
use Octavum\Core\Project\Project;
use Octavum\Core\Project\ProjectLog;
use Octavum\Core\Season\Answer\ProjectAnswer;
use Octavum\Core\Season\Check\SeasonCheck;
use Octavum\Core\Sewing\Doable;
use Octavum\Core\Sewing\Session;
use Octavum\Core\Sewing\Sessions;
use Octavum\Core\Sewing\Waiting;
use Octavum\Core\Sewing\WhatFits;
use Octavum\Core\Tests\Project\Log\Sewn;
use Octavum\Core\Tests\Season\Plan;
use PHPUnit\Framework\TestCase;

final class WhatFitsTest extends TestCase
{
    public function testOnlyTheNextStepOfEachIsOfferedAndOnlyWhenItIsDoneInTime(): void
    {
        $fits = new WhatFits($this->answers(
            $this->sewing('Overshirt', [['Cuffs', 28], ['Hem', 25]], [new TimeEntry(Sewn::day('03-01'), 10, 'Cuffs')]),
            $this->sewing('Top', [['Neckband', 15], ['Hem', 5]]),
            $this->sewing('Coat', [['Lining', 120]]),
            $this->sewing('Hat', [['Brim', null]]),
        ));
        self::assertSame(['Neckband 15'], $this->say($fits->within(15)));
        self::assertSame(['Cuffs 18', 'Neckband 15'], $this->say($fits->within(30)), 'ten of its minutes are behind it');
        self::assertSame(['Cuffs 18', 'Lining 120', 'Brim ?'], $this->say($fits->longer(15)));
        self::assertSame(['Hem', 'Hem', null, null], array_map(
            static fn (Doable $one): ?string => $one->then?->name,
            $fits->longer(-1),
        ));
        self::assertSame([], $fits->waiting);
    }

    public function testWhatWaitsForSomebodyOrANotionIsNotOfferedAndSaysWhy(): void
    {
        $pattern = Sewn::pattern(Garment::Skirt, 60, ['zip 20 cm']);
        $zip = $this->project('Skirt', [new Step('zip', 'Zip', StepKind::Sew, 10, [NotionKind::Zip])], pattern: $pattern);
        $waiting = $this->project('Top', [new Step('hem', 'Hem', StepKind::Finish, 10, waits: 'Suvi tries it on')]);
        $other = [new Notion('n', NotionKind::Button, null, 3)];
        $fits = new WhatFits($this->answersWith($other, $zip, $waiting));
        self::assertSame([], $fits->within(1000));
        self::assertSame(
            ['Not here, or not enough: zip 20 cm.', 'Suvi tries it on'],
            array_map(static fn (Waiting $one): string => (string) $one->why, $fits->waiting),
        );
        $here = [new Notion('n', NotionKind::Zip, Plan::length('0.2'), 1)];
        self::assertSame(['Zip 10'], $this->say((new WhatFits($this->answersWith($here, $zip, $waiting)))->within(30)));
    }

    public function testNothingIsCutFromClothThatIsOrderedShortOrUnwashed(): void
    {
        $cut = static fn (Claim $claim, string $name, string $asks = '1'): Project => new Project(
            $name,
            $name,
            Plan::season(),
            1,
            log: new ProjectLog(sewing: new Sewing([
                new Step('wash', 'Wash', StepKind::Wash, 10),
                new Step('cut', 'Cut out', StepKind::CutOut, 40, cloths: [Role::Main]),
            ])),
            current: new Option(
                '',
                Sewn::pattern(Garment::Skirt, 60),
                Plan::version(['1.4' => $asks]),
                '14',
                claims: [$claim],
            ),
        );
        $bought = [new LedgerEntry(Sewn::day('01-01'), LedgerKind::Bought, Plan::length('3'))];
        $late = new Cut('late', $bought, state: CutState::Ordered, expected: Sewn::day('04-01'));
        $ordered = Plan::cloth('1.4', $late, name: 'Late lawn');
        $fits = new WhatFits($this->answers($cut(Plan::claim($ordered), 'Late')));
        self::assertSame([], $fits->within(1000));
        self::assertSame('Late lawn comes about 2027-04-01.', (string) $fits->waiting[0]->why);
        // the wash comes first, though it is no step that others wait behind
        $washed = $cut(Plan::claim(Plan::cloth('1.4', '3')), 'Here');
        self::assertSame(['Wash 10'], $this->say((new WhatFits($this->answers($washed)))->within(1000)));
        $done = $washed->sewn(
            $washed->log->sewing->steps([$washed->log->sewing->steps[0]->doneOn(Sewn::day('03-01')), $washed->log->sewing->steps[1]]),
        );
        self::assertSame(['Cut out 40'], $this->say((new WhatFits($this->answers($done)))->within(40)));
        $short = $cut(Plan::claim(Plan::cloth('1.4', '1')), 'Short', '2');
        $short = $short->sewn($short->log->sewing->steps([$short->log->sewing->steps[1]]));
        self::assertSame(
            ['Heron lawn is too short for it: make it enough first.'],
            array_map(static fn (Waiting $one): string => (string) $one->why, (new WhatFits($this->answers($short)))->waiting),
        );
    }

    public function testStepsOfOneKindMakeASession(): void
    {
        $sessions = (new Sessions())->group($this->answers(
            $this->project('Skirt', [new Step('t', 'Trace', StepKind::Trace, 20)]),
            $this->project('Coat', [new Step('t', 'Trace the pieces', StepKind::Trace, 45)]),
            $this->project('Top', [new Step('h', 'Hem', StepKind::Finish, 10)]),
            $this->project('Tee', [new Step('h', 'Hem', StepKind::Finish, 15)]),
            $this->project('Hat', [new Step('b', 'Brim', StepKind::Sew, 15)]),
        ));
        self::assertSame(
            [['Trace', 65, 'Skirt Coat'], ['Hem', 25, 'Top Tee']],
            array_map(static fn (Session $one): array => [
                (string) $one->title,
                $one->minutes,
                implode(' ', array_map(static fn (Doable $doable): string => $doable->answer->project->name, $one->steps)),
            ], $sessions),
        );
    }

    public function testClothsGoIntoOneDrumByTheirHeatAndAreWeighedWhereAllIsKnown(): void
    {
        $cloth = static fn (string $name, CareLabel $care, ?int $grams): Cloth => new Cloth(
            $name,
            $name,
            Plan::cloth('1.4', '2')->width,
            material: new Material(weight: null === $grams ? null : Weight::ofGrams($grams), care: $care),
            cuts: [Plan::cut('2', id: $name)],
        );
        $all = [
            $cloth('Lawn', CareLabel::Machine40, 100),
            $cloth('Drill', CareLabel::Machine40, 250),
            $cloth('Tweed', CareLabel::DryClean, 300),
            $cloth('Silk', CareLabel::Hand, 60),
        ];
        $sessions = (new Sessions())->group($this->answers(...array_map(
            static fn (Cloth $one): Project => Plan::project($one->name, 1, null, Plan::claim($one)),
            $all,
        )));
        self::assertCount(1, $sessions, 'one alone is no session, and what is dry cleaned goes into no drum');
        // 2 m × 1.4 m × 100 and 250 g
        self::assertSame(['Lawn, Drill', 980], [$sessions[0]->detail, $sessions[0]->grams]);
        self::assertSame('Wash: machine wash at 40 °C', (string) $sessions[0]->title);
    }

    /**
     * @param list<array{string, ?int}> $steps
     * @param list<TimeEntry>           $spent
     */
    private function sewing(string $name, array $steps, array $spent = []): Project
    {
        $named = array_map(static fn (array $one): Step => new Step($one[0], $one[0], StepKind::Sew, $one[1]), $steps);

        return $this->project($name, $named, $spent);
    }

    /**
     * @param list<Step>      $steps
     * @param list<TimeEntry> $spent
     */
    private function project(string $name, array $steps, array $spent = [], ?Pattern $pattern = null): Project
    {
        return Sewn::project($name, $steps, $spent, pattern: $pattern);
    }

    /** @return list<ProjectAnswer> */
    private function answers(Project ...$projects): array
    {
        return $this->answersWith([], ...$projects);
    }

    /**
     * @param list<Notion> $notions
     *
     * @return list<ProjectAnswer>
     */
    private function answersWith(array $notions, Project ...$projects): array
    {
        return (new SeasonCheck(new Assumptions(), $notions))->check($projects[0]->season, array_values($projects))->projects;
    }

    /**
     * @param list<Doable> $all
     *
     * @return list<string>
     */
    private function say(array $all): array
    {
        return array_map(static fn (Doable $one): string => $one->step->name.' '.($one->minutes ?? '?'), $all);
    }
}

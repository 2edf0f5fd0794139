<?php

declare(strict_types=1);

namespace Octavum\Core\Tests\Season\Snag;

use Octavum\Core\Cloth\Cut;
use Octavum\Core\Cloth\CutState;
use Octavum\Core\Cloth\LedgerEntry;
use Octavum\Core\Cloth\LedgerKind;
use Octavum\Core\Measure\Assumptions;
use Octavum\Core\Measure\Length;
use Octavum\Core\Notion\Notion;
use Octavum\Core\Notion\NotionKind;
use Octavum\Core\Pattern\RequirementTable;
use Octavum\Core\Pattern\Version;
use Octavum\Core\Piece\Role;
use Octavum\Core\Project\Claim;
use Octavum\Core\Project\Log\ProjectState;
use Octavum\Core\Project\Log\Sewing;
use Octavum\Core\Project\Log\Step;
use Octavum\Core\Project\Log\StepKind;
use Octavum\Core\Project\Option;
use Octavum\Core\Project\Project;
use Octavum\Core\Project\ProjectLog;
use Octavum\Core\Project\Season;
use Octavum\Core\Season\Check\SeasonCheck;
use Octavum\Core\Season\Snag\Snag;
use Octavum\Core\Sewing\WhatWaits;
use Octavum\Core\Tests\Season\Plan;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * Four weeks of seven hours from Monday 1 March 2027, an hour a day: trace for two hours, cut out on the 3rd for one, sew for
 * four, and the waistband on the 8th.
 */
final class ParcelTest extends TestCase
{
    #[DataProvider('parcels')]
    public function testAParcelIsLateForTheStepThatNeedsItAndNotForAnother(Role $role, string $comes, ?int $late, string $step = ''): void
    {
        $snags = $this->late($role, $comes);
        $days = array_map(static fn (Snag $one): mixed => $one->sentence->with['days'] ?? null, $snags);
        self::assertSame(null === $late ? [] : [$late], $days);
        if (null !== $late) {
            self::assertSame($step, $snags[0]->sentence->with['step'] ?? '');
        }
    }

    /** @return iterable<string, array{0: Role, 1: string, 2: ?int, 3?: string}> */
    public static function parcels(): iterable
    {
        yield 'the cloth on the day it is cut' => [Role::Main, '03-03', null];
        yield 'the cloth a day after' => [Role::Main, '03-04', 1, 'Cut out'];
        yield 'the waistband’s ribbing long after the scissors, in time' => [Role::Ribbing, '03-08', null];
        yield 'the ribbing two days late' => [Role::Ribbing, '03-10', 2, 'Waistband'];
        yield 'a lining that no step names waits for the scissors' => [Role::Lining, '03-07', 4, 'Cut out'];
    }

    #[DataProvider('orders')]
    public function testANotionThatIsOrderedIsLateForTheStepThatNeedsIt(string $line, string $comes, ?int $late): void
    {
        $expected = new \DateTimeImmutable('2027-'.$comes);
        $tins = [
            new Notion('e', NotionKind::Elastic, Length::ofMillimetres(30), length: Plan::length('2'), expected: $expected),
            new Notion('t', NotionKind::Thread, count: 3, expected: $expected),
        ];
        $season = $this->season();
        $version = new Version('v', 'A', new RequirementTable(['14'], []), [$line]);
        $project = new Project(
            'p',
            'Joggers',
            $season,
            1,
            log: new ProjectLog(sewing: $this->steps()),
            current: new Option('', version: $version),
        );
        $answer = (new SeasonCheck(new Assumptions(), $tins))->check($season, [$project])->projects[0];
        $snags = $this->timed($answer->snags);
        self::assertSame(null === $late ? [] : [$late], array_map(
            static fn (Snag $one): mixed => $one->sentence->with['days'] ?? null,
            $snags,
        ));
        $waits = (new WhatWaits())->notion($answer, $answer->hours->steps[3]);
        self::assertSame(str_contains($line, 'elastic'), null !== $waits, 'the waistband waits for it until it is here');
    }

    /** @return iterable<string, array{string, string, ?int}> */
    public static function orders(): iterable
    {
        yield 'elastic on the day of the waistband' => ['1 m elastic 30 mm', '03-08', null];
        yield 'elastic three days after' => ['1 m elastic 30 mm', '03-11', 3];
        yield 'thread, which no step names, on the day it is first sewn' => ['1 thread', '03-04', null];
        yield 'thread a day after' => ['1 thread', '03-05', 1];
    }

    public function testWhatRestsOrIsCutAlreadyWaitsForNoParcel(): void
    {
        self::assertSame([], $this->late(Role::Main, '03-20', ProjectState::Resting));
        self::assertSame([], $this->late(Role::Main, '03-20', cutOut: true));
        self::assertCount(1, $this->late(Role::Main, '03-20'));
    }

    /** @return list<Snag> */
    private function late(Role $role, string $comes, ProjectState $state = ProjectState::Planned, bool $cutOut = false): array
    {
        $bought = [new LedgerEntry(new \DateTimeImmutable('2027-02-01'), LedgerKind::Bought, Plan::length('3'))];
        $cut = new Cut('cut', $bought, state: CutState::Ordered, expected: new \DateTimeImmutable('2027-'.$comes));
        $season = $this->season();
        $project = new Project(
            'p',
            'Joggers',
            $season,
            1,
            log: new ProjectLog(state: $state, sewing: $this->steps()),
            current: new Option(
                '',
                claims: [new Claim('c', $role, Plan::cloth('1.4', $cut), $cut, cutOut: $cutOut)],
            ),
        );

        return $this->timed((new SeasonCheck(new Assumptions()))->check($season, [$project])->projects[0]->snags);
    }

    private function season(): Season
    {
        return new Season('s', 'Thaw', new \DateTimeImmutable('2027-03-01'), 4, 420);
    }

    private function steps(): Sewing
    {
        return new Sewing([
            new Step('trace', 'Trace', StepKind::Trace, 120),
            new Step('cut', 'Cut out', StepKind::CutOut, 60, cloths: [Role::Main]),
            new Step('sew', 'Legs', StepKind::Sew, 240),
            new Step('waist', 'Waistband', StepKind::Sew, 60, needs: [NotionKind::Elastic], cloths: [Role::Ribbing]),
        ]);
    }

    /**
     * @param list<Snag> $snags
     *
     * @return list<Snag> those of what comes too late
     */
    private function timed(array $snags): array
    {
        return array_values(array_filter($snags, static fn (Snag $one): bool => isset($one->sentence->with['wanted'])));
    }
}

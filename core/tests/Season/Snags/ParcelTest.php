<?php

declare(strict_types=1);

namespace Octavum\Core\Tests\Season\Snags;

use Octavum\Core\Cloth\Cut;
use Octavum\Core\Cloth\CutState;
use Octavum\Core\Cloth\LedgerEntry;
use Octavum\Core\Cloth\LedgerKind;
use Octavum\Core\Measure\Assumptions;
use Octavum\Core\Piece\Role;
use Octavum\Core\Season\Check\SeasonCheck;
use Octavum\Core\Season\Claim;
use Octavum\Core\Season\Project;
use Octavum\Core\Season\ProjectState;
use Octavum\Core\Season\Season;
use Octavum\Core\Season\Sewing\Sewing;
use Octavum\Core\Season\Sewing\Step;
use Octavum\Core\Season\Sewing\StepKind;
use Octavum\Core\Season\Snag;
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
        $season = new Season('s', 'Thaw', new \DateTimeImmutable('2027-03-01'), 4, 420);
        $project = new Project(
            'p',
            'Joggers',
            $season,
            1,
            state: $state,
            claims: [new Claim('c', $role, Plan::cloth('1.4', $cut), $cut, cutOut: $cutOut)],
            sewing: new Sewing([
                new Step('trace', 'Trace', StepKind::Trace, 120),
                new Step('cut', 'Cut out', StepKind::CutOut, 60, cloths: [Role::Main]),
                new Step('sew', 'Legs', StepKind::Sew, 240),
                new Step('waist', 'Waistband', StepKind::Sew, 60, cloths: [Role::Ribbing]),
            ]),
        );
        $snags = (new SeasonCheck(new Assumptions()))->check($season, [$project])->projects[0]->snags;

        return array_values(array_filter($snags, static fn (Snag $one): bool => isset($one->sentence->with['wanted'])));
    }
}

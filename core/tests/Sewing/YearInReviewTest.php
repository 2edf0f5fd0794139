<?php

declare(strict_types=1);

namespace Octavum\Core\Tests\Sewing;

use Octavum\Core\Cloth\Cloth;
use Octavum\Core\Cloth\Cut;
use Octavum\Core\Cloth\LedgerEntry;
use Octavum\Core\Cloth\LedgerKind;
use Octavum\Core\Cloth\Purchase;
use Octavum\Core\Piece\Role;
use Octavum\Core\Project\Claim;
use Octavum\Core\Project\Copy;
use Octavum\Core\Project\Log\ProjectState;
use Octavum\Core\Project\Log\Sewing;
use Octavum\Core\Project\Log\StateChange;
use Octavum\Core\Project\Log\TimeEntry;
use Octavum\Core\Project\Option;
use Octavum\Core\Project\Project;
use Octavum\Core\Project\ProjectLog;
use Octavum\Core\Project\Season;
use Octavum\Core\Sewing\Costed;
use Octavum\Core\Sewing\EnvelopeFactor;
use Octavum\Core\Sewing\Month;
use Octavum\Core\Sewing\Review;
use Octavum\Core\Sewing\SeasonTold;
use Octavum\Core\Sewing\YearInReview;
use Octavum\Core\Tests\Project\Log\Sewn;
use Octavum\Core\Tests\Season\Plan;
use PHPUnit\Framework\TestCase;

/** A lawn of 12.00 a metre: 3 m bought in February, 1.2 m cut off in March, half a metre given away in April. */
final class YearInReviewTest extends TestCase
{
    public function testWhatWasSewnInHowManyHoursAndWhatItCost(): void
    {
        $review = $this->review();
        self::assertSame(['Dress', 'Top'], array_map(static fn (Costed $one): string => $one->project->name, $review->sewn));
        // 1.2 m at 12.00; of the top nobody kept how much was used
        self::assertSame([1440, null], array_map(static fn (Costed $one): ?int => $one->cost, $review->sewn));
        self::assertSame(1440, $review->averageCost());
        self::assertSame(90 + 30, $review->minutes(), 'the hour of the year before is not of it');
        self::assertSame([3 => 90, 4 => 30], $this->byMonth($review, static fn (Month $month): int => $month->minutes));
        self::assertSame([3 => 1, 5 => 1], $this->byMonth($review, static fn (Month $month): int => $month->made));
    }

    public function testClothInAndOutByTheLedgers(): void
    {
        $review = $this->review();
        $metres = static fn (int $micrometres): float => $micrometres / 1e6;
        self::assertSame([2 => 3.0], $this->byMonth($review, static fn (Month $m): float => $metres($m->in->micrometres)));
        self::assertSame(
            [3 => 1.2, 4 => 0.5, 5 => 1.3],
            $this->byMonth($review, static fn (Month $m): float => $metres($m->out->micrometres)),
            'washing is no way out; what is spoilt without a figure is all there was',
        );
        self::assertSame([3.0, 3.0], [$metres($review->in()->micrometres), $metres($review->out()->micrometres)]);
    }

    public function testWhatNeverGotMadeAndWhy(): void
    {
        $review = $this->review();
        self::assertSame(
            [['Jacket', 'too warm by now']],
            array_map(static fn (array $one): array => [$one['project']->name, $one['why']], $review->given),
        );
        self::assertSame(['Coat'], array_column($review->not, 'name'));
        self::assertSame([], $this->review('2027-03-02')->not, 'the season is not over yet');
        self::assertSame(
            [['Thaw', 4, 2, 120 + 60]],
            array_map(
                static fn (SeasonTold $told): array => [$told->season->name, $told->planned, $told->sewn, $told->spent],
                $review->seasons,
            ),
        );
    }

    public function testYearsOfWhichThereIsSomethingToSay(): void
    {
        self::assertSame([2027, 2026], (new YearInReview())->years($this->projects()));
        self::assertFalse((new YearInReview())->review(2020, $this->projects(), [], Sewn::day('12-31'))->hasAnything());
    }

    public function testTheEnvelopesFactorIsTheMedianOfUsedOverAsked(): void
    {
        self::assertNull(EnvelopeFactor::of([]));
        // 0.8, 0.6 and 1.1
        $factor = EnvelopeFactor::of([[1600, 2000], [1200, 2000], [2200, 2000]]);
        self::assertSame([80, 3], [$factor?->percent, $factor?->cuts]);
        self::assertSame(70, EnvelopeFactor::of([[1600, 2000], [1200, 2000]])?->percent);
    }

    public function testWhatWasFirstMeasuredAfterItsWashCameInAtThat(): void
    {
        $entry = static fn (LedgerKind $kind, ?string $length): LedgerEntry => new LedgerEntry(
            Sewn::day('02-01'),
            $kind,
            null === $length ? null : Plan::length($length),
        );
        $in = static fn (LedgerEntry ...$ledger): float => (float) (new YearInReview())
            ->review(2027, [], [new Cloth('c', 'C', cuts: [new Cut('cut', array_values($ledger))])], new \DateTimeImmutable('2027-12-31'))
            ->in()
            ->millimetres();
        self::assertSame(2500.0, $in($entry(LedgerKind::Bought, null), $entry(LedgerKind::Washed, '2.5')));
        self::assertSame(3000.0, $in($entry(LedgerKind::Bought, '3'), $entry(LedgerKind::Washed, '2.9')), 'and only once');
        self::assertSame(
            1000.0,
            $in($entry(LedgerKind::Bought, null), $entry(LedgerKind::Cut, '1')),
            'at least what is left of it came in',
        );
    }

    public function testWhatWasCutIntoWithoutAFigureWentOnThatDayOnceItIsMeasured(): void
    {
        $out = $this->out([['02-01', LedgerKind::Bought, '3'], ['03-05', LedgerKind::Cut, null], ['05-02', LedgerKind::Measured, '1.2']]);
        self::assertSame([3 => 1.8], $out);
        self::assertSame([], $this->out([['02-01', LedgerKind::Bought, '3'], ['03-05', LedgerKind::Cut, null]]), 'not known yet');
    }

    public function testASheetTakenApartComesInOnceAndNothingGoesOut(): void
    {
        $on = Sewn::day('02-01');
        $sheet = new Cut('s', [
            new LedgerEntry($on, LedgerKind::Bought, Plan::length('2.4')),
            new LedgerEntry($on, LedgerKind::TakenApart),
        ]);
        $apart = new LedgerEntry($on, LedgerKind::Remnant, Plan::length('1.2'), 'taken apart');
        $half = static fn (string $id): Cut => new Cut($id, [$apart]);
        $review = (new YearInReview())->review(2027, [], [new Cloth('c', 'C', cuts: [$sheet, $half('a'), $half('b')])], $on);
        self::assertSame([2400, 0], [$review->in()->millimetres(), $review->out()->millimetres()]);
    }

    public function testSeveralSewnAtOnceCostTheClothOfAllOfThem(): void
    {
        $lawn = $this->lawn();
        $used = static fn (string $metres): Claim => new Claim(
            'c'.$metres,
            Role::Main,
            $lawn,
            $lawn->cuts[0],
            cutOut: true,
            used: Plan::length($metres),
        );
        $sewing = new Sewing(states: [new StateChange(ProjectState::Done, Sewn::day('03-20'))]);
        $season = new Season('thaw', 'Thaw', Sewn::day('02-01'), 13, 240);
        $two = new Project(
            'two',
            'Tops',
            $season,
            1,
            log: new ProjectLog(state: ProjectState::Done, sewing: $sewing),
            current: new Option('', claims: [$used('1.25')], copies: [new Copy(claims: [$used('1.75')])]),
        );
        $review = (new YearInReview())->review(2027, [$two], [$lawn], Sewn::day('12-31'));
        self::assertSame(3600, $review->sewn[0]->cost, '1.25 m and 1.75 m at 12.00');
    }

    /**
     * @param list<array{string, LedgerKind, ?string}> $ledger day, kind and what was left
     *
     * @return array<int, float> metres that went, by month
     */
    private function out(array $ledger): array
    {
        $entries = array_map(
            static fn (array $one): LedgerEntry => new LedgerEntry(
                Sewn::day($one[0]),
                $one[1],
                null === $one[2] ? null : Plan::length($one[2]),
            ),
            $ledger,
        );
        $review = (new YearInReview())->review(2027, [], [new Cloth('c', 'C', cuts: [new Cut('cut', $entries)])], Sewn::day('12-31'));

        return $this->byMonth($review, static fn (Month $month): float => $month->out->micrometres / 1e6);
    }

    private function review(string $today = '2027-12-31'): Review
    {
        return (new YearInReview())->review(2027, $this->projects(), [$this->lawn()], new \DateTimeImmutable($today));
    }

    private function lawn(): Cloth
    {
        $entry = static fn (string $day, LedgerKind $kind, ?string $left): LedgerEntry => new LedgerEntry(
            Sewn::day($day),
            $kind,
            null === $left ? null : Plan::length($left),
        );

        return new Cloth(
            'lawn',
            'Lawn',
            purchase: new Purchase(pricePerMetre: 1200),
            cuts: [
                new Cut('cut', [
                    $entry('02-01', LedgerKind::Bought, '3'),
                    $entry('03-05', LedgerKind::Cut, '1.8'),
                    $entry('04-02', LedgerKind::GivenAway, '1.3'),
                    $entry('04-20', LedgerKind::Washed, '1.3'),
                    $entry('05-02', LedgerKind::Spoilt, null),
                ]),
            ],
        );
    }

    /** @return list<Project> */
    private function projects(): array
    {
        $season = new Season('thaw', 'Thaw', Sewn::day('02-01'), 13, 240);
        $lawn = $this->lawn();
        $used = new Claim('c', Role::Main, $lawn, $lawn->cuts[0], cutOut: true, used: Plan::length('1.2'));
        $unknown = new Claim('c', Role::Main, $lawn, $lawn->cuts[0], cutOut: true);
        $in = static fn (ProjectState $state, string $on, string $why = ''): array => [new StateChange($state, Sewn::day($on), $why)];

        return [
            new Project(
                't',
                'Top',
                $season,
                2,
                log: new ProjectLog(state: ProjectState::Done, sewing: new Sewing(
                    stretches: [new TimeEntry(new \DateTimeImmutable('2026-12-30'), 60), new TimeEntry(Sewn::day('04-03'), 30)],
                    states: $in(ProjectState::Done, '05-02'),
                )),
                current: new Option('', claims: [$unknown]),
            ),
            new Project(
                'd',
                'Dress',
                $season,
                1,
                log: new ProjectLog(
                    state: ProjectState::Done,
                    sewing: new Sewing(stretches: [new TimeEntry(Sewn::day('03-03'), 90)], states: $in(ProjectState::Done, '03-20')),
                ),
                current: new Option('', claims: [$used]),
            ),
            new Project(
                'j',
                'Jacket',
                $season,
                3,
                log: new ProjectLog(
                    state: ProjectState::GivenUp,
                    sewing: new Sewing(states: $in(ProjectState::GivenUp, '04-01', 'too warm by now')),
                ),
            ),
            new Project('c', 'Coat', $season, 4),
            new Project('s', 'Someday', Season::none(), 1),
        ];
    }

    /**
     * @template T of int|float
     *
     * @param \Closure(Month): T $of
     *
     * @return array<int, T> those of more than nought
     */
    private function byMonth(Review $review, \Closure $of): array
    {
        $all = array_combine(range(1, 12), array_map($of, $review->months));

        return array_filter($all, static fn (int|float $one): bool => $one > 0);
    }
}

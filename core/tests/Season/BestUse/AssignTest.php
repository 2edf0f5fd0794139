<?php

declare(strict_types=1);

namespace Octavum\Core\Tests\Season\BestUse;

use Octavum\Core\Season\BestUse\Assign;
use Octavum\Core\Season\BestUse\Choice;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

final class AssignTest extends TestCase
{
    /** Two that each fit a cut need not both fit it: the second goes elsewhere, though the first would like it better there. */
    public function testWhoCanGoElsewhereGives(): void
    {
        $free = ['long' => 2_600_000, 'short' => 1_300_000];
        $found = (new Assign())->assign([
            [new Choice(null, 'long', 1_200_000, 5), new Choice(null, 'short', 1_200_000, 3)],
            [new Choice(null, 'long', 2_500_000, 4)],
        ], $free);
        self::assertSame(['short', 'long'], $this->cuts($found->choices));
        self::assertTrue($found->exact);
    }

    public function testTheHigherRankHasItWhereOnlyOneCan(): void
    {
        $found = (new Assign())->assign([
            [new Choice(null, 'a', 1_000_000)],
            [new Choice(null, 'a', 1_000_000, 9)],
        ], ['a' => 1_500_000]);
        self::assertSame(['a', null], $this->cuts($found->choices));
    }

    public function testTheFirstIsNeverLeftOutForOthersHoweverMany(): void
    {
        $found = (new Assign())->assign([
            [new Choice(null, 'a', 2_000_000)],
            [new Choice(null, 'a', 1_000_000)],
            [new Choice(null, 'a', 1_000_000)],
        ], ['a' => 2_000_000]);
        self::assertSame(['a', null, null], $this->cuts($found->choices));
    }

    public function testNothingIsBoughtThatLiesInTheStashNorChangedWithoutNeed(): void
    {
        $found = (new Assign())->assign([
            [new Choice(null, null, 0, 9), new Choice(null, 'a', 1_000_000, -5)],
            [new Choice(null, 'b', 1_000_000, 3), new Choice(null, 'c', 1_000_000, 3, true)],
        ], ['a' => 1_000_000, 'b' => 1_000_000, 'c' => 1_000_000]);
        self::assertSame(['a', 'c'], $this->cuts($found->choices));
    }

    public function testOfTwoAlikeTheOneThatLeavesNoUselessEndIsTaken(): void
    {
        $found = (new Assign())->assign(
            [[new Choice(null, 'a', 1_000_000), new Choice(null, 'b', 1_000_000)]],
            ['a' => 1_300_000, 'b' => 1_500_000],
        );
        self::assertSame(['b'], $this->cuts($found->choices), '50 cm are of use, 30 are not');
    }

    /** Against the cost of every assignment there is, on 200 small seasons by chance. */
    public function testNothingIsBetterThanWhatIsFound(): void
    {
        $random = new Randomizer(new Mt19937(12));
        for ($case = 0; $case < 200; ++$case) {
            $free = [];
            for ($c = 0; $c < $random->getInt(2, 4); ++$c) {
                $free['c'.$c] = 1000 * $random->getInt(500, 3500);
            }
            $choices = [];
            for ($p = 0; $p < $random->getInt(2, 6); ++$p) {
                $all = 0 === $random->getInt(0, 4) ? [new Choice(null, null, 0, $random->getInt(-4, 8))] : [];
                foreach (array_keys($free) as $cut) {
                    if ($random->getInt(0, 2) > 0) {
                        [$need, $points] = [1000 * $random->getInt(400, 2200), $random->getInt(-4, 8)];
                        $all[] = new Choice(null, $cut, $need, $points, 1 === $random->getInt(0, 4));
                    }
                }
                $choices[] = $all;
            }
            $assign = new Assign();
            $found = $assign->assign($choices, $free);
            self::assertTrue($found->exact);
            self::assertSame($found->cost, $assign->cost($found->choices, $free));
            self::assertSame($this->least($assign, $choices, $free, []), $found->cost, 'case '.$case);
        }
    }

    /**
     * @param list<list<Choice>> $choices
     * @param array<string, int> $free
     * @param list<?Choice>      $chosen
     *
     * @return array{int, int}
     */
    private function least(Assign $assign, array $choices, array $free, array $chosen): array
    {
        if (\count($chosen) === \count($choices)) {
            $left = $free;
            foreach ($chosen as $choice) {
                if (null !== $choice?->cut) {
                    $left[$choice->cut] -= $choice->need;
                }
            }

            return min([0, ...$left]) < 0 ? [\PHP_INT_MAX, 0] : $assign->cost($chosen, $free);
        }

        return min(array_map(
            fn (?Choice $choice): array => $this->least($assign, $choices, $free, [...$chosen, $choice]),
            [null, ...$choices[\count($chosen)]],
        ));
    }

    /** All that could still be better is a shorter end: ties of forty projects on sixty cuts would be searched for hours. */
    public function testTheSearchStopsWhenOnlyUselessEndsAreLeft(): void
    {
        $random = new Randomizer(new Mt19937(3));
        $free = $choices = [];
        for ($c = 0; $c < 60; ++$c) {
            $free['c'.$c] = 1000 * $random->getInt(1000, 1300);
        }
        for ($p = 0; $p < 40; ++$p) {
            $choices[] = array_map(
                static fn (): Choice => new Choice(null, 'c'.$random->getInt(0, 59), 1000 * $random->getInt(700, 990), 4),
                range(1, 7),
            );
        }
        $assign = new Assign();
        $found = $assign->assign($choices, $free);
        self::assertFalse($found->exact);
        self::assertTrue($found->isSettled);
        self::assertSame($found->bound[0], $found->cost[0], 'all have cloth');
        self::assertSame($found->cost, $assign->cost($found->choices, $free));
    }

    public function testProjectsThatShareNoCutAreDecidedApart(): void
    {
        $choices = $free = [];
        for ($p = 0; $p < 40; ++$p) {
            $choices[] = [new Choice(null, 'a'.$p, 900_000, 3), new Choice(null, 'b'.$p, 900_000, 3)];
            $free += ['a'.$p => 1_200_000, 'b'.$p => 900_000];
        }
        $found = (new Assign())->assign($choices, $free);
        self::assertTrue($found->exact, 'two to the power of forty ways');
        self::assertSame(array_map(static fn (int $p): string => 'b'.$p, range(0, 39)), $this->cuts($found->choices));
    }

    public function testATwelfthProjectAndThirtyCutsAreDecidedExactly(): void
    {
        $random = new Randomizer(new Mt19937(5));
        $free = [];
        for ($c = 0; $c < 30; ++$c) {
            $free['c'.$c] = 1000 * $random->getInt(600, 3000);
        }
        $choices = [];
        for ($p = 0; $p < 12; ++$p) {
            $choices[] = array_map(
                static fn (): Choice => new Choice(
                    null,
                    'c'.$random->getInt(0, 7),
                    1000 * $random->getInt(700, 2400),
                    $random->getInt(0, 6),
                ),
                range(1, 6),
            );
        }
        self::assertTrue((new Assign())->assign($choices, $free)->exact);
    }

    /**
     * @param list<?Choice> $choices
     *
     * @return list<?string>
     */
    private function cuts(array $choices): array
    {
        return array_map(static fn (?Choice $choice): ?string => $choice?->cut, $choices);
    }
}

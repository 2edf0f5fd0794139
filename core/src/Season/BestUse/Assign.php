<?php

declare(strict_types=1);

namespace Octavum\Core\Season\BestUse;

/**
 * Gives the cuts of a stash to the projects of a season together: whatever comes first in the list has cloth that is enough before
 * all that follow, so that the first is never left out for others; then as little as can be is bought, as little as can be is
 * changed, what suits better is taken, and no useless end is left. Source: docs/rules.md.
 *
 * Projects that no cut ties together are decided apart; of each such group, by branch and bound in rank order (A. H. Land,
 * A. G. Doig, 1960). The bound of what is still to be decided is the sum of each project's cheapest choice, as if it had the stash
 * for itself; the end that is left of a cut counts as soon as nobody after it could take it. Cost: exponential in the number of
 * projects of a group at worst; the search of a group stops after a number of steps and says by how much it may be off.
 */
final class Assign
{
    /** Of so many projects each outweighs all that follow it; what comes after them counts alike. */
    private const RANKED = 62;

    /** What weighs how much among those that are served alike; each outweighs the sum of all that follow it. */
    private const NONE = 4_000_000_000_000_000;
    private const BUY = 20_000_000_000;

    /** A cloth that was chosen is kept but for a reason: a change outweighs all that speaks for another cloth. */
    private const CHANGE = 100_000_000;
    private const POINT = 1_000_000;

    /** Points are counted from here down, so that no choice costs less than nothing. */
    private const MOST_POINTS = 40;

    /** An end shorter than this is useless, mm. A starting value of the house. */
    private const USEFUL = 400;

    private const STEPS = 150_000;

    /** Where nothing but shorter useless ends is left to find. */
    private const STEPS_FOR_ENDS = 10_000;

    /** @var list<list<Choice>> */
    private array $choices = [];

    /** @var array<string, int> micrometres left, by cut */
    private array $left = [];

    /** @var array<string, int> how many have some of it, by cut */
    private array $used = [];

    /** @var array<int, list<string>> the cuts that nobody after a project could take */
    private array $last = [];

    /** @var list<int> the projects that are decided together */
    private array $group = [];

    /** @var array<int, array{int, int}> the least that all of the group from a place in it on can cost */
    private array $rest = [];

    /** @var array<int, ?Choice> by project */
    private array $now = [];

    /** @var array<int, ?Choice> by project */
    private array $best = [];

    /** @var array{int, int} a bit for each that is left out, the first in the list the highest; and what else weighs */
    private array $cost = [0, 0];
    private int $steps = 0;

    /** Steps for the group. */
    private int $most = self::STEPS;

    /**
     * @param list<list<Choice>> $choices of each project, in rank order
     * @param array<string, int> $free    micrometres of each cut
     */
    public function assign(array $choices, array $free): Assigned
    {
        $this->choices = array_map(function (array $all) use ($free): array {
            $possible = array_filter($all, static fn (Choice $one): bool => null === $one->cut || $one->need <= ($free[$one->cut] ?? 0));
            usort($possible, fn (Choice $a, Choice $b): int => $this->price($a) <=> $this->price($b));

            return $possible;
        }, $choices);
        [$this->left, $this->used] = [$free, []];
        $chosen = [];
        $cost = $bound = [0, 0];
        $exact = true;
        foreach ($this->groups() as $group) {
            $least = $this->decide($group);
            $chosen += $this->best;
            $cost = self::sum($cost, $this->cost);
            $bound = self::sum($bound, $this->steps <= $this->most ? $this->cost : $least);
            $exact = $exact && $this->steps <= $this->most;
        }
        ksort($chosen);

        return new Assigned(
            array_values($chosen),
            $cost,
            $bound,
            $exact,
            // the ends of all cuts together weigh less than a point
            isSettled: self::sum($bound, [0, self::POINT]) > $cost,
        );
    }

    /** @return list<list<int>> the projects that could take of one cut, or of cuts another of them could take of, in rank order */
    private function groups(): array
    {
        $of = array_keys($this->choices);
        $takers = [];
        $this->last = [];
        foreach ($this->choices as $i => $all) {
            foreach ($all as $choice) {
                if (null !== $choice->cut) {
                    $takers[$choice->cut][$i] = $i;
                }
            }
        }
        foreach ($takers as $cut => $projects) {
            $this->last[max($projects)][] = $cut;
            $same = array_map(static fn (int $i): int => $of[$i], $projects);
            $of = array_map(static fn (int $one): int => \in_array($one, $same, true) ? min($same) : $one, $of);
        }
        $groups = [];
        foreach ($of as $i => $first) {
            $groups[$first][] = $i;
        }

        return array_values($groups);
    }

    /**
     * @param list<int> $group
     *
     * @return array{int, int} the least it could cost
     */
    private function decide(array $group): array
    {
        $this->group = $group;
        $this->rest = [\count($group) => [0, 0]];
        for ($at = \count($group) - 1; $at >= 0; --$at) {
            $choice = $this->choices[$group[$at]][0] ?? null;
            $own = null === $choice ? self::none($group[$at], \count($this->choices)) : [0, $this->price($choice)];
            $this->rest[$at] = self::sum($this->rest[$at + 1], $own);
        }
        [$this->cost, $this->best, $this->now] = [[\PHP_INT_MAX, 0], [], []];
        [$this->steps, $this->most] = [0, self::STEPS];
        $this->branch(0, [0, 0]);

        return $this->rest[0];
    }

    /**
     * What an assignment costs.
     *
     * @param list<?Choice>      $chosen of each project, in rank order
     * @param array<string, int> $free
     *
     * @return array{int, int}
     */
    public function cost(array $chosen, array $free): array
    {
        $cost = [0, 0];
        $used = [];
        foreach ($chosen as $i => $choice) {
            $cost = self::sum($cost, null === $choice ? self::none($i, \count($chosen)) : [0, $this->price($choice)]);
            if (null !== $choice?->cut) {
                $used[$choice->cut] = ($used[$choice->cut] ?? 0) + $choice->need;
            }
        }
        foreach ($used as $cut => $need) {
            $cost[1] += self::waste($free[$cut] - $need);
        }

        return $cost;
    }

    /**
     * @param int             $at   place in the group
     * @param array{int, int} $cost of those before it
     */
    private function branch(int $at, array $cost): void
    {
        if (++$this->steps > $this->most && [] !== $this->best) {
            return;
        }
        if ($at === \count($this->group)) {
            [$this->cost, $this->best] = [$cost, $this->now];
            $this->most = self::sum($this->rest[0], [0, self::POINT]) > $cost ? self::STEPS_FOR_ENDS : self::STEPS;

            return;
        }
        $i = $this->group[$at];
        foreach ([...$this->choices[$i], null] as $choice) {
            $then = self::sum($cost, null === $choice ? self::none($i, \count($this->choices)) : [0, $this->price($choice)]);
            if (self::sum($then, $this->rest[$at + 1]) >= $this->cost) {
                break;
            }
            $cut = $choice?->cut;
            if (null !== $choice && null !== $cut) {
                if ($choice->need > $this->left[$cut]) {
                    continue;
                }
                $this->left[$cut] -= $choice->need;
                $this->used[$cut] = ($this->used[$cut] ?? 0) + 1;
            }
            foreach ($this->last[$i] ?? [] as $done) {
                $then[1] += 0 === ($this->used[$done] ?? 0) ? 0 : self::waste($this->left[$done]);
            }
            if (self::sum($then, $this->rest[$at + 1]) < $this->cost) {
                $this->now[$i] = $choice;
                $this->branch($at + 1, $then);
            }
            if (null !== $choice && null !== $cut) {
                $this->left[$cut] += $choice->need;
                --$this->used[$cut];
            }
        }
    }

    /** @return array{int, int} */
    private static function none(int $i, int $count): array
    {
        $last = min(self::RANKED, $count) - 1;

        return $i > $last ? [0, self::NONE] : [1 << $last - $i, 0];
    }

    /**
     * @param array{int, int} $a
     * @param array{int, int} $b
     *
     * @return array{int, int}
     */
    private static function sum(array $a, array $b): array
    {
        return [$a[0] + $b[0], $a[1] + $b[1]];
    }

    private function price(Choice $choice): int
    {
        return (null === $choice->cut ? self::BUY : 0) +
            self::POINT * (self::MOST_POINTS - max(-self::MOST_POINTS, min(self::MOST_POINTS, $choice->points))) +
            ($choice->present ? 0 : self::CHANGE);
    }

    private static function waste(int $left): int
    {
        $millimetres = intdiv($left, 1000);

        return $millimetres < self::USEFUL ? $millimetres : 0;
    }
}

<?php

declare(strict_types=1);

namespace Octavum\Core\Season\BestUse;

/**
 * Gives the cuts of a stash to the projects of a season together: whatever comes first in the list has cloth that is enough before
 * all that follow, so that the first is never left out for others; then as little as can be is bought, as little as can be is
 * changed, what suits better is taken, and no useless end is left. Source: docs/rules.md.
 *
 * By branch and bound over the projects in rank order (A. H. Land, A. G. Doig, 1960). The bound of what is still to be decided is the
 * sum of each project's cheapest choice, as if it had the stash for itself. Cost: exponential in the number of projects at worst;
 * the search stops after a number of steps and says by how much it may be off.
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

    /** @var list<list<Choice>> */
    private array $choices;

    /** @var array<string, int> micrometres left, by cut */
    private array $left;

    /** @var array<string, int> how many have some of it, by cut */
    private array $used = [];

    /** @var array<int, array{int, int}> the least that all from a project on can cost */
    private array $rest;

    /** @var array<int, ?Choice> */
    private array $now = [];

    /** @var list<?Choice> */
    private array $best = [];

    /** @var array{int, int} a bit for each that is left out, the first in the list the highest; and what else weighs */
    private array $cost = [\PHP_INT_MAX, 0];
    private int $steps = 0;

    /**
     * @param list<list<Choice>> $choices of each project, in rank order
     * @param array<string, int> $free    micrometres of each cut
     */
    public function assign(array $choices, array $free): Assigned
    {
        $count = \count($choices);
        $this->choices = $choices = array_map(function (array $all): array {
            usort($all, fn (Choice $a, Choice $b): int => $this->price($a) <=> $this->price($b));

            return $all;
        }, $choices);
        $this->left = $free;
        $this->used = array_fill_keys(array_keys($free), 0);
        $this->rest = array_fill(0, $count + 1, [0, 0]);
        for ($i = $count - 1; $i >= 0; --$i) {
            $own = $this->none($i, $count);
            foreach ($choices[$i] as $choice) {
                if (null === $choice->cut || $choice->need <= ($free[$choice->cut] ?? 0)) {
                    $own = min($own, [0, $this->price($choice)]);
                }
            }
            $this->rest[$i] = self::sum($this->rest[$i + 1], $own);
        }
        [$this->cost, $this->steps, $this->best] = [[\PHP_INT_MAX, 0], 0, []];
        $this->branch(0, [0, 0], $count);
        $exact = $this->steps <= self::STEPS;

        return new Assigned($this->best, $this->cost, $exact ? $this->cost : $this->rest[0], $exact);
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
            $cost = self::sum($cost, null === $choice ? $this->none($i, \count($chosen)) : [0, $this->price($choice)]);
            if (null !== $choice?->cut) {
                $used[$choice->cut] = ($used[$choice->cut] ?? 0) + $choice->need;
            }
        }
        foreach ($used as $cut => $need) {
            $cost[1] += self::waste($free[$cut] - $need);
        }

        return $cost;
    }

    /** @param array{int, int} $cost */
    private function branch(int $i, array $cost, int $count): void
    {
        if (++$this->steps > self::STEPS && [] !== $this->best) {
            return;
        }
        if ($i === $count) {
            foreach ($this->used as $cut => $by) {
                $cost[1] += 0 === $by ? 0 : self::waste($this->left[$cut]);
            }
            if ($cost < $this->cost) {
                [$this->cost, $this->best] = [$cost, array_values($this->now)];
            }

            return;
        }
        foreach ($this->choices[$i] as $choice) {
            $then = self::sum($cost, [0, $this->price($choice)]);
            if (self::sum($then, $this->rest[$i + 1]) >= $this->cost) {
                break;
            }
            $cut = $choice->cut;
            if (null !== $cut && $choice->need > ($this->left[$cut] ?? 0)) {
                continue;
            }
            if (null !== $cut) {
                $this->left[$cut] -= $choice->need;
                ++$this->used[$cut];
            }
            $this->now[$i] = $choice;
            $this->branch($i + 1, $then, $count);
            if (null !== $cut) {
                $this->left[$cut] += $choice->need;
                --$this->used[$cut];
            }
        }
        $then = self::sum($cost, $this->none($i, $count));
        if (self::sum($then, $this->rest[$i + 1]) < $this->cost) {
            $this->now[$i] = null;
            $this->branch($i + 1, $then, $count);
        }
    }

    /** @return array{int, int} */
    private function none(int $i, int $count): array
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

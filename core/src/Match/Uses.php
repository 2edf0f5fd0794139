<?php

declare(strict_types=1);

namespace Octavum\Core\Match;

use Octavum\Core\Match\Rule\Reason;
use Octavum\Core\Measure\Length;

/** What a cloth could become, by the length each takes: how many a length is enough for, and which are the best of them. */
final readonly class Uses
{
    /** So many are named of what a length could become. */
    private const NAMED = 3;

    /** Per cent of a cut below which what is left counts as almost nothing. A starting value of the house. */
    private const ALMOST_NOTHING = 15;

    /** @var list<int> micrometres, the least first */
    private array $needs;

    /** @var list<list<array{int, int, Making}>> the best of all that take no more than the need at the same place: points, need, making */
    private array $best;

    /** @param list<array{Length, int, Making}> $suits need and points of each */
    public function __construct(array $suits)
    {
        usort($suits, static fn (array $a, array $b): int => $a[0]->micrometres <=> $b[0]->micrometres);
        $needs = $all = $best = [];
        foreach ($suits as [$need, $points, $making]) {
            $needs[] = $need->micrometres;
            // of the versions of one pattern the best alone
            $same = $best[$making->pattern->id][0] ?? null;
            if (null === $same ? \count($best) < self::NAMED || $points >= end($best)[0] : $same <= $points) {
                $best[$making->pattern->id] = [$points, $need->micrometres, $making];
                uasort($best, static fn (array $a, array $b): int => [$b[0], $b[1]] <=> [$a[0], $a[1]]);
                $best = \array_slice($best, 0, self::NAMED);
            }
            $all[] = array_values($best);
        }
        $this->needs = $needs;
        $this->best = $all;
    }

    /** The praise for a use that leaves almost nothing of a cut. */
    public static function up(Length $left, Length $free): ?Reason
    {
        return $left->micrometres * 100 <= $free->micrometres * self::ALMOST_NOTHING ? Reason::praise(1, 'It uses the cut up.') : null;
    }

    public function count(Length $length): int
    {
        [$low, $high] = [0, \count($this->needs)];
        while ($low < $high) {
            $middle = intdiv($low + $high, 2);
            [$low, $high] = $this->needs[$middle] <= $length->micrometres ? [$middle + 1, $high] : [$low, $middle];
        }

        return $low;
    }

    /** @return list<Making> the best that a length is enough for */
    public function best(Length $length): array
    {
        return array_column($this->best[$this->count($length) - 1] ?? [], 2);
    }
}

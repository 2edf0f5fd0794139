<?php

declare(strict_types=1);

namespace Octavum\Core\Lay\Engine;

use Octavum\Core\Lay\Way\Item;
use Octavum\Core\Lay\Way\Lane;
use Octavum\Core\Lay\Way\Member;
use Octavum\Core\Lay\Way\Variant;
use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * Makes a sound lay on one lane shorter: some per cent are taken off its length, what stands out is pushed in, and the pieces are
 * separated; where that succeeds they are settled exactly and it goes on from there, where it fails two change places and less
 * is taken off.
 *
 * @internal
 */
final readonly class Squeeze
{
    /** Share of the length that is taken off at first, and at least. */
    private const FIRST = 0.03;
    private const LEAST = 0.002;

    /** Tries after which it begins at the best lay again. */
    private const RETURNS = 4;

    /** Pieces that change places at most after it failed. */
    private const MOST_CHANGED = 3;

    /** Share of the time with pieces that were put together. */
    private const TOGETHER = 0.15;

    /** Of the length of a lay in which pieces nearly fit, what they are given to move apart. */
    private const MORE = [1.005, 1.02, 1.05];

    /** Rounds without a gain after which a separation is given up; and of what lies nearly clear. */
    private const PATIENT = 300;
    private const BRIEFLY = 30;

    /**
     * @param float $enough it stops when the lay is no longer than this
     */
    public function __construct(
        private Lane $lane,
        private float $gap,
        private Settler $settler,
        private int $seed,
        private float $enough = 0.0,
    ) {
    }

    /**
     * With pieces that were put together laid as one, for some of the time.
     *
     * @param list<Spot>                 $spots    sound, each piece for itself
     * @param list<Item>                 $clusters in place of the pieces they hold
     * @param list<Spot>                 $first    a lay in which clusters lie as they were put together; none when there is none
     * @param \Closure(): float          $left     share of the time that is left
     * @param \Closure(list<Spot>): void $found    hears of every shorter lay
     *
     * @return list<Spot> the shortest
     */
    public function together(array $spots, array $clusters, array $first, \Closure $left, \Closure $found): array
    {
        $until = (1 - self::TOGETHER) * $left();
        $half = static fn (): float => $left() - $until;
        $units = $this->settler->settle($this->units($first, $clusters), $half);
        if ([] === $units) {
            return $spots;
        }
        $apart = $this->apart($units);
        if (!(new Guard($this->lane))->isSound($apart)) {
            $free = $this->freed($apart, self::length($spots), $left);
            if ([] === $free) {
                return $spots;
            }
            $found($free);

            return $free;
        }
        if (self::length($apart) < self::length($spots) - 1e-6) {
            $spots = $apart;
            $found($spots);
        }
        $this->run($units, $half, function (array $units) use (&$spots, $found): void {
            if (self::length($units) < self::length($spots) - 1e-6) {
                $spots = $this->apart($units);
                $found($spots);
            }
        });

        return $spots;
    }

    /**
     * Of pieces that fit one another nearly, and lie as close as if they did, each moves a little until it is clear.
     *
     * @param list<Spot>        $spots
     * @param \Closure(): float $left
     *
     * @return list<Spot> sound and shorter than $longest, or none
     */
    private function freed(array $spots, float $longest, \Closure $left): array
    {
        $length = self::length($spots);
        $separation = new Separation($this->lane, $this->gap, $spots, new Randomizer(new Mt19937($this->seed + 5)));
        foreach (self::MORE as $more) {
            if ($length * $more >= $longest) {
                break;
            }
            $separation->set(array_map(static fn (Spot $spot): Spot => $spot->at($spot->x * $more, $spot->y), $spots));
            if ($separation->run($length * $more, $left, self::BRIEFLY)) {
                $settled = $this->settler->settle($separation->spots($spots), $left);
                if (self::length($settled) < $longest - 1e-6 && (new Guard($this->lane))->isSound($settled)) {
                    return $settled;
                }
            }
        }

        return [];
    }

    /**
     * @param list<Spot> $spots
     * @param list<Item> $clusters
     *
     * @return list<Spot> with those that lie as in a cluster in one
     */
    private function units(array $spots, array $clusters): array
    {
        $by = [];
        foreach ($spots as $spot) {
            $by[$spot->item->piece->id.' '.$spot->item->copy] = $spot;
        }
        $units = [];
        foreach ($clusters as $cluster) {
            foreach ($cluster->isPair() ? $cluster->variants : [] as $variant) {
                $keys = array_map(
                    static fn (Member $member): string => $member->item->piece->id.' '.$member->item->copy,
                    $variant->members,
                );
                $at = null;
                foreach ($variant->members as $n => $member) {
                    $spot = $by[$keys[$n]] ?? null;
                    if (null === $spot || $spot->variant !== $member->variant) {
                        continue 2;
                    }
                    $at ??= [$spot->x - $member->x, $spot->y - $member->y, $spot->lane];
                    if (abs($spot->x - $member->x - $at[0]) > 0.01 || abs($spot->y - $member->y - $at[1]) > 0.01) {
                        continue 2;
                    }
                }
                if (null !== $at) {
                    $units[] = new Spot($cluster, $variant, $at[2], $at[0], $at[1]);
                    $by = array_diff_key($by, array_flip($keys));
                    break;
                }
            }
        }

        return [...$units, ...array_values($by)];
    }

    /**
     * @param list<Spot> $units
     *
     * @return list<Spot> each piece for itself
     */
    private function apart(array $units): array
    {
        return array_merge([], ...array_map(static fn (Spot $unit): array => $unit->apart(), $units));
    }

    /**
     * @param list<Spot>                 $spots
     * @param \Closure(): float          $left
     * @param \Closure(list<Spot>): void $found
     *
     * @return list<Spot>
     */
    public function run(array $spots, \Closure $left, \Closure $found): array
    {
        $random = new Randomizer(new Mt19937($this->seed + 7));
        $best = $spots;
        $used = self::length($best);
        $separation = new Separation($this->lane, $this->gap, $best, $random);
        $longest = max(0.0, ...array_map(static fn (Spot $spot): float => min(\INF, ...array_map(
            static fn (Variant $variant): float => $variant->length,
            $spot->item->all,
        )), $best));
        $area = array_sum(array_map(static fn (Spot $spot): float => $spot->variant->outline->area(), $best));
        $bound = max($this->lane->taken, $longest, $area / $this->lane->width);
        $guard = new Guard($this->lane);
        $share = self::FIRST;
        $tries = 0;
        while ($left() > 0 && $used > max($bound + 0.5, $this->enough)) {
            $target = max($bound, $used * (1 - $share));
            // what could not be separated goes on from there, and every so often from the best again
            if (0 === $tries % self::RETURNS) {
                $separation->set($best);
            }
            for ($n = 0; $n < min($tries, self::MOST_CHANGED); ++$n) {
                if (0 === $random->getInt(0, 1)) {
                    $separation->swap($random->getInt(0, \count($best) - 1), $random->getInt(0, \count($best) - 1));
                } else {
                    $separation->throw($random->getInt(0, \count($best) - 1));
                }
            }
            if ($separation->run($target, $left, self::PATIENT)) {
                $settled = $this->settler->settle($separation->spots($best), $left);
                $now = self::length($settled);
                if ($now < $used - 1e-6 && $guard->isSound($settled)) {
                    [$best, $used, $tries] = [$settled, $now, 0];
                    // settling puts them into another order
                    $separation->reorder($best);
                    $found($best);
                    continue;
                }
            }
            ++$tries;
            $share = max(self::LEAST, $share * 0.8);
            if (0 === $tries % 12) {
                $share = self::FIRST / 2;
            }
        }

        return $best;
    }

    /** @param list<Spot> $spots */
    private static function length(array $spots): float
    {
        return max(0.0, ...array_map(static fn (Spot $spot): float => $spot->x + $spot->variant->length, $spots));
    }
}

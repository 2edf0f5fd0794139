<?php

declare(strict_types=1);

namespace Octavum\Core\Lay\Engine;

use Octavum\Core\Lay\Way\Item;
use Octavum\Core\Lay\Way\Member;
use Octavum\Core\Lay\Way\Variant;
use Octavum\Core\Shape\Convex;
use Octavum\Core\Shape\Outline;
use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * Pieces that fit one another exactly or nearly along a whole side, such as the two halves of something sawn apart, put together and
 * laid as one: two at a time, those first whose union leaves least of its hull free, until nothing fits any more. Where that leaves
 * several, a wrong two may have been put together early: it begins anew with other twos first, for some of the time, and the fewest
 * are kept. A search may take them apart again. Cost: pieces² × sides² for each that is put together.
 *
 * @internal
 */
final readonly class Clusters
{
    /**
     * Two sides are one when their ends differ by no more than this, mm: at first what fits exactly, then what nearly does, since digitised
     * pieces are rounded, and errors add up. So deep two may overlap that are nudged apart, and so far stand out over the cloth's side
     * what is moved in (Cluster::within).
     */
    private const EXACTLY = 0.5;
    private const NEARLY = 5.0;
    private const NUDGES = 3;

    /** Of that, what a corner may be off. */
    private const OFF = 0.4;

    /** Overlap of the two that is none, mm. */
    private const TOUCHES = 0.04;

    /** Sides so long, mm, are no chance. */
    private const LONG = 60.0;

    /** Of the hull of the two, so much is filled. */
    private const FILLED = 0.7;

    /** Share of the time for beginning anew, and how often at most. */
    private const ANEW = 0.3;
    private const TRIES = 400;

    /** By how much another two may come first that fits less well. */
    private const CHANCE = 0.25;

    public function __construct(private float $row, private float $width, private int $seed = 1, private Convex $convex = new Convex())
    {
    }

    /**
     * @param list<Item>        $items
     * @param \Closure(): float $left  share of the time that is left
     *
     * @return list<Item> with clusters in the place of their pieces; the same items when none fit
     */
    public function build(array $items, \Closure $left): array
    {
        $kept = array_filter(
            $items,
            static fn (Item $item): bool => null !== $item->held || null !== $item->piece->match || $item->isPair(),
        );
        $best = $this->fewest(array_diff_key($items, $kept), self::EXACTLY, 0, $left);
        if (!$this->isWhole($best)) {
            $nearly = $this->fewest(array_diff_key($items, $kept), self::NEARLY, self::TRIES, $left);
            $best = $this->takes($nearly) < $this->takes($best) ? $nearly : $best;
        }

        return [...$kept, ...array_map(fn (Cluster $unit): Item => 1 === \count($unit->members)
            ? $unit->members[0]->item
            : $this->item($unit), $best)];
    }

    /**
     * @param array<Item>       $items
     * @param int               $tries with other twos first, where it does not go together at once
     * @param \Closure(): float $left
     *
     * @return list<Cluster>
     */
    private function fewest(array $items, float $nearly, int $tries, \Closure $left): array
    {
        $units = array_map(static fn (Item $item): Cluster => new Cluster(
            [new Member($item, $item->variants[0], 0, 0)],
            $item->variants[0]->outline->points,
            self::OFF * $nearly,
        ), array_values($items));
        $fits = [];
        foreach ($units as $i => $a) {
            for ($j = 0; $j < $i && $left() > 0; ++$j) {
                array_push($fits, ...$this->fits($a, $units[$j], $i, $j, $nearly));
            }
        }
        $best = $this->joined($units, $fits, $nearly, $left, static fn (): float => 0.0);
        $random = new Randomizer(new Mt19937($this->seed));
        $until = (1 - self::ANEW) * $left();
        // what is mostly put together may have been one thing
        $isNearlyWhole = 2 * \count($best) <= \count($units);
        for ($try = 1; $isNearlyWhole && $try < $tries && !$this->isWhole($best) && $left() > $until; ++$try) {
            $luck = static fn (): float => self::CHANCE * $random->getInt(0, 1000) / 1000;
            $other = $this->joined($units, $fits, $nearly, $left, $luck);
            $best = $left() > 0 && $this->takes($other) < $this->takes($best) ? $other : $best;
        }

        return $best;
    }

    /**
     * @param list<Cluster>                         $units
     * @param list<array{float, int, int, Cluster}> $fits  of each two, as fits() gives them
     * @param \Closure(): float                     $left
     * @param \Closure(): float                     $luck  added to how well two fit
     *
     * @return list<Cluster> put together until nothing fits any more
     */
    private function joined(array $units, array $fits, float $nearly, \Closure $left, \Closure $luck): array
    {
        $gone = [];
        foreach ($fits as $n => [$fit]) {
            $fits[$n][0] = $fit + $luck();
        }
        while ([] !== $fits && $left() > 0) {
            // the best last
            usort($fits, static fn (array $p, array $q): int => $p[0] <=> $q[0]);
            [, $i, $j, $cluster] = array_pop($fits);
            $gone[$i] = $gone[$j] = true;
            $fits = array_values(array_filter($fits, static fn (array $fit): bool => !isset($gone[$fit[1]]) && !isset($gone[$fit[2]])));
            $new = \count($units);
            $units[] = $cluster;
            foreach ($units as $k => $unit) {
                if ($k !== $new && !isset($gone[$k])) {
                    foreach ($this->fits($cluster, $unit, $new, $k, $nearly) as [$fit, $one, $two, $both]) {
                        $fits[] = [$fit + $luck(), $one, $two, $both];
                    }
                }
            }
        }

        return array_values(array_diff_key($units, $gone));
    }

    /** @param list<Cluster> $units */
    private function isWhole(array $units): bool
    {
        return 1 === \count($units) && $units[0]->isRectangle();
    }

    /**
     * @param list<Cluster> $units
     *
     * @return array{int, float} how many are left, and how much cloth they take in rectangles: the less the better
     */
    private function takes(array $units): array
    {
        return [\count($units), array_sum(array_map(static fn (Cluster $unit): float => $unit->length() * $unit->width(), $units))];
    }

    /** @return list<array{float, int, int, Cluster}> how well they fit, which, and the two put together */
    private function fits(Cluster $a, Cluster $b, int $i, int $j, float $nearly): array
    {
        $fits = [];
        if ($a->isRectangle() && $b->isRectangle()) {
            return [];
        }
        foreach (array_filter([$b, $b->turned()]) as $other) {
            foreach ($a->points as $m => $from) {
                $to = $a->points[($m + 1) % \count($a->points)];
                if (hypot($to[0] - $from[0], $to[1] - $from[1]) < self::LONG) {
                    continue;
                }
                foreach ($other->points as $n => $start) {
                    $end = $other->points[($n + 1) % \count($other->points)];
                    if (
                        abs($to[0] - $from[0] + $end[0] - $start[0]) > $nearly
                        || abs($to[1] - $from[1] + $end[1] - $start[1]) > $nearly
                    ) {
                        continue;
                    }
                    $beside = $this->beside($a, $other, [$from, $to], [$start, $end], $nearly);
                    $joined = null === $beside ? null : $a->joined($beside, $m, $n);
                    $filled = null === $joined || $joined->width() > $this->width + $nearly ? 0.0 : $joined->filled($this->convex);
                    if (null !== $joined && $filled > self::FILLED) {
                        // what shares more of its outline fits the less by chance
                        $shared = 1 - $joined->around() / ($a->around() + $beside->around());
                        $fits[] = [$filled + $shared, $i, $j, $joined];
                    }
                }
            }
        }

        return $fits;
    }

    /**
     * The other with the middle of a side of it at that of a side of the first, and clear of it; null where it is not.
     *
     * @param array{array{float, float}, array{float, float}} $side     of the first, from and to
     * @param array{array{float, float}, array{float, float}} $opposite of the other, which runs against it
     */
    private function beside(Cluster $a, Cluster $other, array $side, array $opposite, float $nearly): ?Cluster
    {
        [$from, $to] = $side;
        [$start, $end] = $opposite;
        $other = $other->moved(($from[0] + $to[0] - $start[0] - $end[0]) / 2, ($from[1] + $to[1] - $start[1] - $end[1]) / 2);
        $deep = $this->deep($a, $other, $nearly);
        $long = hypot($to[0] - $from[0], $to[1] - $from[1]);
        for ($n = 0; $n < self::NUDGES && $deep > self::TOUCHES && $deep <= $nearly; ++$n) {
            $by = ($deep - 0.9 * self::TOUCHES) / $long;
            $other = $other->moved(($to[1] - $from[1]) * $by, ($from[0] - $to[0]) * $by);
            $deep = $this->deep($a, $other, $nearly);
        }

        return $deep <= self::TOUCHES ? $other : null;
    }

    private function deep(Cluster $a, Cluster $b, float $most): float
    {
        $deep = 0.0;
        $others = $a->parts();
        foreach ($b->parts() as $part) {
            foreach ($others as $other) {
                $deep = max($deep, $this->convex->depth($other, $part));
                if ($deep > $most) {
                    return $deep;
                }
            }
        }

        return $deep;
    }

    private function item(Cluster $cluster): Item
    {
        $first = $cluster->members[0]->item;
        $variants = array_map(fn (Cluster $one): Variant => new Variant(
            Outline::rectangle($one->length(), $one->width()),
            $one->members[0]->variant->turn,
            $one->members[0]->variant->flipped,
            row: $this->row,
            match: null,
            members: $one->members,
        ), array_map(fn (Cluster $one): Cluster => $one->atOrigin()->within($this->width), array_filter([$cluster, $cluster->turned()])));

        return new Item($first->piece, $first->copy, $first->layers, false, $variants);
    }
}

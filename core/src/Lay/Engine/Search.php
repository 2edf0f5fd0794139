<?php

declare(strict_types=1);

namespace Octavum\Core\Lay\Engine;

use Octavum\Core\Lay\Way\Item;
use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * Looks for the order in which a decoder lays items best: first the usual orders (largest, longest, widest first), then by
 * threshold accepting (Dueck and Scheuer 1990): two items change places, one moves, or one is held to another turn, and what is not
 * worse than a falling
 * threshold is kept. A lay that runs past the threshold is given up at once.
 */
final class Search
{
    public int $evaluated = 0;

    /** Of so few items each order is laid once; after so many that were known nothing new is to be expected. */
    private const FEW = 8;
    private const KNOWN = 3000;

    private readonly Randomizer $random;

    /** @var array<string, array{float, bool}> order → what it costs, or with false, at least costs */
    private array $known = [];

    /**
     * @param \Closure(list<Item> $order, float $limit): ?array{list<Spot>, list<Item>} $decode null when it costs more than the limit
     */
    public function __construct(private readonly \Closure $decode, private readonly Cost $cost, int $seed)
    {
        $this->random = new Randomizer(new Mt19937($seed));
    }

    /**
     * @param list<Item>                 $items
     * @param list<Item>                 $paired the same, two by two where that saves cloth
     * @param \Closure(): float          $left   share of the time that is left, from 1 to 0
     * @param \Closure(list<Spot>): void $found  hears of every better lay
     *
     * @return array{list<Spot>, list<Item>} the best
     */
    public function run(array $items, array $paired, \Closure $left, \Closure $found): array
    {
        $best = null;
        $cost = \INF;
        $order = $items;
        foreach (
            \count($paired) < \count($items) ? [...$this->orders($paired), ...$this->orders($items)] : $this->orders($items) as $start
        ) {
            $result = $this->decode($start);
            if (null !== $result && ($new = $this->cost->felt(...$result)) < $cost) {
                [$best, $cost, $order] = [$result, $new, $start];
                $found($best[0]);
            }
            if ($left() <= 0) {
                break;
            }
        }
        $best ??= [[], $items];
        $current = $cost;
        $count = \count($items);
        $kept = $order;
        $count = max($count, \count($order));
        $isFew = $count <= self::FEW;
        $met = 0;
        while ($count > 1 && ($share = $left()) > 0 && [] === $best[1] && $met < self::KNOWN) {
            $next = $this->changed($order);
            $limit = $current * (1 + 0.03 * $share * $share);
            $key = $isFew ? $this->key($next) : '';
            [$known, $isExact] = $this->known[$key] ?? [0.0, false];
            $result = null;
            if ($isExact || $known >= $limit) {
                ++$met;
            } else {
                $met = 0;
                $result = $this->decode($next, $limit);
                [$known, $isExact] = null === $result ? [$limit, false] : [$this->cost->felt(...$result), true];
                if ($isFew) {
                    $this->known[$key] = [$known, $isExact];
                }
            }
            if (!$isExact) {
                continue;
            }
            $new = $known;
            if ($new <= $limit) {
                [$order, $current] = [$next, $new];
            }
            if (null !== $result && $new < $cost - 1e-6) {
                [$best, $cost, $kept] = [$result, $new, $next];
                $found($best[0]);
            } elseif ($current > $cost * 1.02 && 0 === $this->random->getInt(0, 200)) {
                [$order, $current] = [$kept, $cost];
            }
        }
        while ($count > 1 && [] !== $best[1] && $left() > 0) {
            $next = $this->changed($order);
            $result = $this->decode($next);
            if (null !== $result && ($new = $this->cost->felt(...$result)) <= $cost) {
                [$best, $cost, $order] = [$result, $new, $next];
                $found($best[0]);
            }
        }

        return $best;
    }

    /** @param list<Item> $order */
    private function key(array $order): string
    {
        $key = '';
        foreach ($order as $item) {
            foreach ($item->variants as $variant) {
                $key .= spl_object_id($variant).',';
            }
            $key .= $item->piece->id.';';
        }

        return $key;
    }

    /**
     * The best of the usual orders.
     *
     * @param list<Item> $items
     *
     * @return list<Spot> none when there is no room for all of them
     */
    public function first(array $items): array
    {
        $best = [[], $items];
        $cost = \INF;
        foreach ($this->orders($items) as $order) {
            $result = $this->decode($order);
            if (null !== $result && ($new = $this->cost->calculate(...$result)) < $cost) {
                [$best, $cost] = [$result, $new];
            }
        }

        return [] === $best[1] ? $best[0] : [];
    }

    /**
     * @param list<Item> $order
     *
     * @return ?array{list<Spot>, list<Item>}
     */
    private function decode(array $order, float $limit = \INF): ?array
    {
        ++$this->evaluated;

        return ($this->decode)($order, $limit);
    }

    /**
     * One item held to one of the ways it may lie, let go again, or a pair taken apart.
     *
     * @param list<Item> $order
     *
     * @return ?list<Item> null when there is nothing to choose
     */
    private function turned(array $order): ?array
    {
        $i = $this->random->getInt(0, \count($order) - 1);
        $item = $order[$i];
        if ($item->isPair() && 0 === $this->random->getInt(0, 2)) {
            array_splice($order, $i, 1, $item->split());

            return $order;
        }
        if (\count($item->all) < 2) {
            return null;
        }
        $order[$i] =
            1 === \count($item->variants) && 0 === $this->random->getInt(0, 1)
                ? $item->free()
                : $item->only($item->all[$this->random->getInt(0, \count($item->all) - 1)]);

        return array_values($order);
    }

    /**
     * @param list<Item> $items
     *
     * @return list<list<Item>>
     */
    private function orders(array $items): array
    {
        $orders = [];
        foreach (
            [
                static fn (Item $item): float => $item->area(),
                static fn (Item $item): float => $item->variants[0]->length + $item->variants[0]->width / 1000,
                static fn (Item $item): float => $item->variants[0]->width + $item->variants[0]->length / 1000,
                static fn (Item $item): float => $item->variants[0]->length * $item->variants[0]->width,
            ] as $size
        ) {
            $order = $items;
            usort($order, static fn (Item $a, Item $b): int => [null !== $b->held, $size($b)] <=> [null !== $a->held, $size($a)]);
            $orders[] = $order;
        }

        return $orders;
    }

    /**
     * @param list<Item> $order
     *
     * @return list<Item>
     */
    private function changed(array $order): array
    {
        $count = \count($order);
        if (0 === $this->random->getInt(0, 4) && null !== ($turned = $this->turned($order))) {
            return $turned;
        }
        [$i, $j] = [$this->random->getInt(0, $count - 1), $this->random->getInt(0, $count - 1)];
        if (0 === $this->random->getInt(0, 1)) {
            [$order[$i], $order[$j]] = [$order[$j], $order[$i]];

            return array_values($order);
        }
        $moved = array_splice($order, $i, 1);
        array_splice($order, $j, 0, $moved);

        return $order;
    }
}

<?php

declare(strict_types=1);

namespace Octavum\Core\Lay\Engine;

use Octavum\Core\Lay\Way\Item;
use Octavum\Core\Lay\Way\Member;
use Octavum\Core\Lay\Way\Variant;
use Octavum\Core\Shape\Convex;
use Octavum\Core\Shape\Outline;

/**
 * Copies of a piece put together two by two, head to tail or one over the other, each as close to the first as its shape
 * lets it: laid as one, a row of flared panels takes half the cloth that the same panels take one behind the other.
 * Cost: for each piece, ways it may lie² × parts².
 *
 * @internal
 */
final readonly class PiecePairs
{
    /** Ways of a pair that are kept, those that waste least. */
    private const KEPT = 4;
    /** A pair is one only when it is so much narrower than its two one beside the other, mm. */
    private const GAIN = 1.0;

    public function __construct(private float $row, private float $gap, private Convex $convex = new Convex())
    {
    }

    /**
     * @param list<Item>        $items
     * @param \Closure(): float $left  share of the time that is left; when there is none the rest stays single
     *
     * @return list<Item> with pairs in the place of their two; the same items when none gains anything
     */
    public function build(array $items, \Closure $left): array
    {
        $waiting = $paired = $ways = [];
        foreach ($items as $item) {
            $first = $waiting[$item->piece->id] ?? null;
            if ($left() <= 0 || null !== $item->held || \count($item->variants) < 2 || null !== $item->piece->match) {
                $paired[] = $item;
            } elseif (null === $first) {
                $waiting[$item->piece->id] = $item;
            } else {
                unset($waiting[$item->piece->id]);
                $key = spl_object_id($first->variants[0]).' '.spl_object_id($item->variants[0]);
                $ways[$key] ??= $this->ways($first, $item);
                $variants = array_map(fn (array $way): Variant => $this->variant($first, $item, $way), $ways[$key]);
                array_push(
                    $paired,
                    ...[] === $variants ? [$first, $item] : [new Item($first->piece, $first->copy, $first->layers, false, $variants)],
                );
            }
        }

        return [...$paired, ...array_values($waiting)];
    }

    /** @return list<array{Variant, Variant, float}> the first, the one beyond it, and how far across; the closest first */
    private function ways(Item $first, Item $second): array
    {
        $found = [];
        foreach ($first->variants as $a) {
            foreach ($second->variants as $b) {
                $y = $this->beyond($a, $b);
                if ($y + $b->width < $a->width + $b->width + $this->gap - self::GAIN) {
                    $found[] = [$a, $b, $y];
                }
            }
        }
        usort(
            $found,
            static fn (array $p, array $q): int => max($p[0]->length, $p[1]->length) * ($p[2] + $p[1]->width)
                <=> max($q[0]->length, $q[1]->length) * ($q[2] + $q[1]->width),
        );

        return \array_slice($found, 0, self::KEPT);
    }

    /** How far across the second must lie so that it is clear of the first. */
    private function beyond(Variant $a, Variant $b): float
    {
        $y = 0.0;
        foreach ($a->solids(1) as $fixed) {
            $points = $this->convex->widened($fixed->points, $this->gap);
            foreach ($b->solids(1) as $moving) {
                $y = max($y, $this->convex->blocked($points, $moving->points, 0)[1] ?? 0.0);
            }
        }

        return $y;
    }

    /** @param array{Variant, Variant, float} $way */
    private function variant(Item $first, Item $second, array $way): Variant
    {
        [$a, $b, $y] = $way;

        return new Variant(
            Outline::rectangle(max($a->length, $b->length), max($a->width, $y + $b->width)),
            $a->turn,
            $a->flipped,
            row: $this->row,
            match: null,
            members: [new Member($first, $a, 0, 0), new Member($second, $b, 0, $y)],
        );
    }
}

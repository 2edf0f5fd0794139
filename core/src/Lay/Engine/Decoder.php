<?php

declare(strict_types=1);

namespace Octavum\Core\Lay\Engine;

use Octavum\Core\Lay\Request\Repeat;
use Octavum\Core\Lay\Way\Item;
use Octavum\Core\Lay\Way\Lane;
use Octavum\Core\Lay\Way\Variant;
use Octavum\Core\Shape\Outline;

/**
 * Lays items one after another, each as far to the cut end as it goes (bottom-left fill, Chazelle 1983, over rows of the
 * cloth as in Burke et al. 2006): for every row it keeps the stretches that are taken, a piece is a stretch for every row,
 * and for each height the piece is pushed past what is in its way until nothing is. Along the cloth this is exact; across,
 * places are multiples of the row. Holes are filled. Cost: pieces × rows² × stretches in a row.
 * Longer than other files: the inner loop of the search, kept in one piece for its speed.
 */
final class Decoder
{
    /** How much a piece's own length counts beside the place of its beginning when lanes and variants are compared. */
    private const LENGTH_COUNTS = 0.35;

    /** @var list<list<list<array{float, float}>>> for each lane and row, what is taken at the start */
    private array $empty;

    /**
     * @param non-empty-list<Lane> $lanes
     * @param ?\Closure(): float   $left  share of the time that is left; when there is none, what remains is laid on shelves
     */
    public function __construct(
        private readonly array $lanes,
        private readonly float $row,
        private readonly float $gap,
        private readonly ?\Closure $left = null,
    ) {
        $this->empty = array_map($this->rows(...), $lanes);
    }

    /**
     * @param list<Item> $items in the order in which they are laid
     * @param float      $limit gives up, with null, when a lane alone would be used further than this
     *
     * @return ?array{list<Spot>, list<Item>} where they lie, and those for which there was no room
     */
    public function decode(array $items, float $limit = \INF): ?array
    {
        $limit = 1 === \count($this->lanes) ? $limit : \INF;
        $taken = $this->empty;
        $spots = $left = [];
        foreach ($items as $i => $item) {
            if (null !== $this->left && \INF === $limit && ($this->left)() <= 0) {
                return $this->shelved(\array_slice($items, $i), $spots, $left);
            }
            $spot = $this->best($item, $taken, $limit);
            foreach (null === $spot && $item->isPair() ? $item->split() : [$item] as $one) {
                $spot ??= $this->best($one, $taken, $limit);
                if (null === $spot) {
                    if ($limit < \INF) {
                        return null;
                    }
                    $left[] = $one;
                    continue;
                }
                array_push($spots, ...$spot->apart());
                $this->take($taken[$spot->lane], $spot);
                $spot = null;
            }
        }

        return [$spots, $left];
    }

    /**
     * In no time: side by side across the cloth beyond all that is laid, row after row.
     *
     * @param list<Item> $items
     * @param list<Spot> $spots
     * @param list<Item> $left
     *
     * @return array{list<Spot>, list<Item>}
     */
    private function shelved(array $items, array $spots, array $left): array
    {
        $shelf = array_fill(0, \count($this->lanes), [0.0, 0.0, 0.0]);
        foreach ($spots as $spot) {
            $end = $spot->x + $spot->variant->length + $this->gap;
            $shelf[$spot->lane] = [max($shelf[$spot->lane][0], $end), 0.0, max($shelf[$spot->lane][0], $end)];
        }
        foreach (array_merge(...array_map(static fn (Item $item): array => $item->split(), $items)) as $item) {
            foreach ($this->lanes as $i => $lane) {
                $variant = $item->variants[0];
                if (
                    (null !== $item->piece->cut && $item->piece->cut !== $lane->sheet)
                    || ($item->onFold && !$lane->fold)
                    || $item->layers !== $lane->layers
                    || [] !== $lane->missing
                ) {
                    continue;
                }
                [$x, $y, $next] = $shelf[$i];
                $heights = $this->heights($variant, $lane->width, $item->held);
                if ($y + $variant->width > $lane->width + 1e-6 || null !== $heights || null !== $variant->match) {
                    [$x, $y] = [$next, $heights[0] ?? 0.0];
                }
                $at = $this->aligned($variant->match, $x);
                if ([] !== $heights && $y + $variant->width <= $lane->width + 1e-6 && $at + $variant->length <= $lane->length + 1e-6) {
                    $spots[] = new Spot($item, $variant, $i, $at, $y);
                    $shelf[$i] = [$x, $y + $variant->width + $this->gap, max($next, $at + $variant->length + $this->gap)];
                    continue 2;
                }
            }
            $left[] = $item;
        }

        return [$spots, $left];
    }

    /** @param list<list<list<array{float, float}>>> $taken */
    private function best(Item $item, array $taken, float $limit): ?Spot
    {
        $best = null;
        $least = \INF;
        foreach ($this->lanes as $i => $lane) {
            if (
                (null !== $item->piece->cut && $item->piece->cut !== $lane->sheet)
                || ($item->onFold && !$lane->fold)
                || $item->layers !== $lane->layers
            ) {
                continue;
            }
            foreach ($item->variants as $variant) {
                $end = min($lane->length, $limit) - $variant->length;
                $place = $this->place(
                    $variant,
                    $taken[$i],
                    $lane->width,
                    min($end, $least - $variant->length * self::LENGTH_COUNTS + 1e-7),
                    $item->held,
                );
                $felt = null === $place ? \INF : $place[0] + $variant->length * self::LENGTH_COUNTS;
                // Of two turns that begin alike, the one that nestles closer to what lies there.
                $closer = null !== $place && null !== $best && $felt < $least + 1e-6 && $best->lane === $i && $place[1] < $best->y - 1e-6;
                if (null !== $place && ($felt < $least - 1e-6 || $closer)) {
                    $least = $felt;
                    $best = new Spot($item, $variant, $i, $place[0], $place[1]);
                }
            }
            if (null !== $best && ($this->lanes[$i + 1]->sheet ?? $lane->sheet) !== $lane->sheet) {
                break;
            }
        }

        return $best;
    }

    /**
     * @param list<list<array{float, float}>> $rows taken in the lane
     * @param float                           $most the largest x wanted
     *
     * @return ?array{float, float} x and y
     */
    private function place(Variant $variant, array $rows, float $width, float $most, ?float $held): ?array
    {
        $best = null;
        if ($variant->width > $width + 1e-6) {
            return null;
        }
        $heights = $this->heights($variant, $width, $held);
        $last = null === $heights ? (int) floor(($width - $variant->width) / $this->row + 1e-6) : \count($heights) - 1;
        [$from, $to] = [$variant->from, $variant->to];
        $count = \count($from);
        for ($n = 0; $n <= $last; ++$n) {
            $s = $n;
            $y = $n * $this->row;
            if (null !== $heights) {
                $y = $heights[$n];
                [$s, $from, $to] = $this->footprint($variant, $y);
                $count = \count($from);
            }
            $x = 0.0;
            $clear = 0;
            $r = 0;
            while ($clear < $count) {
                $start = $x + $from[$r];
                $end = $x + $to[$r];
                foreach ($rows[$s + $r] as [$a, $b]) {
                    if ($end <= $a + 1e-7) {
                        break;
                    }
                    if ($start < $b - 1e-7) {
                        $x += $b - $start;
                        $start = $b;
                        $end = $x + $to[$r];
                        $clear = 0;
                    }
                }
                if ($x > $most) {
                    continue 2;
                }
                ++$clear;
                if (++$r === $count) {
                    $r = 0;
                }
                if ($clear === $count && null !== $variant->match) {
                    // where it matches again, as long as nothing is in its way there
                    $aligned = $this->aligned($variant->match, $x);
                    [$clear, $x] = $aligned > $x + 1e-6 ? [0, $aligned] : [$clear, $x];
                    if ($x > $most) {
                        continue 2;
                    }
                }
            }
            if ($x < $most - 1e-9 || null === $best) {
                $most = $x;
                $best = [$x, $y];
                if ($x < 1e-9) {
                    break;
                }
            }
        }

        return $best;
    }

    /** The next x at which what is matched sits where it must. */
    private function aligned(?Repeat $match, float $x): float
    {
        if (null === $match || $match->length <= 0) {
            return $x;
        }
        $first = $match->from(0);

        return $first + ceil(($x - $first) / $match->length - 1e-6) * $match->length;
    }

    /** @return ?list<float> the only y at which it may lie, where it is held or matched across; null for any row */
    private function heights(Variant $variant, float $width, ?float $held): ?array
    {
        $match = $variant->match;
        if (null === $match || $match->width <= 0) {
            return null === $held ? null : [$held];
        }
        $first = $match->from(1);
        if (null !== $held) {
            $places = ($held - $first) / $match->width;

            return abs($places - round($places)) * $match->width < 0.01 ? [$held] : [];
        }
        $heights = [];
        for ($y = $first - $match->width * floor($first / $match->width); $y <= $width - $variant->width + 1e-6; $y += $match->width) {
            $heights[] = $y;
        }

        return $heights;
    }

    /** @return array{int, list<float>, list<float>} the first row it lies in at a height, and where it begins and ends in each */
    private function footprint(Variant $variant, float $y): array
    {
        $s = (int) floor($y / $this->row + 1e-6);
        [$from, $to] = [$variant->from, $variant->to];
        if ($y - $s * $this->row > 1e-6) {
            // between two rows each of its own lies in two of the cloth's
            $from = array_map(static fn (float $a, float $b): float => min($a, $b), [...$from, \INF], [\INF, ...$from]);
            $to = array_map(static fn (float $a, float $b): float => max($a, $b), [...$to, -\INF], [-\INF, ...$to]);
        }

        return [$s, $from, $to];
    }

    /** @param list<list<array{float, float}>> $rows */
    private function take(array &$rows, Spot $spot): void
    {
        [$s, $from, $to] = $this->footprint($spot->variant, $spot->y);
        $around = (int) ceil($this->gap / $this->row);
        foreach ($from as $r => $start) {
            $stretch = [$spot->x + $start - $this->gap, $spot->x + $to[$r] + $this->gap];
            for ($k = $s + $r - $around; $k <= $s + $r + $around; ++$k) {
                if (isset($rows[$k])) {
                    $rows[$k] = $this->with($rows[$k], $stretch);
                }
            }
        }
    }

    /**
     * @param list<array{float, float}> $stretches apart from one another, in order
     * @param array{float, float}       $new
     *
     * @return list<array{float, float}>
     */
    private function with(array $stretches, array $new): array
    {
        $before = $after = [];
        foreach ($stretches as $stretch) {
            if ($stretch[1] < $new[0] - 0.5) {
                $before[] = $stretch;
            } elseif ($stretch[0] > $new[1] + 0.5) {
                $after[] = $stretch;
            } else {
                $new = [min($new[0], $stretch[0]), max($new[1], $stretch[1])];
            }
        }

        return [...$before, $new, ...$after];
    }

    /** @return list<list<array{float, float}>> */
    private function rows(Lane $lane): array
    {
        $rows = array_fill(0, (int) ceil($lane->width / $this->row) + 1, []);
        foreach ($lane->missing as $part) {
            $outline = Outline::convex($part);
            foreach ($rows as $r => $stretches) {
                [$y0, $y1] = [$r * $this->row, ($r + 1) * $this->row];
                if ($outline->top > $y0 + 1e-6 && $outline->bottom < $y1 - 1e-6) {
                    $rows[$r] = $this->with($stretches, [$outline->left, $outline->right]);
                }
            }
        }

        return $rows;
    }
}

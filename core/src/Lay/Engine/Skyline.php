<?php

declare(strict_types=1);

namespace Octavum\Core\Lay\Engine;

use Octavum\Core\Lay\Way\Item;
use Octavum\Core\Lay\Way\Lane;

/**
 * Lays rectangles on one lane, each where it begins earliest along the frontier of what is laid (skyline bottom-left, after
 * Burke, Kendall and Whitwell 2004), wasting least where that is equal. Exact in both directions; holes are not filled, which
 * the search over the order makes up for. Cost: pieces × steps of the frontier, a hundredth of what shapes cost.
 */
final readonly class Skyline
{
    public function __construct(private Lane $lane, private float $gap)
    {
    }

    /** @param list<Item> $items */
    public function suits(array $items): bool
    {
        foreach ($items as $item) {
            foreach ($item->variants as $variant) {
                if (null !== $item->held || null !== $variant->match || !$variant->outline->isRectangle()) {
                    return false;
                }
            }
        }

        return [] === $this->lane->missing;
    }

    /**
     * Fills the gap that lies furthest back: with the first item of the order that closes it flush, else with the first that
     * goes in at all; a gap into which nothing goes is given up.
     *
     * @param list<Item> $items
     *
     * @return ?array{list<Spot>, list<Item>}
     */
    public function decode(array $items, float $limit = \INF): ?array
    {
        $most = min($this->lane->length, $limit);
        $ys = [0.0, $this->lane->width + $this->gap];
        $xs = [0.0];
        $spots = [];
        while ([] !== $items) {
            $low = 0;
            foreach ($xs as $i => $front) {
                $low = $front < $xs[$low] ? $i : $low;
            }
            $x = $xs[$low];
            if ($x >= $most) {
                break;
            }
            [$from, $to] = [$ys[$low], $ys[$low + 1]];
            [$before, $after] = [$xs[$low - 1] ?? \INF, $xs[$low + 1] ?? \INF];
            $best = null;
            $score = 0;
            foreach ($items as $i => $item) {
                foreach ($item->variants as $variant) {
                    $width = $variant->width + $this->gap;
                    if ($width > $to - $from + 1e-6 || $x + $variant->length > $most + 1e-6) {
                        continue;
                    }
                    $end = $x + $variant->length + $this->gap;
                    $fit = 1 + ($to - $from - $width < 0.01 ? 2 : 0) + (abs($end - $before) < 0.01 || abs($end - $after) < 0.01 ? 1 : 0);
                    if ($fit > $score) {
                        [$score, $best] = [$fit, [$i, $variant]];
                    }
                }
            }
            if (null === $best) {
                $level = min($before, $after);
                if (\INF === $level) {
                    break;
                }
                [$xs, $ys] = $this->raised($xs, $ys, $from, $to, $level);
                continue;
            }
            [$i, $variant] = $best;
            $y =
                ($after > $before && $after < \INF) || (\INF === $after && $before < \INF && $before < $x + $variant->length)
                    ? $to - $variant->width - $this->gap
                    : $from;
            $spots[] = new Spot($items[$i], $variant, 0, $x, $y);
            array_splice($items, $i, 1);
            [$xs, $ys] = $this->raised($xs, $ys, $y, $y + $variant->width + $this->gap, $x + $variant->length + $this->gap);
        }

        return [] === $items || \INF === $limit ? [$spots, $items] : null;
    }

    /**
     * @param list<float> $xs
     * @param list<float> $ys
     *
     * @return array{list<float>, list<float>}
     */
    private function raised(array $xs, array $ys, float $from, float $to, float $x): array
    {
        $newX = [];
        $newY = [0.0];
        $add = static function (float $front, float $end) use (&$newX, &$newY): void {
            if ($end - $newY[\count($newY) - 1] < 1e-6) {
                return;
            }
            if ([] !== $newX && abs($newX[\count($newX) - 1] - $front) < 1e-6) {
                $newY[\count($newY) - 1] = $end;
            } else {
                $newX[] = $front;
                $newY[] = $end;
            }
        };
        foreach ($xs as $i => $front) {
            [$a, $b] = [$ys[$i], $ys[$i + 1]];
            if ($b <= $from + 1e-9 || $a >= $to - 1e-9) {
                $add($front, $b);
                continue;
            }
            if ($a < $from) {
                $add($front, $from);
            }
            $add($x, min($b, $to));
            if ($b > $to) {
                $add($front, $b);
            }
        }

        return [$newX, $newY];
    }
}

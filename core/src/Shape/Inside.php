<?php

declare(strict_types=1);

namespace Octavum\Core\Shape;

/**
 * What lies within an outline: the middle of the largest circle in it, by squares that are quartered as long as they may hold a
 * better one, the most promising first (branch and bound, Land and Doig 1960). Cost: about points × 200.
 */
final readonly class Inside
{
    /** By which what is found may be less than the best, mm. */
    private const NEAR = 0.5;

    /** @return array{float, float, float} its middle and its radius */
    public function roomiest(Outline $outline): array
    {
        $side = max(1.0, min($outline->length(), $outline->width())) / 2;
        /** @var \SplMaxHeap<array{float, float, float, float}> $squares the most that each may hold, its middle, half its side */
        $squares = new \SplMaxHeap();
        $best = [$outline->left, $outline->bottom, 0.0];
        $look = function (float $x, float $y, float $half) use ($outline, $squares, &$best): void {
            $room = $this->room($outline->points, $x, $y);
            if ($room > $best[2]) {
                $best = [$x, $y, $room];
            }
            $squares->insert([$room + $half * \M_SQRT2, $x, $y, $half]);
        };
        for ($x = $outline->left; $x < $outline->right; $x += 2 * $side) {
            for ($y = $outline->bottom; $y < $outline->top; $y += 2 * $side) {
                $look($x + $side, $y + $side, $side);
            }
        }
        while (!$squares->isEmpty()) {
            [$most, $x, $y, $half] = $squares->extract();
            if ($most <= $best[2] + self::NEAR) {
                break;
            }
            $half /= 2;
            foreach ([[-1, -1], [1, -1], [-1, 1], [1, 1]] as [$dx, $dy]) {
                $look($x + $dx * $half, $y + $dy * $half, $half);
            }
        }

        return $best;
    }

    /**
     * How far a point is from the outline; less than nought outside of it.
     *
     * @param list<array{float, float}> $points
     */
    private function room(array $points, float $x, float $y): float
    {
        $inside = false;
        $least = \INF;
        [$bx, $by] = $points[\count($points) - 1];
        foreach ($points as [$ax, $ay]) {
            if ($ay > $y !== $by > $y && $x < $ax + (($bx - $ax) * ($y - $ay)) / ($by - $ay)) {
                $inside = !$inside;
            }
            [$dx, $dy] = [$bx - $ax, $by - $ay];
            $square = $dx * $dx + $dy * $dy;
            $t = $square > 0 ? max(0.0, min(1.0, (($x - $ax) * $dx + ($y - $ay) * $dy) / $square)) : 0.0;
            $least = min($least, hypot($x - $ax - $t * $dx, $y - $ay - $t * $dy));
            [$bx, $by] = [$ax, $ay];
        }

        return $inside ? $least : -$least;
    }
}

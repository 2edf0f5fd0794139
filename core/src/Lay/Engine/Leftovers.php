<?php

declare(strict_types=1);

namespace Octavum\Core\Lay\Engine;

use Octavum\Core\Shape\Convex;

/** The largest free rectangles of a cut with pieces on it, over rows of 10 mm: never more than is really free. */
final readonly class Leftovers
{
    private const ROW = 10.0;
    private const LEAST = [150.0, 300.0];
    private const MOST = 5;

    /**
     * @param list<list<array{float, float}>> $taken  convex parts
     * @param float                           $length of the cloth that counts
     *
     * @return list<array{x: float, y: float, length: float, width: float}> the largest first
     */
    public function find(array $taken, float $width, float $length): array
    {
        $count = (int) floor($width / self::ROW + 1e-6);
        if ($count < 1 || $length <= 0) {
            return [];
        }
        $free = array_fill(0, $count, [[0.0, $length]]);
        foreach ($taken as $part) {
            $free = $this->without($free, $part);
        }
        $found = [];
        while (\count($found) < self::MOST && null !== ($best = $this->largest($free))) {
            $found[] = $best;
            for ($r = (int) round($best['y'] / self::ROW), $end = (int) round(($best['y'] + $best['width']) / self::ROW); $r < $end; ++$r) {
                $free[$r] = $this->cut($free[$r], $best['x'], $best['x'] + $best['length']);
            }
        }

        return $found;
    }

    /**
     * @param non-empty-list<list<array{float, float}>> $free
     * @param list<array{float, float}>                 $part convex
     *
     * @return non-empty-list<list<array{float, float}>>
     */
    private function without(array $free, array $part): array
    {
        [$low, $high] = (new Convex())->extent($part, 0, 1);
        foreach ($free as $r => $stretches) {
            [$a, $b] = [max($low, $r * self::ROW), min($high, ($r + 1) * self::ROW)];
            if ($b - $a < 1e-6) {
                continue;
            }
            [$from, $to] = [\INF, -\INF];
            foreach ($part as $i => $p) {
                $q = $part[($i + 1) % \count($part)];
                [$u, $v] = $p[1] <= $q[1] ? [$p, $q] : [$q, $p];
                if ($v[1] < $a || $u[1] > $b) {
                    continue;
                }
                foreach ([max($u[1], $a), min($v[1], $b)] as $y) {
                    $x = $v[1] - $u[1] < 1e-9 ? $u[0] : $u[0] + (($v[0] - $u[0]) * ($y - $u[1])) / ($v[1] - $u[1]);
                    $from = min($from, $x, $v[1] - $u[1] < 1e-9 ? $v[0] : $x);
                    $to = max($to, $x, $v[1] - $u[1] < 1e-9 ? $v[0] : $x);
                }
            }
            $free[$r] = $this->cut($stretches, $from, $to);
        }

        return $free;
    }

    /**
     * @param list<array{float, float}> $stretches
     *
     * @return list<array{float, float}> what is left and long enough to count
     */
    private function cut(array $stretches, float $from, float $to): array
    {
        $left = [];
        foreach ($stretches as [$a, $b]) {
            foreach ([[$a, min($b, $from)], [max($a, $to), $b]] as [$c, $d]) {
                if ($d - $c >= self::LEAST[0]) {
                    $left[] = [$c, $d];
                }
            }
        }

        return $left;
    }

    /**
     * @param list<list<array{float, float}>> $free
     *
     * @return ?array{x: float, y: float, length: float, width: float}
     */
    private function largest(array $free): ?array
    {
        $best = null;
        $area = 0.0;
        foreach ($free as $r => $open) {
            for ($end = $r; [] !== $open && isset($free[$end]); ++$end) {
                $next = [];
                $width = ($end - $r + 1) * self::ROW;
                foreach ($open as [$a, $b]) {
                    foreach ($free[$end] as [$c, $d]) {
                        [$x, $y] = [max($a, $c), min($b, $d)];
                        if ($y - $x < self::LEAST[0]) {
                            continue;
                        }
                        $next[] = [$x, $y];
                        if (
                            $width * ($y - $x) > $area
                            && min($width, $y - $x) >= self::LEAST[0]
                            && max($width, $y - $x) >= self::LEAST[1]
                        ) {
                            $area = $width * ($y - $x);
                            $best = ['x' => $x, 'y' => $r * self::ROW, 'length' => $y - $x, 'width' => $width];
                        }
                    }
                }
                $open = $next;
            }
        }

        return $best;
    }
}

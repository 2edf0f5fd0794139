<?php

declare(strict_types=1);

namespace Octavum\Core\Shape;

/**
 * Cuts a simple polygon into convex parts: ears cut off one by one, the shortest first, then joined across their diagonals
 * while the union stays convex (Hertel and Mehlhorn 1983). An ear is looked at again only when a neighbour was cut off, and
 * only reflex corners can lie in one. Cost: corners × reflex corners, and a scan of the corners for each ear.
 *
 * @internal
 */
final class Decomposition
{
    /** @var list<array{float, float}> counter-clockwise */
    private readonly array $points;
    /** @var array<int, int> */
    private array $next = [];
    /** @var array<int, int> */
    private array $before = [];
    /** @var array<int, array{float, float}> corners that turn inward, which alone can lie in an ear */
    private array $reflex = [];
    /** @var array<int, float> corner → longest side of its ear, INF when it is none */
    private array $ears = [];

    /** @param list<array{float, float}> $points counter-clockwise */
    public function __construct(array $points)
    {
        $this->points = $points;
    }

    /** @return non-empty-list<list<array{float, float}>> counter-clockwise */
    public function parts(): array
    {
        $count = \count($this->points);
        for ($i = 0; $i < $count; ++$i) {
            $this->next[$i] = ($i + 1) % $count;
            $this->before[$i] = ($i + $count - 1) % $count;
        }
        for ($i = 0; $i < $count; ++$i) {
            $this->look($i);
        }
        foreach (array_keys($this->next) as $i) {
            $this->ears[$i] = $this->ear($i);
        }
        $parts = [];
        while (\count($this->next) > 3) {
            $parts[] = $this->cutOff();
        }
        $parts[] = array_keys($this->next);

        return $this->joined(array_map($this->ordered(...), $parts));
    }

    /** Whether a corner turns inward. */
    private function look(int $i): void
    {
        if (self::side($this->points[$this->before[$i]], $this->points[$i], $this->points[$this->next[$i]]) < -1e-9) {
            $this->reflex[$i] = $this->points[$i];
        } else {
            unset($this->reflex[$i]);
        }
    }

    private function ear(int $i): float
    {
        [$a, $b, $c] = [$this->points[$this->before[$i]], $this->points[$i], $this->points[$this->next[$i]]];
        $turn = self::side($a, $b, $c);
        if (abs($turn) < 1e-9) {
            return -1.0;
        }
        if ($turn < 0) {
            return \INF;
        }
        [$left, $right, $low, $high] = [
            min($a[0], $b[0], $c[0]),
            max($a[0], $b[0], $c[0]),
            min($a[1], $b[1], $c[1]),
            max($a[1], $b[1], $c[1]),
        ];
        foreach ($this->reflex as $p) {
            if ($p[0] < $left || $p[0] > $right || $p[1] < $low || $p[1] > $high) {
                continue;
            }
            if (
                $p !== $a
                && $p !== $b
                && $p !== $c
                && self::side($a, $b, $p) >= -1e-9
                && self::side($b, $c, $p) >= -1e-9
                && self::side($c, $a, $p) >= -1e-9
            ) {
                return \INF;
            }
        }

        return max(hypot($a[0] - $c[0], $a[1] - $c[1]), hypot($a[0] - $b[0], $a[1] - $b[1]), hypot($b[0] - $c[0], $b[1] - $c[1]));
    }

    /** @return list<int> the corners of the ear that is cut off */
    private function cutOff(): array
    {
        $least = \INF;
        $ear = array_key_first($this->ears) ?? throw new \LogicException('A polygon has ears.');
        foreach ($this->ears as $i => $long) {
            if ($long < $least) {
                [$ear, $least] = [$i, $long];
            }
        }
        [$before, $next] = [$this->before[$ear], $this->next[$ear]];
        unset($this->next[$ear], $this->before[$ear], $this->ears[$ear], $this->reflex[$ear]);
        $this->next[$before] = $next;
        $this->before[$next] = $before;
        foreach ([$before, $next] as $corner) {
            $this->look($corner);
            $this->ears[$corner] = $this->ear($corner);
        }

        return [$before, $ear, $next];
    }

    /**
     * @param list<int> $corners
     *
     * @return list<int> counter-clockwise, as in the polygon
     */
    private function ordered(array $corners): array
    {
        sort($corners);

        return $corners;
    }

    /**
     * @param non-empty-list<list<int>> $parts
     *
     * @return non-empty-list<list<array{float, float}>>
     */
    private function joined(array $parts): array
    {
        $count = \count($this->points);
        $edges = [];
        foreach ($parts as $id => $part) {
            foreach ($part as $k => $corner) {
                $edges[$corner * $count + $part[($k + 1) % \count($part)]] = $id;
            }
        }
        $merged = [];
        foreach (array_keys($edges) as $edge) {
            [$u, $v] = [intdiv($edge, $count), $edge % $count];
            if ($u > $v || !isset($edges[$v * $count + $u])) {
                continue;
            }
            [$a, $b] = [self::root($merged, $edges[$edge]), self::root($merged, $edges[$v * $count + $u])];
            if ($a === $b) {
                continue;
            }
            $union = $this->union($parts[$a], $parts[$b], $u, $v);
            if (null !== $union) {
                $parts[$a] = $union;
                $merged[$b] = $a;
                unset($parts[$b]);
            }
        }

        $shapes = array_map(
            fn (array $part): array => array_map(fn (int $corner): array => $this->points[$corner], $part),
            array_values($parts),
        );

        return [] === $shapes ? throw new \LogicException('Joining loses nothing.') : $shapes;
    }

    /** @param array<int, int> $merged */
    private static function root(array $merged, int $part): int
    {
        while (isset($merged[$part])) {
            $part = $merged[$part];
        }

        return $part;
    }

    /**
     * @param list<int> $a with an edge from $u to $v
     * @param list<int> $b with that edge the other way
     *
     * @return ?list<int> null when the union would not be convex
     */
    private function union(array $a, array $b, int $u, int $v): ?array
    {
        $i = (int) array_search($v, $a, true);
        $j = (int) array_search($u, $b, true);
        $union = [
            ...\array_slice($a, $i),
            ...\array_slice($a, 0, $i),
            ...\array_slice([...\array_slice($b, $j), ...\array_slice($b, 0, $j)], 1, -1),
        ];
        $count = \count($union);
        foreach ($union as $k => $corner) {
            if (
                self::side($this->points[$corner], $this->points[$union[($k + 1) % $count]], $this->points[$union[($k + 2) % $count]])
                < -1e-9
            ) {
                return null;
            }
        }

        return $union;
    }

    /**
     * Above 0 when $c lies to the left of the line from $a to $b.
     *
     * @param array{float, float} $a
     * @param array{float, float} $b
     * @param array{float, float} $c
     */
    private static function side(array $a, array $b, array $c): float
    {
        return ($b[0] - $a[0]) * ($c[1] - $a[1]) - ($b[1] - $a[1]) * ($c[0] - $a[0]);
    }
}

<?php

declare(strict_types=1);

namespace Octavum\Core\Shape;

/**
 * A simple polygon in millimetres, x along the cloth and y across it, in either order, not closed by repeating the
 * first point. Every transformation keeps the order of the points.
 */
final readonly class Outline
{
    /** Edges nearer than so many mm may touch. */
    private const SLACK = 1e-9;

    public float $left;
    public float $right;
    public float $bottom;
    public float $top;

    private Parts $parts;

    /** @param non-empty-list<array{float, float}> $points at least three */
    private function __construct(public array $points, ?Parts $parts = null)
    {
        $this->parts = $parts ?? new Parts(fn (): array => (new Decomposition($this->anticlockwise()))->parts());
        $xs = array_column($points, 0);
        $ys = array_column($points, 1);
        [$this->left, $this->right, $this->bottom, $this->top] = [min($xs), max($xs), min($ys), max($ys)];
    }

    /**
     * @param list<array{float, float}> $points
     *
     * @throws \InvalidArgumentException when it is not a simple polygon with an area
     */
    public static function of(array $points): self
    {
        $count = \count($points);
        if ($count < 3) {
            throw new \InvalidArgumentException(\sprintf('an outline has at least 3 points, found %d', $count));
        }
        $outline = new self($points);
        if ($outline->area() < 1) {
            throw new \InvalidArgumentException('an outline encloses an area; this one encloses none');
        }
        foreach ((new EdgePairs(self::SLACK))->find($points) as [$i, $j, $neighbours]) {
            if (self::cross($points[$i], $points[$i + 1], $points[$j], $points[($j + 1) % $count], $neighbours)) {
                throw new \InvalidArgumentException(\sprintf('an outline does not cross itself; edges %d and %d do', $i, $j));
            }
        }

        return $outline;
    }

    /**
     * A part that is known to be convex; points may fall together.
     *
     * @param list<array{float, float}> $points
     */
    public static function convex(array $points): self
    {
        return [] === $points ? throw new \InvalidArgumentException('a part has points') : new self($points);
    }

    public static function rectangle(float $length, float $width): self
    {
        return new self([[0.0, 0.0], [$length, 0.0], [$length, $width], [0.0, $width]]);
    }

    public function length(): float
    {
        return $this->right - $this->left;
    }

    public function width(): float
    {
        return $this->top - $this->bottom;
    }

    public function area(): float
    {
        return abs($this->signedArea());
    }

    /** Whether every point of the other lies within it, or on its edge. */
    public function holds(self $other): bool
    {
        foreach ($other->points as $point) {
            $inside = false;
            $before = $this->points[\count($this->points) - 1];
            foreach ($this->points as $corner) {
                $long = hypot($corner[0] - $before[0], $corner[1] - $before[1]);
                $along =
                    $long < 1e-9
                        ? 0.0
                        : max(
                            0.0,
                            min(
                                1.0,
                                (($point[0] - $before[0]) * ($corner[0] - $before[0])
                                    + ($point[1] - $before[1]) * ($corner[1] - $before[1]))
                                    / $long ** 2,
                            ),
                        );
                if (
                    hypot(
                        $point[0] - $before[0] - $along * ($corner[0] - $before[0]),
                        $point[1] - $before[1] - $along * ($corner[1] - $before[1]),
                    ) < 0.5
                ) {
                    continue 2;
                }
                if (
                    $corner[1] > $point[1] !== $before[1] > $point[1]
                    && $point[0] < $corner[0] + (($before[0] - $corner[0]) * ($point[1] - $corner[1])) / ($before[1] - $corner[1])
                ) {
                    $inside = !$inside;
                }
                $before = $corner;
            }
            if (!$inside) {
                return false;
            }
        }

        return true;
    }

    public function isRectangle(): bool
    {
        return abs($this->area() - $this->length() * $this->width()) < 1e-6 * max(1, $this->area());
    }

    /** @param int $degrees counter-clockwise, a multiple of 45 */
    public function turned(int $degrees): self
    {
        [$cos, $sin] = match ((($degrees % 360) + 360) % 360) {
            0 => [1.0, 0.0],
            90 => [0.0, 1.0],
            180 => [-1.0, 0.0],
            270 => [0.0, -1.0],
            default => [cos(deg2rad($degrees)), sin(deg2rad($degrees))],
        };

        return $this->transformed($cos, -$sin, $sin, d: $cos, e: 0, f: 0);
    }

    /** Turned over: y → −y. */
    public function flipped(): self
    {
        return $this->transformed(1, 0, 0, d: -1, e: 0, f: 0);
    }

    public function moved(float $x, float $y): self
    {
        return $this->transformed(1, 0, 0, d: 1, e: $x, f: $y);
    }

    /** Its points as a x + b y + e, c x + d y + f; the parts come along. */
    private function transformed(float $a, float $b, float $c, float $d, float $e, float $f): self
    {
        $points = array_map(static fn (array $p): array => [$a * $p[0] + $b * $p[1] + $e, $c * $p[0] + $d * $p[1] + $f], $this->points);

        return new self($points, $this->parts->transformed($a, $b, $c, d: $d, e: $e, f: $f));
    }

    /** Longer and wider by a factor, rounded to a hundredth of a millimetre. */
    public function scaled(float $along, float $across): self
    {
        return new self(array_map(static fn (array $p): array => [round($p[0] * $along, 2), round($p[1] * $across, 2)], $this->points));
    }

    /** Moved so that its lowest x and y are nought. */
    public function atOrigin(): self
    {
        return $this->moved(-$this->left, -$this->bottom);
    }

    /** Opened at a fold edge on y = 0: joined to its mirror. */
    public function unfolded(): self
    {
        $count = \count($this->points);
        $start = null;
        for ($i = 0; $i < $count; ++$i) {
            [$a, $b] = [$this->points[$i], $this->points[($i + 1) % $count]];
            if (abs($a[1]) < 0.01 && abs($b[1]) < 0.01) {
                $start = ($i + 1) % $count;
            }
        }
        if (null === $start) {
            throw new \InvalidArgumentException('a piece on the fold has an edge on y = 0');
        }
        $half = [...\array_slice($this->points, $start), ...\array_slice($this->points, 0, $start)];
        $mirror = array_map(static fn (array $p): array => [$p[0], -$p[1]], array_reverse($half));
        foreach ($mirror as $point) {
            if (abs($point[1]) >= 0.01) {
                $half[] = $point;
            }
        }

        return new self([] === $half ? $this->points : $half);
    }

    /** Whether turning it over gives the same shape, so that either side of the cloth will do. */
    public function isSymmetric(): bool
    {
        $key = static function (self $outline): array {
            $points = array_map(
                static fn (array $p): string => \sprintf('%.2f %.2f', $p[0] + 0.0, $p[1] + 0.0),
                $outline->atOrigin()->points,
            );
            sort($points);

            return str_replace('-0.00', '0.00', $points);
        };

        return $key($this) === $key($this->flipped());
    }

    /**
     * Convex parts that cover it, worked out once. Cost: see Decomposition.
     *
     * @return non-empty-list<list<array{float, float}>> counter-clockwise
     */
    public function convexParts(): array
    {
        return $this->parts->get();
    }

    /** @return non-empty-list<array{float, float}> its points */
    private function anticlockwise(): array
    {
        return $this->signedArea() < 0 ? array_reverse($this->points) : $this->points;
    }

    private function signedArea(): float
    {
        $sum = 0.0;
        $before = $this->points[\count($this->points) - 1];
        foreach ($this->points as $point) {
            $sum += $before[0] * $point[1] - $point[0] * $before[1];
            $before = $point;
        }

        return $sum / 2;
    }

    /**
     * Whether two edges meet where they should not.
     *
     * @param array{float, float} $a
     * @param array{float, float} $b
     * @param array{float, float} $c
     * @param array{float, float} $d
     * @param bool                $neighbours they share a point, and may only share that one
     */
    private static function cross(array $a, array $b, array $c, array $d, bool $neighbours): bool
    {
        [$ca, $cb, $ac, $ad] = [self::side($c, $d, $a), self::side($c, $d, $b), self::side($a, $b, $c), self::side($a, $b, $d)];
        if (abs($ca) + abs($cb) + abs($ac) + abs($ad) < 1e-9) {
            $overlap = min(max($a[0], $b[0]), max($c[0], $d[0])) - max(min($a[0], $b[0]), min($c[0], $d[0]));
            $rise = min(max($a[1], $b[1]), max($c[1], $d[1])) - max(min($a[1], $b[1]), min($c[1], $d[1]));

            return $overlap > 1e-9 || $rise > 1e-9;
        }

        return !$neighbours && $ca * $cb <= 0 && $ac * $ad <= 0 && ($ca * $cb < 0 || $ac * $ad < 0 || 0.0 === $ca * $cb);
    }

    /**
     * Above 0 when $p lies to the left of the line from $u to $v.
     *
     * @param array{float, float} $u
     * @param array{float, float} $v
     * @param array{float, float} $p
     */
    private static function side(array $u, array $v, array $p): float
    {
        return ($v[0] - $u[0]) * ($p[1] - $u[1]) - ($v[1] - $u[1]) * ($p[0] - $u[0]);
    }
}

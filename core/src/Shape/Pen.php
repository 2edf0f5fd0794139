<?php

declare(strict_types=1);

namespace Octavum\Core\Shape;

/** Draws a line of straight and curved parts as points; curves leave their true course by no more than a tolerance. */
final class Pen
{
    private const DEEPEST = 16;

    /** @var non-empty-list<array{float, float}> */
    public array $points;

    /** @param float $tolerance in the unit of the points */
    public function __construct(float $x, float $y, private readonly float $tolerance = 0.5)
    {
        $this->points = [[$x, $y]];
    }

    public function line(float $x, float $y): self
    {
        $this->points[] = [$x, $y];

        return $this;
    }

    /**
     * A cubic Bézier curve, halved until its control points lie within the tolerance of its chord.
     *
     * @param array{float, float} $from    its first control point
     * @param array{float, float} $towards its second
     * @param array{float, float} $to
     */
    public function curve(array $from, array $towards, array $to): self
    {
        $this->halve($this->points[\count($this->points) - 1], $from, $towards, $to, 0);
        $this->points[] = $to;

        return $this;
    }

    public function quadratic(float $cx, float $cy, float $x, float $y): self
    {
        [$ax, $ay] = $this->points[\count($this->points) - 1];

        return $this->curve(
            [$ax + (2 * ($cx - $ax)) / 3, $ay + (2 * ($cy - $ay)) / 3],
            [$x + (2 * ($cx - $x)) / 3, $y + (2 * ($cy - $y)) / 3],
            [$x, $y],
        );
    }

    /**
     * Part of an ellipse as SVG 1.1 writes it, appendix F.6: from its end points to its centre, then a Bézier curve for
     * each quarter.
     *
     * @param array{float, float} $radii
     * @param float               $turned degrees by which the ellipse is turned
     * @param array{float, float} $to
     */
    public function arc(array $radii, float $turned, bool $large, bool $sweep, array $to): self
    {
        [$ax, $ay] = $this->points[\count($this->points) - 1];
        [$rx, $ry] = [abs($radii[0]), abs($radii[1])];
        [$x, $y] = $to;
        if ($rx < 1e-9 || $ry < 1e-9 || hypot($x - $ax, $y - $ay) < 1e-9) {
            return $this->line($x, $y);
        }
        [$cos, $sin] = [cos(deg2rad($turned)), sin(deg2rad($turned))];
        [$dx, $dy] = [($ax - $x) / 2, ($ay - $y) / 2];
        [$px, $py] = [$cos * $dx + $sin * $dy, $cos * $dy - $sin * $dx];
        $stretch = max(1.0, sqrt(($px / $rx) ** 2 + ($py / $ry) ** 2));
        [$rx, $ry] = [$rx * $stretch, $ry * $stretch];
        $root = sqrt(max(0.0, ($rx * $ry) ** 2 / (($rx * $py) ** 2 + ($ry * $px) ** 2) - 1)) * ($large === $sweep ? -1 : 1);
        [$ox, $oy] = [($root * $rx * $py) / $ry, (-$root * $ry * $px) / $rx];
        [$cx, $cy] = [$cos * $ox - $sin * $oy + ($ax + $x) / 2, $sin * $ox + $cos * $oy + ($ay + $y) / 2];
        $from = atan2(($py - $oy) / $ry, ($px - $ox) / $rx);
        $through = atan2((-$py - $oy) / $ry, (-$px - $ox) / $rx) - $from;
        $through += $sweep && $through < 0 ? 2 * \M_PI : (!$sweep && $through > 0 ? -2 * \M_PI : 0);
        $parts = max(1, (int) ceil(abs($through) / (\M_PI / 2) - 1e-9));
        $step = $through / $parts;
        $handle = (4 / 3) * tan($step / 4);
        $on = static fn (float $u, float $v): array => [$cx + $cos * $rx * $u - $sin * $ry * $v, $cy + $sin * $rx * $u + $cos * $ry * $v];
        for ($i = 0; $i < $parts; ++$i) {
            [$a, $b] = [$from + $i * $step, $from + ($i + 1) * $step];
            $end = $i + 1 === $parts ? [$x, $y] : $on(cos($b), sin($b));
            $this->curve(
                $on(cos($a) - $handle * sin($a), sin($a) + $handle * cos($a)),
                $on(cos($b) + $handle * sin($b), sin($b) - $handle * cos($b)),
                $end,
            );
        }

        return $this;
    }

    /**
     * Taken as closed: neither two neighbours nor the last and the first in the same place.
     *
     * @return list<array{float, float}>
     */
    public function closed(): array
    {
        $kept = [];
        foreach ($this->points as $point) {
            if ([] === $kept || !$this->same($point, $kept[\count($kept) - 1])) {
                $kept[] = $point;
            }
        }
        while (\count($kept) > 1 && $this->same($kept[0], $kept[\count($kept) - 1])) {
            array_pop($kept);
        }

        return $kept;
    }

    /**
     * @param array{float, float} $a
     * @param array{float, float} $b
     */
    private function same(array $a, array $b): bool
    {
        return abs($a[0] - $b[0]) < 1e-3 && abs($a[1] - $b[1]) < 1e-3;
    }

    /**
     * @param array{float, float} $a
     * @param array{float, float} $b
     * @param array{float, float} $c
     * @param array{float, float} $d
     */
    private function halve(array $a, array $b, array $c, array $d, int $depth): void
    {
        $long = hypot($d[0] - $a[0], $d[1] - $a[1]);
        $flat = true;
        foreach ([$b, $c] as [$x, $y]) {
            $off =
                $long < 1e-9 ? hypot($x - $a[0], $y - $a[1]) : abs(($d[0] - $a[0]) * ($y - $a[1]) - ($d[1] - $a[1]) * ($x - $a[0])) / $long;
            $beyond = $long >= $this->tolerance && max(hypot($x - $a[0], $y - $a[1]), hypot($x - $d[0], $y - $d[1])) > $long;
            $flat = $flat && 0.75 * $off <= $this->tolerance && !$beyond;
        }
        if ($flat || $depth >= self::DEEPEST) {
            return;
        }
        [$ab, $bc, $cd] = [$this->mid($a, $b), $this->mid($b, $c), $this->mid($c, $d)];
        [$abc, $bcd] = [$this->mid($ab, $bc), $this->mid($bc, $cd)];
        $middle = $this->mid($abc, $bcd);
        $this->halve($a, $ab, $abc, $middle, $depth + 1);
        $this->points[] = $middle;
        $this->halve($middle, $bcd, $cd, $d, $depth + 1);
    }

    /**
     * @param array{float, float} $a
     * @param array{float, float} $b
     *
     * @return array{float, float}
     */
    private function mid(array $a, array $b): array
    {
        return [($a[0] + $b[0]) / 2, ($a[1] + $b[1]) / 2];
    }
}

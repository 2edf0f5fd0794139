<?php

declare(strict_types=1);

namespace Octavum\Core\Lay\Engine;

use Octavum\Core\Lay\Way\Member;
use Octavum\Core\Lay\Way\Variant;
use Octavum\Core\Shape\Convex;

/** Pieces put together, with the outline of all of them, which is nearly that of what they were. @internal */
final readonly class Cluster
{
    private float $left;
    private float $right;
    private float $bottom;
    private float $top;

    /**
     * @param non-empty-list<Member>    $members
     * @param list<array{float, float}> $points  counter-clockwise
     * @param float                     $off     by how much less a corner is none, mm
     */
    public function __construct(public array $members, public array $points, private float $off)
    {
        $this->left = min(array_map(static fn (Member $member): float => $member->x, $members));
        $this->bottom = min(array_map(static fn (Member $member): float => $member->y, $members));
        $this->right = max(array_map(static fn (Member $member): float => $member->x + $member->variant->length, $members));
        $this->top = max(array_map(static fn (Member $member): float => $member->y + $member->variant->width, $members));
    }

    public function length(): float
    {
        return $this->right - $this->left;
    }

    public function width(): float
    {
        return $this->top - $this->bottom;
    }

    public function isRectangle(): bool
    {
        [$length, $width] = [$this->length(), $this->width()];

        return 4 === \count($this->points) && abs($this->area() - $length * $width) < $this->off * ($length + $width);
    }

    /** @return list<list<array{float, float}>> convex */
    public function parts(): array
    {
        $parts = [];
        foreach ($this->members as $member) {
            foreach ($member->variant->outline->convexParts() as $part) {
                $parts[] = array_map(static fn (array $p): array => [$p[0] + $member->x, $p[1] + $member->y], $part);
            }
        }

        return $parts;
    }

    public function area(): float
    {
        $twice = 0.0;
        foreach ($this->points as $i => $p) {
            $q = $this->points[($i + 1) % \count($this->points)];
            $twice += $p[0] * $q[1] - $p[1] * $q[0];
        }

        return abs($twice) / 2;
    }

    /** Share of its hull that its pieces fill. */
    public function filled(Convex $convex): float
    {
        $area = array_sum(array_map(static fn (Member $member): float => $member->variant->outline->area(), $this->members));
        $hull = new self($this->members, $convex->hull($this->points), $this->off);

        return $area / max(1.0, $hull->area());
    }

    /** The other way round; null when one of its pieces may not be turned so. */
    public function turned(): ?self
    {
        $members = [];
        foreach ($this->members as $member) {
            $variant = self::opposite($member);
            if (null === $variant) {
                return null;
            }
            $members[] = new Member(
                $member->item,
                $variant,
                $this->right - $member->x - $member->variant->length,
                $this->top - $member->y - $member->variant->width,
            );
        }

        $points = array_map(fn (array $p): array => [$this->right - $p[0], $this->top - $p[1]], $this->points);

        return new self($members, $points, $this->off);
    }

    private static function opposite(Member $member): ?Variant
    {
        foreach ($member->item->all as $variant) {
            if ($variant->turn === ($member->variant->turn + 180) % 360 && $variant->flipped === $member->variant->flipped) {
                return $variant;
            }
        }

        return null;
    }

    /** From side to side of the cloth where it stands out by a hair: each is moved in, the more the higher its top is. */
    public function within(float $width): self
    {
        $over = $this->width() - $width;
        if ($over <= 0) {
            return $this;
        }
        $over += 1e-6;
        $in = fn (Member $member): float => $over * ($member->y - $this->bottom) / ($this->width() - $member->variant->width);

        return new self(
            array_map(
                static fn (Member $member): Member => new Member($member->item, $member->variant, $member->x, $member->y - $in($member)),
                $this->members,
            ),
            array_map(static fn (array $p): array => [$p[0], min($width, $p[1])], $this->points),
            $this->off,
        );
    }

    /** With its lowest x and y at nought. */
    public function atOrigin(): self
    {
        return $this->moved(-$this->left, -$this->bottom);
    }

    public function moved(float $dx, float $dy): self
    {
        return new self(
            array_map(
                static fn (Member $member): Member => new Member($member->item, $member->variant, $member->x + $dx, $member->y + $dy),
                $this->members,
            ),
            array_map(static fn (array $p): array => [$p[0] + $dx, $p[1] + $dy], $this->points),
            $this->off,
        );
    }

    /** How long its outline is. */
    public function around(): float
    {
        $sum = 0.0;
        foreach ($this->points as $i => $p) {
            $q = $this->points[($i + 1) % \count($this->points)];
            $sum += hypot($q[0] - $p[0], $q[1] - $p[1]);
        }

        return $sum;
    }

    /** With another that lies beside it, its nth side against the mth; null when that leaves no outline. */
    public function joined(self $other, int $m, int $n): ?self
    {
        $count = \count($this->points);
        $others = \count($other->points);
        $points = [];
        // all of its own, from the end of the side to its beginning, then the other's between
        for ($k = 1; $k <= $count; ++$k) {
            $points[] = $this->points[($m + $k) % $count];
        }
        for ($k = 2; $k < $others; ++$k) {
            $points[] = $other->points[($n + $k) % $others];
        }
        $points = $this->cleaned($points);

        return \count($points) < 3 ? null : new self([...$this->members, ...$other->members], $points, $this->off);
    }

    /**
     * Without double points, spikes where sides run back on themselves, and points on a straight side.
     *
     * @param list<array{float, float}> $points
     *
     * @return list<array{float, float}>
     */
    private function cleaned(array $points): array
    {
        for ($i = 0, $same = 0; $same < \count($points) && \count($points) > 2;) {
            $count = \count($points);
            [$a, $b, $c] = [$points[($i + $count - 1) % $count], $points[$i % $count], $points[($i + 1) % $count]];
            [$ux, $uy, $vx, $vy] = [$b[0] - $a[0], $b[1] - $a[1], $c[0] - $b[0], $c[1] - $b[1]];
            $long = max(hypot($ux, $uy), hypot($vx, $vy));
            if (hypot($ux, $uy) < $this->off || abs($ux * $vy - $uy * $vx) < $this->off * $long) {
                array_splice($points, $i % $count, 1);
                $same = 0;
                $i = max(0, $i - 1);
                continue;
            }
            ++$same;
            $i = ($i + 1) % $count;
        }

        return $points;
    }
}

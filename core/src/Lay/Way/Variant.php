<?php

declare(strict_types=1);

namespace Octavum\Core\Lay\Way;

use Octavum\Core\Lay\Request\Repeat;
use Octavum\Core\Shape\Outline;

/** A piece turned and flipped one of the ways it may lie, with its lowest x and y at nought. */
final readonly class Variant
{
    public float $length;
    public float $width;

    /** @var array{list<Solid>, list<Solid>} its convex parts, to be moved along x and along y */
    private array $solids;

    /** @var list<float> for each row, where the piece begins in it; INF where it is not */
    public array $from;

    /** @var list<float> for each row, where the piece ends in it */
    public array $to;

    /**
     * @param float        $row     height of the rows of the decoder
     * @param list<Member> $members of a pair that is laid as one; its outline is their box
     */
    public function __construct(
        public Outline $outline,
        public int $turn,
        public bool $flipped,
        float $row,
        public ?Repeat $match,
        public array $members = [],
    ) {
        $this->length = $outline->right;
        $this->width = $outline->top;
        $parts = [] === $members ? $outline->convexParts() : array_merge(...array_map(
            static fn (Member $member): array => $member->variant->outline->moved($member->x, $member->y)->convexParts(),
            $members,
        ));
        $this->solids = [
            array_map(static fn (array $part): Solid => Solid::of($part, 0), $parts),
            array_map(static fn (array $part): Solid => Solid::of($part, 1), $parts),
        ];
        $count = max(1, (int) ceil($this->width / $row - 1e-6));
        $from = array_fill(0, $count, \INF);
        $to = array_fill(0, $count, -\INF);
        $outlines =
            [] === $members
                ? [$outline]
                : array_map(static fn (Member $member): Outline => $member->variant->outline->moved($member->x, $member->y), $members);
        foreach ($outlines as $one) {
            $this->trace($one->points, $row, $from, $to);
        }
        $this->from = array_values($from);
        $this->to = array_values($to);
    }

    /**
     * @param list<array{float, float}>   $points
     * @param non-empty-array<int, float> $from
     * @param non-empty-array<int, float> $to
     */
    private function trace(array $points, float $row, array &$from, array &$to): void
    {
        $count = \count($from);
        foreach ($points as $i => $a) {
            $b = $points[($i + 1) % \count($points)];
            [$low, $high] = $a[1] <= $b[1] ? [$a, $b] : [$b, $a];
            for (
                $r = max(0, (int) floor($low[1] / $row - 1e-6)), $last = min($count - 1, (int) floor($high[1] / $row));
                $r <= $last;
                ++$r
            ) {
                foreach ([max($low[1], $r * $row), min($high[1], ($r + 1) * $row)] as $y) {
                    $x = $high[1] - $low[1] < 1e-9 ? $low[0] : $low[0] + (($high[0] - $low[0]) * ($y - $low[1])) / ($high[1] - $low[1]);
                    $from[$r] = min($from[$r], $x, ...$high[1] - $low[1] < 1e-9 ? [$high[0]] : []);
                    $to[$r] = max($to[$r], $x, ...$high[1] - $low[1] < 1e-9 ? [$high[0]] : []);
                }
            }
        }
    }

    /**
     * @param int $axis 0 for x, 1 for y
     *
     * @return list<Solid>
     */
    public function solids(int $axis): array
    {
        return 0 === $axis ? $this->solids[0] : $this->solids[1];
    }
}

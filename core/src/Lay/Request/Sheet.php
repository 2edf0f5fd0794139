<?php

declare(strict_types=1);

namespace Octavum\Core\Lay\Request;

use Octavum\Core\Shape\Outline;

/** A cut to lay on: its usable width, and its length or an endless roll; an outline makes it irregular. */
final readonly class Sheet
{
    /**
     * @param ?float                                  $length null for an endless roll
     * @param list<array{float, float, float, float}> $bites  rectangles that are missing: x, y, length, width
     */
    public function __construct(
        public string $id,
        public float $width,
        public ?float $length,
        public ?Outline $outline = null,
        public array $bites = [],
    ) {
    }

    public function isIrregular(): bool
    {
        return null !== $this->outline || [] !== $this->bites;
    }

    /**
     * What is not cloth within its length × width, as convex parts: the bites, and the outline's complement, cut into
     * trapezoids at the x of each of its points.
     *
     * @return list<list<array{float, float}>> counter-clockwise
     */
    public function missingParts(): array
    {
        $parts = array_map(
            static fn (array $b): array => [[$b[0], $b[1]], [$b[0] + $b[2], $b[1]], [$b[0] + $b[2], $b[1] + $b[3]], [$b[0], $b[1] + $b[3]]],
            $this->bites,
        );
        if (null === $this->outline) {
            return $parts;
        }
        $points = $this->outline->points;
        $xs = array_column($points, 0);
        array_push($xs, 0.0, $this->length ?? $this->outline->right);
        sort($xs);
        for ($i = 1, $n = \count($xs); $i < $n; ++$i) {
            [$from, $to] = [$xs[$i - 1], $xs[$i]];
            if ($to - $from < 1e-6) {
                continue;
            }
            $edges = [];
            foreach ($points as $j => $a) {
                $b = $points[($j + 1) % \count($points)];
                if (min($a[0], $b[0]) <= $from + 1e-9 && max($a[0], $b[0]) >= $to - 1e-9 && abs($b[0] - $a[0]) > 1e-9) {
                    $at = static fn (float $x): float => $a[1] + (($b[1] - $a[1]) * ($x - $a[0])) / ($b[0] - $a[0]);
                    $edges[] = [$at($from), $at($to)];
                }
            }
            usort($edges, static fn (array $a, array $b): int => $a[0] + $a[1] <=> $b[0] + $b[1]);
            $edges = [[0.0, 0.0], ...$edges, [$this->width, $this->width]];
            for ($k = 0, $m = \count($edges) - 1; $k < $m; $k += 2) {
                [[$a, $b], [$c, $d]] = [$edges[$k], $edges[$k + 1]];
                if (abs($c - $a) + abs($d - $b) > 1e-6) {
                    $parts[] = [[$from, $a], [$to, $b], [$to, $d], [$from, $c]];
                }
            }
        }

        return $parts;
    }
}

<?php

declare(strict_types=1);

namespace Octavum\Core\Remedy;

use Octavum\Core\Shape\Outline;

/**
 * The flare of a skirt piece: what it is wider below the hip than at the hip. x runs along the piece from its top. Above the hip
 * nothing changes, so that waist and hip keep their measure.
 *
 * @internal to Reshaping
 */
final readonly class Flare
{
    /** The hip below the waist, mm; of a short piece a third of its length. */
    private const HIP = 200.0;

    /** Less is no flare, mm on both sides together. */
    private const LEAST = 20.0;

    public function __construct(private Outline $outline)
    {
    }

    /** With so many per cent less of it; null where there is none to speak of. */
    public function reduced(int $percent): ?Outline
    {
        $hip = $this->outline->left + min(self::HIP, $this->outline->length() / 3);
        $points = $this->withPointsAt($hip);
        $at = array_column(array_filter($points, static fn (array $point): bool => abs($point[0] - $hip) < 1e-6), 1);
        if (\count($at) < 2) {
            return null;
        }
        [$low, $high] = [min($at), max($at)];
        if (max(0.0, $low - $this->outline->bottom) + max(0.0, $this->outline->top - $high) < self::LEAST) {
            return null;
        }
        $narrowed = array_map(static function (array $point) use ($hip, $low, $high, $percent): array {
            $within = min($high, max($low, $point[1]));

            return $point[0] <= $hip ? $point : [$point[0], $within + (($point[1] - $within) * (100 - $percent)) / 100];
        }, $points);

        return Outline::of($narrowed);
    }

    /** @return list<array{float, float}> the outline with a point wherever it crosses an x */
    private function withPointsAt(float $x): array
    {
        $points = [];
        foreach ($this->outline->points as $i => $a) {
            $points[] = $a;
            $b = $this->outline->points[($i + 1) % \count($this->outline->points)];
            if (($a[0] - $x) * ($b[0] - $x) < -1e-9) {
                $points[] = [$x, $a[1] + (($b[1] - $a[1]) * ($x - $a[0])) / ($b[0] - $a[0])];
            }
        }

        return $points;
    }
}

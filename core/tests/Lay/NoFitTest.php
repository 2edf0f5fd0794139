<?php

declare(strict_types=1);

namespace Octavum\Core\Tests\Lay;

use Octavum\Core\Lay\Engine\NoFit;
use Octavum\Core\Shape\Convex;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

final class NoFitTest extends TestCase
{
    public function testALineMeetsAFaceWhereItsSidesSay(): void
    {
        $random = new Randomizer(new Mt19937(4));
        $met = 0;
        for ($n = 0; $n < 40; ++$n) {
            $fit = NoFit::of([$this->shape($random)], [$this->shape($random)], $n % 3, new Convex());
            foreach ([[$fit->faces[0], $fit->spans[0]], [$fit->across[0], $fit->spansAcross[0]]] as [$face, $span]) {
                for ($i = 0; $i <= 20; ++$i) {
                    $y = $face[2] + ($face[3] - $face[2]) * $i / 20;
                    [$low, $high] = $this->bySides($face, $y);
                    if ($high - $low < 0.01) {
                        continue;
                    }
                    ++$met;
                    self::assertEqualsWithDelta([$low, $high], $this->bySpan($span, $y), 1e-6);
                }
            }
        }
        self::assertGreaterThan(1000, $met);
    }

    public function testTwoRectanglesMustNotComeNearerThanTheyAreLong(): void
    {
        $box = static fn (float $x, float $y): array => [[0.0, 0.0], [$x, 0.0], [$x, $y], [0.0, $y]];
        $fit = NoFit::of([$box(300, 100)], [$box(50, 40)], 0, new Convex());

        // from 50 before it to its end, at every height between: less 0.03 mm by which they may lie over one another
        self::assertEqualsWithDelta([-49.97, 299.97], $this->bySpan($fit->spans[0], 20), 1e-9);
        self::assertEqualsWithDelta([-39.97, 99.97], $this->bySpan($fit->spansAcross[0], 20), 1e-9);
    }

    /**
     * @param list<float> $face
     *
     * @return array{float, float}
     */
    private function bySides(array $face, float $y): array
    {
        [$low, $high] = $face;
        foreach (array_chunk(\array_slice($face, 4), 3) as [$run, $rise, $rest]) {
            $end = ($rest - $rise * $y) / (abs($run) < 1e-12 ? \INF : $run);
            $high = $run > 1e-12 ? min($high, $end) : $high;
            $low = $run < -1e-12 ? max($low, $end) : $low;
        }

        return [$low, $high];
    }

    /**
     * @param list<float> $span
     *
     * @return array{float, float}
     */
    private function bySpan(array $span, float $y): array
    {
        $split = (int) $span[4];

        return [$this->at(\array_slice($span, 5, $split - 5), $y), $this->at(\array_slice($span, $split), $y)];
    }

    /** @param list<float> $border */
    private function at(array $border, float $y): float
    {
        $x = 0.0;
        foreach (array_chunk($border, 3) as $n => [$from, $there, $change]) {
            $x = 0 === $n || $from <= $y ? $there + $change * ($y - $from) : $x;
        }

        return $x;
    }

    /** @return list<array{float, float}> convex, of some corners */
    private function shape(Randomizer $random): array
    {
        $points = [];
        for ($i = 0; $i < 9; ++$i) {
            $points[] = [(float) $random->getInt(0, 400), (float) $random->getInt(0, 300)];
        }

        return (new Convex())->hull($points);
    }
}

<?php

declare(strict_types=1);

namespace Octavum\Core\Lay\Engine;

use Octavum\Core\Lay\Way\Lane;
use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * Makes a sound lay on several cuts shorter, pieces going from one to another: the cuts lie beside one another with a wall between,
 * and each ends where what lies on it ends. Some per cent are taken off one of them, and the pieces are separated wherever there is room.
 *
 * @internal
 */
final readonly class SqueezeCuts
{
    /** Of a wall, mm: wide enough for a piece to be pushed off it to its nearer side. */
    private const WALL = 50.0;

    private const FIRST = 0.04;
    private const LEAST = 0.004;
    private const RETURNS = 3;
    private const MOST_CHANGED = 3;
    private const PATIENT = 150;

    /** @var list<float> where each lies across */
    private array $from;

    /** Of all of them and the walls. */
    private float $width;

    /** @param non-empty-list<Lane> $lanes laid flat */
    public function __construct(private array $lanes, private float $gap, private Settler $settler, private Cost $cost, private int $seed)
    {
        $from = [];
        $width = 0.0;
        foreach ($lanes as $lane) {
            $from[] = $width;
            $width += $lane->width + self::WALL;
        }
        $this->from = $from;
        $this->width = $width - self::WALL;
    }

    /**
     * Whether any of the pieces may lie on any of the cuts.
     *
     * @param non-empty-list<Lane> $lanes
     * @param list<Spot>           $spots
     */
    public static function suits(array $lanes, array $spots): bool
    {
        foreach ($lanes as $lane) {
            if (1 !== $lane->layers || $lane->fold) {
                return false;
            }
        }
        foreach ($spots as $spot) {
            if (null !== $spot->item->piece->cut || null !== $spot->item->held || ($spot->variant->match->width ?? 0) > 0) {
                return false;
            }
        }

        return \count(array_unique(array_map(static fn (Lane $lane): string => $lane->sheet, $lanes))) === \count($lanes);
    }

    /**
     * @param list<Spot>                 $spots
     * @param \Closure(): float          $left  share of the time that is left
     * @param \Closure(list<Spot>): void $found hears of every shorter lay
     *
     * @return list<Spot>
     */
    public function run(array $spots, \Closure $left, \Closure $found): array
    {
        $random = new Randomizer(new Mt19937($this->seed + 7));
        $best = $spots;
        $used = $this->used($best);
        $separation = new Separation($this->beside($used), $this->gap, $this->joined($best), $random);
        $share = self::FIRST;
        for ($tries = 0, $turn = 0; $left() > 0; ++$tries, ++$turn) {
            $shorter = array_keys(array_filter(
                $this->lanes,
                static fn (Lane $lane, int $i): bool => $used[$i] > $lane->taken,
                \ARRAY_FILTER_USE_BOTH,
            ));
            if ([] === $shorter) {
                break;
            }
            $cut = $shorter[$turn % \count($shorter)];
            $allowed = $used;
            $allowed[$cut] = max($this->lanes[$cut]->taken, $used[$cut] * (1 - $share));
            if (0 === $tries % self::RETURNS) {
                $separation->set($this->joined($best));
            }
            for ($n = 0; $n < min($tries, self::MOST_CHANGED); ++$n) {
                $separation->swap($random->getInt(0, \count($best) - 1), $random->getInt(0, \count($best) - 1));
            }
            $separation->throw($random->getInt(0, \count($best) - 1));
            $separation->within($this->beside($allowed));
            if ($separation->run(max([0.0, ...$allowed]), $left, self::PATIENT)) {
                $settled = $this->settler->settle($this->apart($separation->spots($this->joined($best))), $left);
                if ($this->cost->length($settled) < $this->cost->length($best) - 1e-6 && $this->isSound($settled)) {
                    $best = $settled;
                    $used = $this->used($best);
                    $separation->reorder($this->joined($best));
                    $found($best);
                    $tries = -1;
                    continue;
                }
            }
            $share = 11 === $tries % 12 ? self::FIRST / 2 : max(self::LEAST, $share * 0.85);
        }

        return $best;
    }

    /**
     * @param list<Spot> $spots
     *
     * @return list<float> how far each cut is used
     */
    private function used(array $spots): array
    {
        return array_values($this->cost->used($spots));
    }

    /** @param array<float> $allowed how far each cut may be used */
    private function beside(array $allowed): Lane
    {
        $end = max([0.0, ...array_values($allowed)]) + 1000;
        $box = static fn (float $x, float $y, float $width): array => [[$x, $y], [$end, $y], [$end, $y + $width], [$x, $y + $width]];
        $missing = [];
        foreach ($this->lanes as $i => $lane) {
            $from = $this->from[$i];
            if ($i > 0) {
                $missing[] = $box(-1000, $from - self::WALL, self::WALL);
            }
            $missing[] = $box($allowed[$i], $from, $lane->width);
            foreach ($lane->missing as $part) {
                $missing[] = array_map(static fn (array $p): array => [$p[0], $p[1] + $from], $part);
            }
        }

        return new Lane('', $this->width, \INF, missing: $missing);
    }

    /**
     * @param list<Spot> $spots
     *
     * @return list<Spot> on the one lane
     */
    private function joined(array $spots): array
    {
        return array_map(fn (Spot $spot): Spot => $spot->at($spot->x, $spot->y + $this->from[$spot->lane])->movedTo(0), $spots);
    }

    /**
     * @param list<Spot> $spots
     *
     * @return list<Spot> each on its own
     */
    private function apart(array $spots): array
    {
        return array_map(function (Spot $spot): Spot {
            $lane = \count($this->lanes) - 1;
            while ($lane > 0 && $spot->y < $this->from[$lane] - self::WALL / 2) {
                --$lane;
            }

            return $spot->at($spot->x, max(0.0, $spot->y - $this->from[$lane]))->movedTo($lane);
        }, $spots);
    }

    /** @param list<Spot> $spots */
    private function isSound(array $spots): bool
    {
        foreach ($this->lanes as $i => $lane) {
            $own = array_values(array_filter($spots, static fn (Spot $spot): bool => $spot->lane === $i));
            if (!(new Guard($lane))->isSound(array_map(static fn (Spot $spot): Spot => $spot->movedTo(0), $own))) {
                return false;
            }
        }

        return true;
    }
}

<?php

declare(strict_types=1);

namespace Octavum\Core\Lay\Engine;

use Octavum\Core\Lay\Request\Fold;
use Octavum\Core\Lay\Way\Item;
use Octavum\Core\Lay\Way\Lane;
use Octavum\Core\Lay\Way\Way;

/**
 * Searches one way of laying: the first engine looks for an order for a tenth of the time, the second makes its lay shorter, lane
 * by lane (docs/decisions/0020). What is all rectangles on one lane is left to the skyline.
 *
 * @internal
 */
final class WaySearch
{
    /** Share of the time for a lay to begin with, on one lane and on several, where the rest of it goes to squeezing that. */
    private const START = 0.1;
    private const START_ON_SEVERAL = 0.25;

    /** Share of the time, at its end, for the first engine once more and another squeeze. */
    private const AGAIN = 0.5;

    /** Of several lanes each is squeezed so often. */
    private const TURNS = 3;

    /** @var non-empty-list<Lane> */
    private readonly array $lanes;

    private readonly Cost $cost;
    private readonly Settler $settler;

    /** @var array{float, float} items without room, and the length used, of the best lay that was told */
    private array $told = [\INF, \INF];

    private int $evaluated = 0;

    /**
     * @param float                      $row    height of the decoder's rows, mm
     * @param float                      $gap    between pieces
     * @param bool                       $second engine too; without it the first has all the time
     * @param \Closure(): float          $left   share of the time that is left
     * @param \Closure(list<Spot>): void $better hears of every better lay
     */
    public function __construct(
        private readonly Way $way,
        private readonly float $row,
        private readonly float $gap,
        private readonly int $seed,
        private readonly bool $second,
        private readonly \Closure $left,
        private readonly \Closure $better,
    ) {
        $this->cost = new Cost($way);
        $this->lanes = [] === $way->lanes ? throw new \LogicException('It is laid on a lane.') : $way->lanes;
        $this->settler = new Settler($this->lanes, $gap);
    }

    /** @return array{list<Spot>, list<Item>, int} where all lies, what there is no room for, and how many lays were tried */
    public function run(): array
    {
        [$spots, $unplaced] = $this->searched();

        return [$spots, $unplaced, $this->evaluated];
    }

    /** @return array{list<Spot>, list<Item>} */
    private function searched(): array
    {
        $alone = 1 === \count($this->lanes);
        $skyline = new Skyline($this->lanes[0], $this->gap);
        if ($alone && $skyline->suits($this->way->items)) {
            return $this->ordered(new Search($skyline->decode(...), $this->cost, $this->seed), $this->way->items, $this->left, false);
        }
        // a sound lay to begin with, and the rest of the time for the squeeze
        $squeezes = $this->second && \count($this->way->items) > 1;
        $until = $squeezes ? 1 - ($alone ? self::START : self::START_ON_SEVERAL) : 0.0;
        $start = fn (): float => (($this->left)() - $until) / (1 - $until);
        $paired = (new PiecePairs($this->row, $this->gap))->build($this->way->items, $start);
        $search = $this->search($this->seed, $this->left);
        [$spots, $unplaced] = $this->ordered($search, $paired, $start);
        if ($until > 0 && [] === $unplaced) {
            $spots = $this->squeezed($spots, $this->seed, fn (): float => ($this->left)() - self::AGAIN);
            // on one lane a squeeze ends before its time only where nothing can be shorter
            $isShortest = $alone && ($this->left)() > self::AGAIN;

            return [$isShortest ? $spots : $this->again($spots, $paired), []];
        }
        if ($until > 0 && $alone && $this->lanes[0]->length < \INF) {
            $all = $this->onEndless(fn (): float => ($this->left)() - $until / 2);
            if (null !== $all) {
                $this->tell($all);

                return [$all, []];
            }
        }

        return $until > 0 ? $this->ordered($search, $paired, $this->left) : [$spots, $unplaced];
    }

    /** @param \Closure(): float $left */
    private function search(int $seed, \Closure $left): Search
    {
        $decoder = new Decoder($this->lanes, $this->row, $this->gap, $left);

        return new Search($decoder->decode(...), $this->cost, $seed);
    }

    /**
     * The best order that is found, settled.
     *
     * @param list<Item>        $paired
     * @param \Closure(): float $left
     *
     * @return array{list<Spot>, list<Item>}
     */
    private function ordered(Search $search, array $paired, \Closure $left, bool $settles = true): array
    {
        $settle = $settles
            ? $this->settler->settle(...)
            : /** @param list<Spot> $spots */
            static fn (array $spots): array => $spots;
        $before = $search->evaluated;
        $settled = [];
        [$spots, $unplaced] = $search->run($this->way->items, $paired, $left, function (array $spots) use ($settle, &$settled): void {
            if ([] === $settled) {
                $this->tell($spots);
            }
            $spots = $settle($spots, $this->left);
            if (\count($spots) > \count($settled) || $this->cost->length($spots) < $this->cost->length($settled) - 1e-6) {
                $settled = $spots;
                $this->tell($spots);
            }
        });
        $this->evaluated += $search->evaluated - $before;

        return [[] === $unplaced && [] !== $settled ? $settled : $settle($spots, $this->left), $unplaced];
    }

    /**
     * The first engine once more, from another seed, which a squeeze does not always reach; then the squeeze of what is shorter.
     *
     * @param list<Spot> $spots
     * @param list<Item> $paired
     *
     * @return list<Spot>
     */
    private function again(array $spots, array $paired): array
    {
        $half = fn (): float => ($this->left)() - self::AGAIN / 2;
        [$other, $unplaced] = $this->ordered($this->search($this->seed + 1, $half), $paired, $half);
        $isShorter = [] === $unplaced && $this->cost->length($other) < $this->cost->length($spots) - 1e-6;

        return $this->squeezed($isShorter ? $other : $spots, $this->seed + 1, $this->left);
    }

    /**
     * All of it on a cloth without end, squeezed until it is no longer than the cut.
     *
     * @param \Closure(): float $left
     *
     * @return ?list<Spot> null when it stays longer
     */
    private function onEndless(\Closure $left): ?array
    {
        $cut = $this->lanes[0];
        $way = new Way($this->way->fold, [$cut->endless()], $this->way->items, $this->way->doubled);
        $endless = new self($way, $this->row, $this->gap, seed: $this->seed, second: true, left: $left, better: static function (): void {
        });
        $spots = $endless->settler->settle($endless->search($this->seed, $left)->first($way->items), $left);
        $spots = $endless->squeezed($spots, $this->seed, $left, $cut->length);

        return [] !== $spots && self::end($spots) <= $cut->length + 1e-6 ? $spots : null;
    }

    /**
     * Several cuts beside one another for half of the time; then each lane in turn, as far as what lies on it is what makes the lay
     * long.
     *
     * @param list<Spot>        $spots
     * @param \Closure(): float $left
     * @param float             $enough stops when it is no longer
     *
     * @return list<Spot>
     */
    private function squeezed(array $spots, int $seed, \Closure $left, float $enough = 0.0): array
    {
        if (1 === \count($this->lanes)) {
            return $this->squeezedOn(0, $spots, $seed, $left, $enough);
        }
        $half = $left() / 2;
        if (SqueezeCuts::suits($this->lanes, $spots)) {
            $joint = new SqueezeCuts($this->lanes, $this->gap, $this->settler, $this->cost, $seed);
            $spots = $joint->run($spots, static fn (): float => $left() - $half, $this->tell(...));
        }
        $turns = self::TURNS * \count($this->lanes);
        for ($turn = 0; $turn < $turns && ($now = $left()) > 0; ++$turn) {
            $k = $turn % \count($this->lanes);
            $others = array_values(array_filter($spots, static fn (Spot $spot): bool => $spot->lane !== $k));
            if ($this->cost->length($others) > $this->cost->length($spots) - 1e-6) {
                continue;
            }
            $until = $now * (1 - 1 / ($turns - $turn));
            $beside = Fold::Part === $this->way->fold ? [] : array_filter(
                $others,
                fn (Spot $spot): bool => $this->lanes[$spot->lane]->sheet === $this->lanes[$k]->sheet,
            );
            $spots = $this->squeezedOn($k, $spots, $seed, static fn (): float => $left() - $until, self::end($beside));
        }
        usort($spots, static fn (Spot $a, Spot $b): int => $a->lane <=> $b->lane);

        return $spots;
    }

    /**
     * On one lane, alone with what fits exactly laid as one, for a while, and then each piece for itself.
     *
     * @param list<Spot>        $spots
     * @param \Closure(): float $left
     *
     * @return list<Spot>
     */
    private function squeezedOn(int $k, array $spots, int $seed, \Closure $left, float $enough): array
    {
        $lane = $this->lanes[$k] ?? throw new \LogicException('It is laid on a lane.');
        $others = array_values(array_filter($spots, static fn (Spot $spot): bool => $spot->lane !== $k));
        $own = array_values(array_filter($spots, static fn (Spot $spot): bool => $spot->lane === $k));
        if (\count($own) < 2) {
            return $spots;
        }
        $own = array_map(static fn (Spot $spot): Spot => $spot->movedTo(0), $own);
        $back = static fn (Spot $spot): Spot => $spot->movedTo($k);
        $tell = function (array $own) use ($others, $back): void {
            /** @var list<Spot> $own */
            $this->tell([...$others, ...array_map($back, $own)]);
        };
        $squeeze = new Squeeze($lane, $this->gap, new Settler([$lane], $this->gap), $seed, $enough);
        $matched = array_filter($own, static fn (Spot $spot): bool => null !== $spot->variant->match);
        if ([] === $others && [] === $matched && 0.0 === $this->gap) {
            $clusters = (new Clusters($this->row, $lane->width, $seed))->build($this->way->items, $left);
            if (\count($clusters) < \count($this->way->items)) {
                $own = $squeeze->together($own, $clusters, $this->search($seed, $left)->first($clusters), $left, $tell);
            }
        }

        return [...$others, ...array_map($back, $squeeze->run($own, $left, $tell))];
    }

    /** @param list<Spot> $spots */
    private function tell(array $spots): void
    {
        $now = [(float) (\count($this->way->items) - \count($spots)), $this->cost->length($spots)];
        if ([$now[0], $now[1] + 1e-6] < $this->told) {
            $this->told = $now;
            ($this->better)($spots);
        }
    }

    /** @param array<Spot> $spots */
    private static function end(array $spots): float
    {
        return max([0.0, ...array_map(static fn (Spot $spot): float => $spot->x + $spot->variant->length, array_values($spots))]);
    }
}

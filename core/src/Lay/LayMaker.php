<?php

declare(strict_types=1);

namespace Octavum\Core\Lay;

use Octavum\Core\Lay\Engine\Attempt;
use Octavum\Core\Lay\Engine\Cost;
use Octavum\Core\Lay\Engine\Leftovers;
use Octavum\Core\Lay\Engine\Spot;
use Octavum\Core\Lay\Engine\WaySearch;
use Octavum\Core\Lay\Request\Fold;
use Octavum\Core\Lay\Request\LayPiece;
use Octavum\Core\Lay\Request\LayRequest;
use Octavum\Core\Lay\Request\Placement;
use Octavum\Core\Lay\Request\Sheet;
use Octavum\Core\Lay\Way\Fault;
use Octavum\Core\Lay\Way\FaultKind;
use Octavum\Core\Lay\Way\Item;
use Octavum\Core\Lay\Way\Way;
use Octavum\Core\Lay\Way\Ways;

/**
 * Lays pieces by machine: tries every way of laying the cloth, searches each, settles the best exactly, and says what each
 * would use. The same request with the same seed tries the same lays in the same order; how far it comes depends on the time.
 * Longer than other files: from the request to the best lay, and what is said of one that cannot be.
 */
final readonly class LayMaker
{
    /** Share of the time for finding out how many cuts are enough. */
    private const QUICK = 0.25;
    private const MOST_CHOICES = 64;

    /** Of several ways each has this share of the time at first; then the closest, by this factor, have the rest. */
    private const LOOK = 0.08;
    private const LOOKED = 0.4;
    private const CLOSEST = 2;
    private const CLOSE = 1.04;

    /** At the clock, for a quick lay. */
    private const LOOKS = 400;

    /** Height of the decoder's rows in mm up to so many copies; settling makes up for what they lose. */
    private const ROWS = [100 => 10.0, 400 => 20.0, \PHP_INT_MAX => 40.0];

    /** @param bool $squeeze the second engine; without it the first has all the time */
    public function __construct(private bool $squeeze = true)
    {
    }

    /**
     * @param \Closure(): float                                              $elapsed seconds since the start
     * @param ?\Closure(Fold, float, \Closure(): list<Placement>, int): void $better  hears of every better lay: its way, the length it
     *                                                                                uses, where all lies, and how many items it has no
     *                                                                                room for
     */
    public function make(LayRequest $request, \Closure $elapsed, ?\Closure $better = null): Lay
    {
        $whole = $request;
        $request = $this->onFewest($request, $elapsed);
        $bound = $this->bound($request);
        $impossible = $this->impossible($request);
        if (null !== $impossible) {
            return new Lay(
                Status::Impossible,
                $request->folds[0],
                [],
                placements: [],
                unplaced: [$impossible],
                leftovers: [],
                folds: [],
                measure: new LayMeasure(0, bound: $bound),
            );
        }
        $folds = $ways = [];
        $row = $this->row($request);
        foreach ($request->folds as $fold) {
            foreach ((new Ways($row))->phases($request) as $phase) {
                $way = (new Ways($row, $phase))->prepare($request, $fold);
                $folds[$fold->value] = $way->refused ?? new Fault(FaultKind::NoTime);
                if (null === $way->refused) {
                    $ways[] = new Attempt($way);
                }
            }
        }
        $limit = max(0.05, $request->seconds - 0.05);
        $evaluated = 0;
        $tried = $this->attempts($ways, $elapsed, $limit, function (Attempt $attempt, \Closure $left, int $turn) use (
            $request,
            $row,
            $better,
            &$evaluated,
        ): void {
            $evaluated += $this->search($request, $attempt, $row, seed: $request->seed + 2 * $turn, left: $left, better: $better);
        });
        $longest = $request->sheets[0]->length ?? \INF;
        $best = null;
        foreach ($tried as $attempt) {
            $attempt->pushToEnd($request);
            $fold = $attempt->way->fold;
            $used = $attempt->length();
            if (Fold::Part === $fold && $used > $longest + 1e-6) {
                $folds[$fold->value] = new Fault(FaultKind::PartTooLong, ['length' => $used]);
                continue;
            }
            $said = [] === $attempt->left ? round($used, 1) : new Fault(FaultKind::NoRoomFor, ['piece' => $attempt->left[0]->piece->id]);
            $former = $folds[$fold->value] ?? null;
            $folds[$fold->value] = \is_float($former) ? (\is_float($said) ? min($former, $said) : $former) : $said;
            $best = null === $best || $attempt->cost() < $best->cost() - 1e-6 ? $attempt : $best;
        }
        if (null === $best) {
            return $this->refused($request, $folds, $bound, $evaluated);
        }

        return $this->lay(
            $whole,
            $best->way,
            $best->spots,
            left: $best->left,
            folds: $folds,
            bound: $bound,
            evaluated: $evaluated,
            time: $elapsed() < $request->seconds + 0.05,
        );
    }

    /**
     * All ways for a while, then those that came closest for the rest of the time; by the first engine alone each for as long.
     *
     * @param list<Attempt>                                   $ways
     * @param \Closure(): float                               $elapsed
     * @param \Closure(Attempt, \Closure(): float, int): void $search  for a share of the time, and whether it is the second
     *
     * @return list<Attempt> those that were tried, the first first
     */
    private function attempts(array $ways, \Closure $elapsed, float $limit, \Closure $search): array
    {
        $tried = [];
        $within = static function (Attempt $attempt, float $until, int $turn) use ($elapsed, $search): void {
            $from = $elapsed();
            $share = max(0.02, $until - $from);
            $search($attempt, static fn (): float => 1 - ($elapsed() - $from) / $share, $turn);
        };
        $begun = $elapsed();
        $look = $this->squeeze && \count($ways) > 1 ? min(self::LOOK, self::LOOKED / \count($ways)) : 1 / max(1, \count($ways));
        foreach ($ways as $i => $attempt) {
            if ([] !== $tried && $elapsed() >= $limit) {
                break;
            }
            $within($attempt, $begun + ($limit - $begun) * $look * ($i + 1), 0);
            $tried[] = $attempt;
        }
        if (!$this->squeeze || \count($ways) < 2) {
            return $tried;
        }
        $closest = $tried;
        usort($closest, static fn (Attempt $a, Attempt $b): int => $a->cost() <=> $b->cost());
        $repeat = $closest[0]->repeat();
        $most = max($closest[0]->cost() * self::CLOSE, $closest[0]->cost() + $repeat);
        $closest = array_values(array_filter(
            \array_slice($closest, 0, $repeat > 0 ? self::CLOSEST + 1 : self::CLOSEST),
            static fn (Attempt $attempt): bool => $attempt->cost() <= $most,
        ));
        foreach ($closest as $i => $attempt) {
            $from = $elapsed();
            if ($from < $limit) {
                $within($attempt, $from + ($limit - $from) / (\count($closest) - $i), 1);
            }
        }

        return $tried;
    }

    /**
     * With only as many of its cuts as a quick look finds to be enough, those of which least is used: fewer cuts are better
     * than less cloth.
     *
     * @param \Closure(): float $elapsed
     */
    private function onFewest(LayRequest $request, \Closure $elapsed): LayRequest
    {
        if (\count($request->sheets) < 2 || [] !== $request->fixed) {
            return $request;
        }
        $until = $elapsed() + self::QUICK * $request->seconds;
        for ($count = 1; $count < \count($request->sheets); ++$count) {
            $best = null;
            foreach ($this->choices($request, $count) as $sheets) {
                $tried = new LayRequest(
                    $sheets,
                    $request->pieces,
                    $request->gap,
                    oneWay: $request->oneWay,
                    folds: $request->folds,
                    seconds: $request->seconds,
                    seed: $request->seed,
                );
                $used = null === $this->impossible($tried) ? $this->quickly($tried, static fn (): bool => $elapsed() < $until) : null;
                if (null !== $used && (null === $best || $used < $best[0])) {
                    $best = [$used, $tried];
                }
                if ($elapsed() > $until) {
                    return $best[1] ?? $request;
                }
            }
            if (null !== $best) {
                return $best[1];
            }
        }

        return $request;
    }

    /**
     * @return list<non-empty-list<Sheet>> so many of the cuts, large enough for all, the shortest together first
     */
    private function choices(LayRequest $request, int $count): array
    {
        $choices = [];
        foreach ($request->sheets as $sheet) {
            foreach ([[], ...$choices] as $choice) {
                if (\count($choices) < self::MOST_CHOICES) {
                    $choices[] = [...$choice, $sheet];
                }
            }
        }
        $needed = array_filter(array_map(static fn (LayPiece $piece): ?string => $piece->cut, $request->pieces), \is_string(...));
        $area = $request->area();
        $choices = array_filter(
            $choices,
            static fn (array $sheets): bool => \count($sheets) === $count
                && self::size($sheets) >= $area
                && [] === array_diff($needed, array_map(static fn (Sheet $sheet): string => $sheet->id, $sheets)),
        );
        usort($choices, static fn (array $a, array $b): int => self::size($a) <=> self::size($b));

        return $choices;
    }

    /** @param list<Sheet> $sheets */
    private static function size(array $sheets): float
    {
        return array_sum(array_map(static fn (Sheet $sheet): float => $sheet->width * ($sheet->length ?? 1e6), $sheets));
    }

    /**
     * The length used by the first lay in which everything has room; null when there is none.
     *
     * @param \Closure(): bool $time is left to look
     */
    private function quickly(LayRequest $request, \Closure $time): ?float
    {
        $row = $this->row($request);
        foreach ($request->folds as $fold) {
            $way = (new Ways($row))->prepare($request, $fold);
            $looks = self::LOOKS;
            if (null !== $way->refused) {
                continue;
            }
            $attempt = new Attempt($way);
            $this->search($request, $attempt, $row, seed: $request->seed, left: static function () use (&$looks, $time): float {
                return $time() ? $looks-- / self::LOOKS : 0.0;
            }, better: null);
            if ([] === $attempt->left) {
                return $attempt->length();
            }
        }

        return null;
    }

    /**
     * Nothing is laid in a way that was not allowed.
     *
     * @param array<string, float|Fault> $folds why each was refused
     */
    private function refused(LayRequest $request, array $folds, float $bound, int $evaluated): Lay
    {
        $faults = array_filter($folds, static fn (float|Fault $said): bool => $said instanceof Fault);
        $reasons = array_values(array_unique($faults, \SORT_REGULAR));
        $used = array_fill_keys(array_map(static fn (Sheet $sheet): string => $sheet->id, $request->sheets), 0.0);
        $there = [];
        foreach ($request->fixed as $fixed) {
            $there[] = $fixed->piece->id.' '.$fixed->copy;
            $used[$fixed->sheet] = max(
                $used[$fixed->sheet] ?? 0,
                $fixed->outline->right * (Fold::Crosswise === $request->folds[0] ? 2 : 1),
            );
        }
        $unplaced = [];
        foreach ($request->pieces as $piece) {
            foreach (range(1, $piece->quantity) as $copy) {
                if (!\in_array($piece->id.' '.$copy, $there, true)) {
                    $unplaced[] = new Unplaced($piece->id, $copy, $reasons);
                }
            }
        }

        return new Lay(
            Status::Impossible,
            $request->folds[0],
            $used,
            placements: $request->fixed,
            unplaced: $unplaced,
            leftovers: [],
            folds: $folds,
            measure: new LayMeasure(0, bound: $bound, evaluated: $evaluated),
        );
    }

    /**
     * A lay that costs less than the attempt takes its place.
     *
     * @param \Closure(): float                                              $left   share of the time that is left
     * @param ?\Closure(Fold, float, \Closure(): list<Placement>, int): void $better
     *
     * @return int how many lays were tried
     */
    private function search(LayRequest $request, Attempt $attempt, float $row, int $seed, \Closure $left, ?\Closure $better): int
    {
        $way = $attempt->way;
        if ([] === $way->lanes) {
            return 0;
        }
        $tell = function (array $spots) use ($request, $way, $better): void {
            /** @var list<Spot> $spots */
            if (null !== $better) {
                $placements = fn (): array => $this->placements($request, $way, $spots);
                $better($way->fold, (new Cost($way))->length($spots), $placements, \count($way->items) - \count($spots));
            }
        };
        [
            $spots,
            $unplaced,
            $evaluated,
        ] = (new WaySearch($way, $row, $request->gap, seed: $seed, second: $this->squeeze, left: $left, better: $tell))->run();
        $attempt->take($spots, $unplaced);

        return $evaluated;
    }

    /**
     * @param list<Spot>                 $spots
     * @param list<Item>                 $left
     * @param array<string, float|Fault> $folds
     * @param bool                       $time  is left to look for leftovers
     */
    private function lay(
        LayRequest $request,
        Way $way,
        array $spots,
        array $left,
        array $folds,
        float $bound,
        int $evaluated,
        bool $time,
    ): Lay {
        $used = array_replace(
            array_fill_keys(array_map(static fn (Sheet $sheet): string => $sheet->id, $request->sheets), 0.0),
            (new Cost($way))->used($spots),
        );
        $placements = $this->placements($request, $way, $spots);
        $area = $laid = 0.0;
        $leftovers = [];
        foreach ($request->sheets as $sheet) {
            $area += $sheet->width * ($used[$sheet->id] ?? 0);
            if ($time && Fold::Flat === $way->fold) {
                $taken = $sheet->missingParts();
                foreach ($placements as $placement) {
                    array_push($taken, ...$placement->sheet === $sheet->id ? $placement->outline->convexParts() : []);
                }
                foreach ((new Leftovers())->find($taken, $sheet->width, $sheet->length ?? ($used[$sheet->id] ?? 0)) as $free) {
                    $leftovers[] = ['cut' => $sheet->id] + $free;
                }
            }
        }
        foreach ($placements as $placement) {
            $laid += $placement->area();
        }

        return new Lay(
            [] === $left ? Status::Placed : Status::Short,
            $way->fold,
            array_map(static fn (float $length): float => round($length, 3), $used),
            placements: $placements,
            unplaced: array_merge(
                ...array_map(
                    fn (Item $item): array => array_map(
                        fn (int $copy): Unplaced => new Unplaced($item->piece->id, $copy, [$this->reason($way, $item)]),
                        range($item->copy, $item->copy + ($item->onFold ? 0 : $item->layers - 1)),
                    ),
                    $left,
                ),
            ),
            leftovers: $leftovers,
            folds: $folds,
            measure: new LayMeasure($area > 0 ? round($laid / $area, 4) : 0, bound: $bound, evaluated: $evaluated),
        );
    }

    private function reason(Way $way, Item $item): Fault
    {
        foreach ($way->lanes as $lane) {
            foreach ($item->layers === $lane->layers ? $item->variants : [] as $variant) {
                if ($variant->width <= $lane->width + 1e-6) {
                    return new Fault(FaultKind::NoRoom);
                }
            }
        }

        return new Fault(FaultKind::WiderThanLane);
    }

    /**
     * @param list<Spot> $spots
     *
     * @return list<Placement>
     */
    private function placements(LayRequest $request, Way $way, array $spots): array
    {
        $folded = 0.0;
        foreach ($spots as $spot) {
            $folded = 0 === $spot->lane ? max($folded, $spot->x + $spot->variant->length) : $folded;
        }

        return [
            ...$request->fixed,
            ...array_map(
                fn (Spot $spot): Placement => $this->placement($way, $spot, Fold::Part === $way->fold && 1 === $spot->lane ? $folded : 0),
                $spots,
            ),
        ];
    }

    private function placement(Way $way, Spot $spot, float $shift): Placement
    {
        $lane = $way->lanes[$spot->lane];
        $outline = $spot->variant->outline->moved($spot->x + $shift, $spot->y);
        $outline = $lane->down ? $outline->flipped()->moved(0, $lane->offset) : $outline->moved(0, $lane->offset);
        $turn = $lane->down ? (360 - $spot->variant->turn) % 360 : $spot->variant->turn;
        $flipped = $spot->variant->flipped !== $lane->down;
        $flat = $spot->item->onFold ? $spot->item->piece->outline : $spot->item->piece->flat();
        $local = ($flipped ? $flat->flipped() : $flat)->turned($turn);

        return new Placement(
            $spot->item->piece,
            $spot->item->copy,
            $lane->sheet,
            turn: $turn,
            flipped: $flipped,
            layers: $spot->item->layers,
            x: round($outline->points[0][0] - $local->points[0][0], 4),
            y: round($outline->points[0][1] - $local->points[0][1], 4),
            outline: $outline,
        );
    }

    private function row(LayRequest $request): float
    {
        $copies = array_sum(array_map(static fn (LayPiece $piece): int => $piece->quantity, $request->pieces));
        foreach (self::ROWS as $most => $row) {
            if ($copies <= $most) {
                return $row;
            }
        }
        throw new \LogicException('The last row is for any number.');
    }

    private function bound(LayRequest $request): float
    {
        $width = max(array_map(static fn (Sheet $sheet): float => $sheet->width, $request->sheets));
        $longest = 0.0;
        foreach ($request->pieces as $piece) {
            $longest = max(
                $longest,
                min(
                    array_map(
                        static fn (int $turn): float => $piece->flat()->turned($turn)->length(),
                        $piece->turns($request->oneWay),
                    ),
                ),
            );
        }

        return round(max($request->area() / $width, $longest), 1);
    }

    private function impossible(LayRequest $request): ?Unplaced
    {
        foreach ($request->pieces as $piece) {
            $fits = false;
            foreach ($piece->turns($request->oneWay) as $turn) {
                $outline = $piece->flat()->turned($turn);
                foreach ($request->sheets as $sheet) {
                    $fits =
                        $fits
                        || ((null === $piece->cut || $piece->cut === $sheet->id)
                            && $outline->width() <= $sheet->width + 1e-6
                            && $outline->length() <= ($sheet->length ?? \INF) + 1e-6);
                }
            }
            if (!$fits) {
                return new Unplaced($piece->id, 1, [new Fault(FaultKind::TooLarge, [
                    'piece' => $piece->id,
                    'length' => $piece->flat()->length(),
                    'width' => $piece->flat()->width(),
                ])]);
            }
        }

        return null;
    }
}

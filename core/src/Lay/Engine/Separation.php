<?php

declare(strict_types=1);

namespace Octavum\Core\Lay\Engine;

use Octavum\Core\Lay\Way\Lane;
use Octavum\Core\Lay\Way\Variant;
use Octavum\Core\Shape\Convex;
use Random\Randomizer;

/**
 * Moves pieces that overlap until none does: each to the place of least weighted overlap on lines through its own place, through
 * corners of the no-fit parts of its neighbours, where it would lie against them exactly, and through a few at random (Egeblad,
 * Nielsen and Odgaard 2007). Pairs that still overlap weigh more from round to round, the others less (Faroe, Pisinger and
 * Zachariasen 2003; Umetani et al. 2009). Cost: a round is pieces × lines × parts in the way².
 * Longer than other files: the inner loop of the search, kept in one piece for its speed.
 *
 * @internal
 */
final class Separation
{
    /** Overlap that is none, mm. */
    public const NONE = 1e-3;

    /** Lines through corners of neighbours, and others at random, for each way a piece may lie. */
    private const CORNERS = 2;
    private const RANDOM = 1;

    /** Of a weight, from round to round, where a pair overlaps no more. */
    private const FADES = 0.99;

    /** No-fit parts kept at once, about 10 KB each: then all are forgotten, and made again when they are needed. */
    private const KEPT = 12_000;

    /** Weight of what is no cloth. */
    private const WALL = 1e3;

    /** @var list<Variant> */
    private array $variants = [];

    /** @var array<int, int> object id of a variant → its place */
    private array $known = [];

    /** @var array<int, list<list<array{float, float}>>> of each variant */
    private array $parts = [];

    /** @var array<int, array<int, NoFit>> fixed → moving */
    private array $fits = [];

    private int $kept = 0;

    /** @var array<int, NoFit> moving → what is no cloth */
    private array $walls = [];

    /** @var array<int, float> */
    private array $x = [];

    /** @var array<int, float> */
    private array $y = [];

    /** @var array<int, int> the place of the variant in which each lies */
    private array $is = [];

    /** @var array<int, float> weight of each two, by i × count + j */
    private array $weights = [];

    /** @var list<list<int>> ways each may lie */
    private array $ways = [];

    /** @var list<?float> the y at which each must lie; null for any */
    private array $held = [];

    private readonly int $count;

    /** How far the cloth may be used. */
    private float $length = 0.0;

    /** The best place found on the lines looked at so far. */
    private float $bestX = 0.0;
    private float $bestY = 0.0;
    private float $bestOver = \INF;
    private int $bestIs = 0;

    /**
     * @param list<Spot> $spots on one lane
     */
    public function __construct(
        private Lane $lane,
        private readonly float $gap,
        array $spots,
        private readonly Randomizer $random,
        private readonly Convex $convex = new Convex(),
    ) {
        $this->count = \count($spots);
        $this->reorder($spots);
    }

    /** @param list<Spot> $spots the same items, in another order */
    public function reorder(array $spots): void
    {
        $this->ways = array_map(fn (Spot $spot): array => array_map($this->place(...), $spot->item->all), $spots);
        $this->held = array_map(static fn (Spot $spot): ?float => $spot->item->held, $spots);
        $this->set($spots);
    }

    /** @param list<Spot> $spots the same, elsewhere */
    public function set(array $spots): void
    {
        $this->x = array_map(static fn (Spot $spot): float => $spot->x, $spots);
        $this->y = array_map(static fn (Spot $spot): float => $spot->y, $spots);
        $this->is = array_map(fn (Spot $spot): int => $this->place($spot->variant), $spots);
    }

    /**
     * @param list<Spot> $spots the same items in the same order
     *
     * @return list<Spot> where they are now
     */
    public function spots(array $spots): array
    {
        return array_map(
            fn (Spot $spot, int $i): Spot => new Spot($spot->item, $this->variants[$this->is[$i]], $spot->lane, $this->x[$i], $this->y[$i]),
            $spots,
            array_keys($spots),
        );
    }

    private function place(Variant $variant): int
    {
        $id = spl_object_id($variant);
        if (!isset($this->known[$id])) {
            $this->known[$id] = \count($this->variants);
            $this->variants[] = $variant;
        }

        return $this->known[$id];
    }

    /** @return list<list<array{float, float}>> */
    private function parts(int $variant): array
    {
        return $this->parts[$variant] ??= Coarse::parts($this->variants[$variant]);
    }

    private function between(int $fixed, int $moving): NoFit
    {
        if (!isset($this->fits[$fixed][$moving])) {
            if (++$this->kept > self::KEPT) {
                [$this->fits, $this->kept] = [[], 1];
            }
            $this->fits[$fixed][$moving] = NoFit::of($this->parts($fixed), $this->parts($moving), $this->gap, $this->convex);
        }

        return $this->fits[$fixed][$moving];
    }

    private function walls(int $moving): NoFit
    {
        return $this->walls[$moving] ??= NoFit::of($this->lane->missing, $this->parts($moving), 0, $this->convex);
    }

    /** On cloth with the same pieces, and other ends. */
    public function within(Lane $lane): void
    {
        $this->lane = $lane;
        $this->walls = [];
    }

    /** Somewhere else on the cloth that is used. */
    public function throw(int $i): void
    {
        $this->x[$i] = $this->length * $this->random->getInt(0, 1000) / 1000;
        $this->y[$i] = $this->held[$i] ?? $this->lane->width * $this->random->getInt(0, 1000) / 1000;
    }

    /** Two change places, lowest corner for lowest corner. */
    public function swap(int $i, int $j): void
    {
        if ($this->held[$i] !== $this->held[$j]) {
            return;
        }
        [$this->x[$i], $this->x[$j]] = [$this->x[$j], $this->x[$i]];
        [$this->y[$i], $this->y[$j]] = [$this->y[$j], $this->y[$i]];
    }

    /**
     * @param float             $length  of the cloth that may be used
     * @param \Closure(): float $left    share of the time that is left
     * @param int               $patient rounds without a gain until it gives up
     *
     * @return bool whether nothing overlaps any more
     */
    public function run(float $length, \Closure $left, int $patient): bool
    {
        $this->length = $length;
        $this->weights = array_fill(0, $this->count * $this->count, 1.0);
        for ($i = 0; $i < $this->count; ++$i) {
            $variant = $this->variants[$this->is[$i]];
            $x = $this->aligned($variant, 0, max(0.0, min($this->x[$i], $length - $variant->length)), $length - $variant->length);
            $most = $this->lane->width - $variant->width;
            $y = $this->held[$i] ?? $this->aligned($variant, 1, max(0.0, min($this->y[$i], $most)), $most);
            if (null === $x || null === $y) {
                return false;
            }
            [$this->x[$i], $this->y[$i]] = [$x, $y];
        }
        $least = \INF;
        $waited = 0;
        while ($waited < $patient) {
            [$over, $deep] = $this->overlaps();
            if ([] === $over) {
                return true;
            }
            $sum = array_sum($deep);
            $waited = $sum < $least * 0.999 ? 0 : $waited + 1;
            $least = min($least, $sum);
            $this->weigh($deep);
            foreach ($this->random->shuffleArray($over) as $i) {
                if ($left() <= 0) {
                    return false;
                }
                $this->move($i);
            }
        }

        return false;
    }

    /** @return array{list<int>, array<int, float>} those that overlap, and how deep each two do, by i × count + j */
    private function overlaps(): array
    {
        $over = $deep = [];
        for ($i = 0; $i < $this->count; ++$i) {
            if ([] !== $this->lane->missing) {
                $off = $this->depth($this->walls($this->is[$i])->faces, $this->x[$i], $this->y[$i]);
                if ($off > self::NONE) {
                    $over[$i] = $i;
                    // against itself stands for what is no cloth
                    $deep[$i * $this->count + $i] = $off;
                }
            }
            for ($j = $i + 1; $j < $this->count; ++$j) {
                $one = $this->deep($i, $j);
                if ($one > self::NONE) {
                    $over[$i] = $i;
                    $over[$j] = $j;
                    $deep[$i * $this->count + $j] = $one;
                }
            }
        }

        return [array_values($over), $deep];
    }

    private function deep(int $i, int $j): float
    {
        $a = $this->variants[$this->is[$i]];
        $b = $this->variants[$this->is[$j]];
        $dx = $this->x[$j] - $this->x[$i];
        $dy = $this->y[$j] - $this->y[$i];

        return $dx >= $a->length + $this->gap
            || -$dx >= $b->length + $this->gap
            || $dy >= $a->width + $this->gap
            || -$dy >= $b->width + $this->gap
            ? 0.0
            : $this->depth($this->between($this->is[$i], $this->is[$j])->faces, $dx, $dy);
    }

    /** @param list<list<float>> $faces */
    private function depth(array $faces, float $x, float $y): float
    {
        $sum = 0.0;
        foreach ($faces as $face) {
            if ($x <= $face[0] || $x >= $face[1] || $y <= $face[2] || $y >= $face[3]) {
                continue;
            }
            $least = \INF;
            for ($k = 4, $n = \count($face); $k < $n; $k += 3) {
                $d = $face[$k + 2] - $face[$k] * $x - $face[$k + 1] * $y;
                if ($d <= 0) {
                    continue 2;
                }
                $least = $d < $least ? $d : $least;
            }
            $sum += $least;
        }

        return $sum;
    }

    /** @param array<int, float> $deep */
    private function weigh(array $deep): void
    {
        $most = max([self::NONE, ...array_values($deep)]);
        foreach ($this->weights as $at => $weight) {
            $this->weights[$at] = $weight > 1.0 ? max(1.0, $weight * self::FADES) : 1.0;
        }
        foreach ($deep as $at => $one) {
            $i = intdiv($at, $this->count);
            $j = $at % $this->count;
            $grown = $this->weights[$at] / self::FADES + $one / $most;
            $this->weights[$i * $this->count + $j] = $this->weights[$j * $this->count + $i] = $grown;
        }
    }

    /** To the best place on some lines. */
    private function move(int $i): void
    {
        $this->bestX = $this->x[$i];
        $this->bestY = $this->y[$i];
        $this->bestIs = $this->is[$i];
        $this->bestOver = $this->felt($i);
        if ($this->bestOver <= self::NONE) {
            return;
        }
        foreach ($this->random->shuffleArray($this->ways[$i]) as $way) {
            $variant = $this->variants[$way];
            [$widest, $longest] = [$this->lane->width - $variant->width, $this->length - $variant->length];
            if ($widest < -1e-6 || $longest < -1e-6) {
                continue;
            }
            $lines = isset($this->held[$i]) ? [[0, $this->held[$i]]] : $this->lines($i, $way, max(0.0, $widest), max(0.0, $longest));
            foreach ($lines as [$axis, $at]) {
                $at = $this->held[$i] ?? $this->aligned($variant, 1 - $axis, $at, max(0.0, 0 === $axis ? $widest : $longest));
                if (null === $at) {
                    continue;
                }
                $this->along($i, $way, $axis, $at, max(0.0, 0 === $axis ? $longest : $widest));
                if ($this->bestOver <= self::NONE) {
                    break 2;
                }
            }
        }
        $this->x[$i] = $this->bestX;
        $this->y[$i] = $this->bestY;
        $this->is[$i] = $this->bestIs;
    }

    /** @return list<array{int, float}> axis along which it runs, and where it lies across */
    private function lines(int $i, int $way, float $widest, float $longest): array
    {
        $lines = [[0, min($this->y[$i], $widest)], [1, min($this->x[$i], $longest)]];
        for ($n = 0; $n < self::CORNERS; ++$n) {
            $j = $this->random->getInt(0, $this->count - 1);
            if ($j === $i) {
                continue;
            }
            $faces = $this->between($this->is[$j], $way)->faces;
            $face = $faces[$this->random->getInt(0, \count($faces) - 1)];
            $corners = intdiv(\count($face) - 4, 3);
            $k = 4 + 3 * $this->random->getInt(0, $corners - 1);
            $next = 4 + 3 * ((intdiv($k - 4, 3) + 1) % $corners);
            // where two sides meet
            $det = $face[$k] * $face[$next + 1] - $face[$k + 1] * $face[$next];
            if (abs($det) < 1e-9) {
                continue;
            }
            $axis = $this->random->getInt(0, 1);
            $at = 0 === $axis
                ? $this->y[$j] + ($face[$k] * $face[$next + 2] - $face[$k + 2] * $face[$next]) / $det
                : $this->x[$j] + ($face[$k + 2] * $face[$next + 1] - $face[$k + 1] * $face[$next + 2]) / $det;
            $most = 0 === $axis ? $widest : $longest;
            if ($at >= -1e-6 && $at <= $most + 1e-6) {
                $lines[] = [$axis, max(0.0, min($most, $at))];
            }
        }
        for ($n = 0; $n < self::RANDOM; ++$n) {
            $lines[] = 0 === $this->random->getInt(0, 1)
                ? [0, $widest * $this->random->getInt(0, 10_000) / 10_000]
                : [1, $longest * $this->random->getInt(0, 10_000) / 10_000];
        }

        return $lines;
    }

    /** Its weighted overlap where it lies. */
    private function felt(int $i): float
    {
        $sum = self::WALL * $this->depth($this->walls($this->is[$i])->faces, $this->x[$i], $this->y[$i]);
        for ($j = 0; $j < $this->count; ++$j) {
            if ($j !== $i) {
                $deep = $i < $j ? $this->deep($i, $j) : $this->deep($j, $i);
                $sum += $deep > 0 ? $deep * $this->weights[$i * $this->count + $j] : 0.0;
            }
        }

        return $sum;
    }

    /**
     * The place of least weighted overlap along a line: at the end of a stretch in which it overlaps some part, or the first
     * at which it overlaps none.
     *
     * @param int   $axis 0 along x at a y, 1 along y at an x
     * @param float $most how far along it may lie
     */
    private function along(int $i, int $way, int $axis, float $at, float $most): void
    {
        $from = $to = $weight = $offset = $across = $face = $whose = [];
        $variant = $this->variants[$way];
        $long = (0 === $axis ? $variant->width : $variant->length) + $this->gap;
        $beside = 0 === $axis ? $this->y : $this->x;
        $before = 0 === $axis ? $this->x : $this->y;
        $row = $i * $this->count;
        for ($j = [] === $this->lane->missing ? 0 : -1; $j < $this->count; ++$j) {
            if ($j === $i) {
                continue;
            }
            if ($j < 0) {
                $fit = $this->walls($way);
                [$o, $c, $w] = [0.0, $at, self::WALL];
            } else {
                $c = $at - $beside[$j];
                $is = $this->is[$j];
                if ($c <= -$long || $c >= (0 === $axis ? $this->variants[$is]->width : $this->variants[$is]->length) + $this->gap) {
                    continue;
                }
                $o = $before[$j];
                $fit = $this->fits[$is][$way] ?? $this->between($is, $way);
                $w = $this->weights[$row + $j];
            }
            $sides = 0 === $axis ? $fit->faces : $fit->across;
            foreach (0 === $axis ? $fit->spans : $fit->spansAcross as $f => $one) {
                if ($c <= $one[2] || $c >= $one[3] || $o + $one[1] <= 0 || $o + $one[0] >= $most) {
                    continue;
                }
                $split = (int) $one[4];
                $k = 5;
                while ($k + 3 < $split && $one[$k + 3] <= $c) {
                    $k += 3;
                }
                $low = $one[$k + 1] + $one[$k + 2] * ($c - $one[$k]);
                $last = \count($one) - 3;
                $k = $split;
                while ($k < $last && $one[$k + 3] <= $c) {
                    $k += 3;
                }
                $high = $one[$k + 1] + $one[$k + 2] * ($c - $one[$k]);
                if ($high - $low > 1e-6 && $o + $high > 0 && $o + $low < $most) {
                    $from[] = $o + $low;
                    $to[] = $o + $high;
                    $weight[] = $w;
                    $offset[] = $o;
                    $across[] = $c;
                    $face[] = $sides[$f];
                    $whose[] = $j;
                }
            }
        }
        // the first place at which nothing is in its way
        $order = $from;
        asort($order);
        $free = 0.0;
        foreach ($order as $n => $start) {
            if ($start >= $free - 1e-7 && $free <= $most) {
                break;
            }
            $free = $to[$n] > $free ? $to[$n] : $free;
        }
        $repeat = $this->repeat($variant, $axis);
        if ($free <= $most + 1e-7 && null === $repeat) {
            $this->take($axis, $at, min($free, $most), $way, 0.0);

            return;
        }
        foreach (null === $repeat ? $this->ends($order, $to, $whose, $most) : $this->lattice($repeat, $most) as $p) {
            $sum = 0.0;
            foreach ($order as $n => $start) {
                if ($p <= $start + 1e-9) {
                    break;
                }
                if ($p >= $to[$n] - 1e-9) {
                    continue;
                }
                $least = \INF;
                $one = $face[$n];
                $fx = $p - $offset[$n];
                $fy = $across[$n];
                for ($k = 4, $m = \count($one); $k < $m; $k += 3) {
                    $d = $one[$k + 2] - $one[$k] * $fx - $one[$k + 1] * $fy;
                    $least = $d < $least ? $d : $least;
                }
                $sum += $least > 0 ? $weight[$n] * $least : 0.0;
                if ($sum >= $this->bestOver) {
                    continue 2;
                }
            }
            $this->take($axis, $at, $p, $way, $sum);
        }
    }

    /**
     * Where the stretches of each neighbour end: between, one is deeper in it.
     *
     * @param array<int, float> $order of stretches, where each begins, the first first
     * @param array<int, float> $to    where each ends
     * @param array<int, int>   $whose the neighbour of each
     *
     * @return list<float>
     */
    private function ends(array $order, array $to, array $whose, float $most): array
    {
        $places = [0.0, $most];
        $open = [];
        foreach ($order as $n => $start) {
            $j = $whose[$n];
            if (!isset($open[$j]) || $start > $open[$j]) {
                if (isset($open[$j])) {
                    $places[] = $open[$j];
                }
                if ($start > 0.0) {
                    $places[] = $start;
                }
                $open[$j] = $to[$n];
            } elseif ($to[$n] > $open[$j]) {
                $open[$j] = $to[$n];
            }
        }
        foreach ($open as $end) {
            if ($end < $most) {
                $places[] = $end;
            }
        }

        return $places;
    }

    /** @return ?array{float, float} where a piece that is matched may lie along an axis: the first place, and from one to the next */
    private function repeat(Variant $variant, int $axis): ?array
    {
        $match = $variant->match;
        $step = null === $match ? 0.0 : (0 === $axis ? $match->length : $match->width);
        if (null === $match || $step <= 0) {
            return null;
        }
        $from = $match->from($axis);

        return [$from - $step * floor($from / $step + 1e-9), $step];
    }

    /**
     * @param array{float, float} $repeat
     *
     * @return list<float>
     */
    private function lattice(array $repeat, float $most): array
    {
        $places = [];
        for ($at = $repeat[0]; $at <= $most + 1e-6; $at += $repeat[1]) {
            $places[] = $at;
        }

        return $places;
    }

    /** The nearest place where what is matched may lie; null when there is none. */
    private function aligned(Variant $variant, int $axis, float $at, float $most): ?float
    {
        $repeat = $this->repeat($variant, $axis);
        if (null === $repeat) {
            return $at;
        }
        [$first, $step] = $repeat;
        $near = $first + $step * max(0.0, round(($at - $first) / $step));
        $near = $near > $most + 1e-6 ? $near - $step : $near;

        return $near < -1e-6 || $near > $most + 1e-6 ? null : $near;
    }

    private function take(int $axis, float $at, float $along, int $way, float $over): void
    {
        $this->bestOver = $over;
        $this->bestIs = $way;
        [$this->bestX, $this->bestY] = 0 === $axis ? [$along, $at] : [$at, $along];
    }
}

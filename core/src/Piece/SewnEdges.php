<?php

declare(strict_types=1);

namespace Octavum\Core\Piece;

use Octavum\Core\Measure\Length;

/**
 * How long the two edges are that meet at a seam, along the line of stitching: of pieces that were drawn from measurements
 * without their allowance. Where a piece came another way, which of its edges is which is not known, and nothing is said.
 */
final readonly class SewnEdges
{
    private const FROM_THE_WAIST = [
        Draft::FlaredPanel,
        Draft::PencilPanel,
        Draft::Sector,
        Draft::Gathered,
        Draft::TrouserFront,
        Draft::TrouserBack,
    ];

    /** @var array<string, list<array{Piece, Drafted}>> by draft */
    private array $drafted;

    /**
     * @param list<Piece> $pieces of the whole garment
     * @param string      $size   in which they are looked at
     */
    public function __construct(array $pieces, string $size)
    {
        $drafted = [];
        foreach ($pieces as $piece) {
            $shape = $piece->in($size);
            if (null !== $shape?->drafted && null !== $shape->allowance) {
                $drafted[$shape->drafted->draft->value][] = [$piece, $shape->drafted];
            }
        }
        $this->drafted = $drafted;
    }

    /** @return ?array{Length, Length} of the body and of what is sewn to it; null where either is not known */
    public function at(Seam $seam): ?array
    {
        [$body, $sewn] = match ($seam) {
            Seam::Neckline => [$this->neckline(), $this->sum([Draft::Stand]) ?? $this->sum([Draft::Collar])],
            Seam::Armhole => [$this->armhole(), $this->sum([Draft::Sleeve])],
            Seam::Waist => [
                $this->both(Draft::BodiceFront, Draft::BodiceBack, 'waist') ?? $this->sum([Draft::Waistband]),
                $this->sum(self::FROM_THE_WAIST),
            ],
            Seam::SleeveHem => [$this->sum([Draft::Sleeve, Draft::Raglan], 'hem'), $this->sum([Draft::Cuff])],
        };
        if (null === $body || null === $sewn) {
            return null;
        }
        $times = $seam->isPair() ? 2 : 1;

        return [Length::ofMillimetres(round($body / $times)), Length::ofMillimetres(round($sewn / $times))];
    }

    private function neckline(): ?float
    {
        return null === $this->sum([Draft::Yoke])
            ? $this->both(Draft::BodiceFront, Draft::BodiceBack, 'neckline')
            : $this->both(Draft::BodiceFront, Draft::Yoke, 'neckline', without: Draft::BodiceBack);
    }

    private function armhole(): ?float
    {
        return null === $this->sum([Draft::Yoke]) ? $this->both(Draft::BodiceFront, Draft::BodiceBack, 'armhole') : null;
    }

    private function both(Draft $front, Draft $back, string $edge, ?Draft $without = null): ?float
    {
        $one = $this->sum([$front], $edge);
        $other = $this->sum([$back], $edge);

        return null === $one || null === $other || (null !== $without && isset($this->drafted[$without->value])) ? null : $one + $other;
    }

    /**
     * @param list<Draft> $drafts
     *
     * @return ?float mm; null where there is no such piece
     */
    private function sum(array $drafts, string $edge = ''): ?float
    {
        $sum = null;
        foreach ($drafts as $draft) {
            foreach ($this->drafted[$draft->value] ?? [] as [$piece, $drafted]) {
                $sum = ($sum ?? 0.0) + $this->times($draft, $piece) * $this->edge($drafted, $edge);
            }
        }

        return $sum;
    }

    /** How many of what is drawn make the whole edge; a collar, its stand and a yoke are cut twice, and sewn once. */
    private function times(Draft $draft, Piece $piece): int
    {
        return match ($draft) {
            Draft::Collar, Draft::Stand, Draft::Yoke, Draft::Cuff => 2,
            Draft::Waistband => 1,
            default => $piece->quantity * ($piece->onFold ? 2 : 1),
        };
    }

    private function edge(Drafted $drafted, string $edge): float
    {
        $m = $drafted->measures;

        return match ($drafted->draft) {
            Draft::BodiceFront, Draft::BodiceBack => match ($edge) {
                'armhole' => $this->between(
                    $drafted,
                    [$m['armhole depth'], $m['half chest']],
                    [$m['shoulder slope'], $m['half neck'] + $m['shoulder']],
                ),
                'waist' => $m['half hem'],
                default => $this->between($drafted, [0, $m['half neck']], [$m['neck depth'], 0]),
            },
            Draft::Yoke => $this->between($drafted, [0, $m['half neck']], [$m['neck depth'], 0]),
            Draft::Sleeve => 'hem' === $edge
                ? $m['hem']
                : $this->between($drafted, [$m['cap height'], 0], [$m['cap height'], $m['upper arm']]),
            Draft::Raglan => $m['hem'],
            Draft::Collar, Draft::Stand => $m['half length'],
            Draft::FlaredPanel => $this->between($drafted, [0, $m['half waist']], [$m['waist curve'], 0]),
            Draft::PencilPanel => $m['half waist'],
            Draft::Sector => $m['waist radius'] * deg2rad($m['angle']),
            Draft::Gathered => $m['gathered to'],
            Draft::TrouserFront, Draft::TrouserBack => $m['waist'],
            default => $m['length'],
        };
    }

    /**
     * Along the drawn outline from one of its corners to another.
     *
     * @param array{float|int, float|int} $from
     * @param array{float|int, float|int} $to
     */
    private function between(Drafted $drafted, array $from, array $to): float
    {
        $points = $drafted->draft->points($drafted->measures);
        $count = \count($points);
        $length = 0.0;
        for ($i = $this->nearest($points, $from), $end = $this->nearest($points, $to); $i !== $end; $i = ($i + 1) % $count) {
            $next = $points[($i + 1) % $count];
            $length += hypot($next[0] - $points[$i][0], $next[1] - $points[$i][1]);
        }

        return $length;
    }

    /**
     * @param list<array{float, float}>   $points
     * @param array{float|int, float|int} $corner
     */
    private function nearest(array $points, array $corner): int
    {
        $found = 0;
        $least = \INF;
        foreach ($points as $i => [$x, $y]) {
            $off = hypot($x - $corner[0], $y - $corner[1]);
            [$found, $least] = $off < $least ? [$i, $off] : [$found, $least];
        }

        return $found;
    }
}

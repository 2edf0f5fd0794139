<?php

declare(strict_types=1);

namespace Octavum\Core\Lay;

use Octavum\Core\Lay\Request\Fold;
use Octavum\Core\Lay\Request\LayRequest;
use Octavum\Core\Lay\Request\Placement;
use Octavum\Core\Lay\Request\Sheet;
use Octavum\Core\Lay\Way\Fault;
use Octavum\Core\Lay\Way\FaultKind;
use Octavum\Core\Shape\Convex;

/**
 * Checks any lay, machine's or hand's, against its request, by polygons alone and without looking at how it was made: no
 * overlap by more than half a millimetre, nothing off the cloth, no turn against grain or print, every copy once, and the
 * length reported the one that is used.
 */
final readonly class Judge
{
    private const TOLERANCE = 0.5;

    public function __construct(private Convex $convex = new Convex())
    {
    }

    /** @return list<Fault> what is wrong; nothing when the lay is sound */
    public function faults(LayRequest $request, Lay $lay): array
    {
        return [
            ...$this->places($request, $lay),
            ...$this->overlaps($lay),
            ...$this->copies($request, $lay),
            ...$this->lengths($lay),
            ...$this->matches($lay),
        ];
    }

    /** @return list<Fault> */
    private function places(LayRequest $request, Lay $lay): array
    {
        $faults = [];
        $folded = 0.0;
        foreach ($lay->placements as $placement) {
            $folded = 2 === $placement->layers ? max($folded, $placement->outline->right) : $folded;
        }
        $sheets = array_column(array_map(static fn (Sheet $sheet): array => [$sheet->id, $sheet], $request->sheets), 1, 0);
        foreach ($lay->placements as $placement) {
            $about = ['piece' => $placement->piece->id, 'copy' => $placement->copy];
            $sheet = $sheets[$placement->sheet] ?? null;
            if (null === $sheet || (null !== $placement->piece->cut && $placement->piece->cut !== $placement->sheet)) {
                $faults[] = new Fault(FaultKind::OtherCut, $about);
                continue;
            }
            $width = match ($lay->fold) {
                Fold::Lengthwise, Fold::Gate => $sheet->width / 2,
                Fold::Part => 2 === $placement->layers ? $sheet->width / 2 : $sheet->width,
                default => $sheet->width,
            };
            $length = ($sheet->length ?? \INF) / (Fold::Crosswise === $lay->fold ? 2 : 1);
            $o = $placement->outline;
            if (
                min($o->left, $o->bottom) < -self::TOLERANCE
                || $o->top > $width + self::TOLERANCE
                || $o->right > $length + self::TOLERANCE
            ) {
                $faults[] = new Fault(FaultKind::OffCloth, $about);
            }
            if (Fold::Gate === $lay->fold && $o->bottom < $width / 2 - self::TOLERANCE && $o->top > $width / 2 + self::TOLERANCE) {
                $faults[] = new Fault(FaultKind::AcrossMiddle, $about);
            }
            if (
                $placement->piece->onFold
                && 2 === $placement->layers
                && Fold::Crosswise !== $lay->fold
                && min(abs($placement->y), Fold::Gate === $lay->fold ? abs($placement->y - $width) : \INF) > self::TOLERANCE
            ) {
                $faults[] = new Fault(FaultKind::OffFold, $about);
            }
            if (
                null !== $placement->piece->edge
                && (abs($o->bottom - $placement->piece->edge) > self::TOLERANCE
                    || !\in_array($lay->fold, [Fold::Flat, Fold::Crosswise], true))
            ) {
                $faults[] = new Fault(FaultKind::OffEdge, $about);
            }
            if (Fold::Part === $lay->fold && 1 === $placement->layers && $o->left < $folded - self::TOLERANCE) {
                $faults[] = new Fault(FaultKind::StillFolded, $about);
            }
            foreach ($sheet->missingParts() as $missing) {
                foreach ($o->convexParts() as $part) {
                    if ($this->convex->depth($missing, $part) > self::TOLERANCE) {
                        $faults[] = new Fault(FaultKind::NoCloth, $about);
                    }
                }
            }
            if (!\in_array($placement->turn, $placement->piece->turns($request->oneWay), true)) {
                $faults[] = new Fault(FaultKind::WrongTurn, $about);
            }
            $shape =
                $placement->piece->onFold && 2 === $placement->layers && Fold::Crosswise !== $lay->fold
                    ? $placement->piece->outline
                    : $placement->piece->flat();
            $expected = ($placement->flipped ? $shape->flipped() : $shape)->turned($placement->turn)->moved($placement->x, $placement->y);
            foreach ($expected->points as $i => $point) {
                if (!isset($o->points[$i]) || hypot($point[0] - $o->points[$i][0], $point[1] - $o->points[$i][1]) > 0.1) {
                    $faults[] = new Fault(FaultKind::OtherShape, $about);
                    break;
                }
            }
        }

        return $faults;
    }

    /** @return list<Fault> */
    private function overlaps(Lay $lay): array
    {
        $faults = [];
        $convex = array_map(static fn (Placement $placement): array => $placement->outline->convexParts(), $lay->placements);
        // the box around each part, since most pairs of parts are far from each other
        $parts = array_map(static fn (array $all): array => array_map(self::box(...), $all), $convex);
        foreach ($lay->placements as $i => $a) {
            for ($j = $i + 1; $j < \count($lay->placements); ++$j) {
                $b = $lay->placements[$j];
                if (
                    $a->sheet !== $b->sheet
                    || $a->outline->right <= $b->outline->left
                    || $b->outline->right <= $a->outline->left
                    || $a->outline->top <= $b->outline->bottom
                    || $b->outline->top <= $a->outline->bottom
                ) {
                    continue;
                }
                foreach ($parts[$i] as $p => [$left, $bottom, $right, $top]) {
                    foreach ($parts[$j] as $q => $other) {
                        if ($right <= $other[0] || $other[2] <= $left || $top <= $other[1] || $other[3] <= $bottom) {
                            continue;
                        }
                        if ($this->convex->depth($convex[$i][$p], $convex[$j][$q]) > self::TOLERANCE) {
                            $faults[] = new Fault(FaultKind::Overlap, [
                                'piece' => $a->piece->id,
                                'copy' => $a->copy,
                                'other' => $b->piece->id,
                                'otherCopy' => $b->copy,
                            ]);
                            continue 3;
                        }
                    }
                }
            }
        }

        return $faults;
    }

    /** @return list<Fault> */
    private function copies(LayRequest $request, Lay $lay): array
    {
        $faults = $seen = $over = [];
        foreach ($lay->placements as $placement) {
            $two = 2 === $placement->layers && !($placement->piece->onFold && Fold::Crosswise !== $lay->fold);
            foreach ($two ? [$placement->copy, $placement->copy + 1] : [$placement->copy] as $copy) {
                $seen[$placement->piece->id][] = $copy;
            }
            if ($placement->piece->pair && !$two) {
                $over[$placement->piece->id] = ($over[$placement->piece->id] ?? 0) + ($placement->flipped ? 1 : 0);
            }
        }
        foreach ($lay->unplaced as $unplaced) {
            $seen[$unplaced->piece][] = $unplaced->copy;
        }
        foreach ($request->pieces as $piece) {
            $copies = $seen[$piece->id] ?? [];
            sort($copies);
            if (Status::Impossible !== $lay->status && $copies !== range(1, $piece->quantity)) {
                $faults[] = new Fault(FaultKind::Count, [
                    'piece' => $piece->id,
                    'wanted' => $piece->quantity,
                    'found' => \count($copies),
                ]);
            }
            if (
                $piece->pair
                && [] === $lay->unplaced
                && isset($over[$piece->id])
                && 2 * $over[$piece->id] !== $piece->quantity
                && !$piece->flat()->isSymmetric()
            ) {
                $faults[] = new Fault(FaultKind::NotTurnedOver, ['piece' => $piece->id]);
            }
        }

        return $faults;
    }

    /** @return list<Fault> */
    private function matches(Lay $lay): array
    {
        $faults = [];
        $first = [];
        foreach ($lay->placements as $placement) {
            $match = $placement->piece->match;
            $point = $placement->matched();
            if (null === $match || null === $point) {
                continue;
            }
            [$x, $y] = $point;
            [$fx, $fy] = $match->at ?? $first[$match->length.' '.$match->width] ??= [$x, $y];
            foreach ([[$x - $fx, $match->length], [$y - $fy, $match->width]] as [$off, $repeat]) {
                if ($repeat > 0 && abs($off - round($off / $repeat) * $repeat) > self::TOLERANCE) {
                    $faults[] = new Fault(null === $match->at ? FaultKind::NotMatched : FaultKind::OffFigures, [
                        'piece' => $placement->piece->id,
                        'copy' => $placement->copy,
                    ]);
                    break;
                }
            }
        }

        return $faults;
    }

    /**
     * @param list<array{float, float}> $part
     *
     * @return array{float, float, float, float} left, bottom, right, top
     */
    private static function box(array $part): array
    {
        [$x, $y] = [array_column($part, 0), array_column($part, 1)];

        return [min(\INF, ...$x), min(\INF, ...$y), max(-\INF, ...$x), max(-\INF, ...$y)];
    }

    /** @return list<Fault> */
    private function lengths(Lay $lay): array
    {
        $faults = [];
        foreach ($lay->used as $sheet => $used) {
            $end = 0.0;
            foreach ($lay->placements as $placement) {
                $end = $placement->sheet === $sheet ? max($end, $placement->outline->right) : $end;
            }
            if (abs($used - $end * (Fold::Crosswise === $lay->fold ? 2 : 1)) > self::TOLERANCE) {
                $faults[] = new Fault(FaultKind::WrongLength, ['length' => $used, 'cut' => $sheet, 'used' => $end]);
            }
        }

        return $faults;
    }
}

<?php

declare(strict_types=1);

namespace Octavum\Core\Lay\Way;

use Octavum\Core\Lay\Request\Fold;
use Octavum\Core\Lay\Request\Grain;
use Octavum\Core\Lay\Request\LayPiece;
use Octavum\Core\Lay\Request\LayRequest;
use Octavum\Core\Lay\Request\Repeat;
use Octavum\Core\Lay\Request\Sheet;
use Octavum\Core\Shape\Convex;
use Octavum\Core\Shape\Outline;

/** Turns a request into the ways of laying it: how the cloth lies, and which copies go on it in one go. */
final readonly class Ways
{
    /** Of places of the repeat so many are tried at most, and no more than lie so far apart, mm: each has less of the time. */
    private const PHASES = 6;
    private const APART = 30.0;

    /** @param array{float, float} $phase where the repeat begins that nothing which lies fixed is matched to */
    public function __construct(private float $row, private array $phase = [0.0, 0.0], private Convex $convex = new Convex())
    {
    }

    public function prepare(LayRequest $request, Fold $fold): Way
    {
        $refused = $this->seen($request, $fold);
        $way = null === $refused ? $this->whole($request, $fold) : new Way($fold, [], [], refused: $refused);

        return [] === $request->fixed || null !== $way->refused ? $way : $this->around($way, $request);
    }

    /** Why the print or the edge that pieces are laid to cannot be followed so; null when it can. */
    private function seen(LayRequest $request, Fold $fold): ?Fault
    {
        foreach ($request->pieces as $piece) {
            if (null !== $piece->match?->at && Fold::Flat !== $fold) {
                return new Fault(FaultKind::FiguresHidden);
            }
            if (null !== $piece->edge && !\in_array($fold, [Fold::Flat, Fold::Crosswise], true)) {
                return new Fault(FaultKind::EdgeFolded);
            }
            $turns = $piece->turns($request->oneWay);
            if (Fold::Gate === $fold && \in_array(90, $turns, true) && !\in_array(270, $turns, true)) {
                return new Fault(FaultKind::AcrossGate);
            }
        }

        return null;
    }

    /** Without what lies fixed, and with no room where it lies. */
    private function around(Way $way, LayRequest $request): Way
    {
        if (Fold::Part === $way->fold) {
            return new Way($way->fold, [], [], refused: new Fault(FaultKind::LockedInPart));
        }
        [$lanes, $items] = [$way->lanes, $way->items];
        foreach ($request->fixed as $fixed) {
            foreach ($items as $i => $item) {
                if ($item->piece->id === $fixed->piece->id && $item->copy === $fixed->copy) {
                    unset($items[$i]);
                }
            }
            foreach ($lanes as $i => $lane) {
                $seen = $lane->seen($fixed->outline);
                if ($lane->sheet === $fixed->sheet && $seen->top > 0 && $seen->bottom < $lane->width) {
                    $lanes[$i] = $lane->without(
                        array_map(fn (array $part): array => $this->convex->widened($part, $request->gap), $seen->convexParts()),
                        $fixed->outline->right,
                    );
                }
            }
        }

        return new Way($way->fold, $lanes, array_values($items), $way->doubled);
    }

    private function whole(LayRequest $request, Fold $fold): Way
    {
        return match ($fold) {
            Fold::Flat => new Way(
                $fold,
                array_map(
                    static fn (Sheet $sheet): Lane => new Lane(
                        $sheet->id,
                        $sheet->width,
                        $sheet->length ?? \INF,
                        missing: $sheet->missingParts(),
                    ),
                    $request->sheets,
                ),
                $this->single($request, $request->pieces),
            ),
            Fold::Lengthwise => $this->folded(
                $request,
                $fold,
                static fn (Sheet $sheet): array => [new Lane($sheet->id, $sheet->width / 2, $sheet->length ?? \INF, 2, true)],
            ),
            Fold::Gate => $this->folded(
                $request,
                $fold,
                static fn (Sheet $sheet): array => [
                    new Lane($sheet->id, $sheet->width / 4, $sheet->length ?? \INF, 2, true),
                    new Lane(
                        $sheet->id,
                        $sheet->width / 4,
                        $sheet->length ?? \INF,
                        layers: 2,
                        fold: true,
                        offset: $sheet->width / 2,
                        down: true,
                    ),
                ],
            ),
            Fold::Crosswise => $request->oneWay
                ? new Way($fold, [], [], refused: new Fault(FaultKind::OneWayCrosswise))
                : $this->folded(
                    $request,
                    $fold,
                    static fn (Sheet $sheet): array => [
                        new Lane($sheet->id, $sheet->width, null === $sheet->length ? \INF : $sheet->length / 2, 2),
                    ],
                    2,
                ),
            Fold::Part => $this->part($request),
        };
    }

    /** @param \Closure(Sheet): list<Lane> $lanes */
    private function folded(LayRequest $request, Fold $fold, \Closure $lanes, float $doubled = 1): Way
    {
        foreach ($request->sheets as $sheet) {
            if ($sheet->isIrregular()) {
                return new Way($fold, [], [], refused: new Fault(FaultKind::IrregularFolded));
            }
        }
        $items = [];
        foreach ($request->pieces as $piece) {
            $doubles = $this->doubles($piece, $request, Fold::Crosswise === $fold);
            if ($doubles instanceof Fault) {
                return new Way($fold, [], [], refused: $doubles);
            }
            $items = [...$items, ...$doubles];
        }

        return new Way($fold, array_merge(...array_map($lanes, $request->sheets)), $items, $doubled);
    }

    /** Folded lengthwise as far as what can be cut double goes, then flat for the rest; the flat lane comes second. */
    private function part(LayRequest $request): Way
    {
        if (1 !== \count($request->sheets) || $request->sheets[0]->isIrregular()) {
            return new Way(Fold::Part, [], [], refused: new Fault(FaultKind::PartOfSeveral));
        }
        foreach ($request->pieces as $piece) {
            if (null !== $piece->match) {
                return new Way(Fold::Part, [], [], refused: new Fault(FaultKind::MatchedInPart));
            }
        }
        $sheet = $request->sheets[0];
        $double = $single = [];
        foreach ($request->pieces as $piece) {
            $doubles = $this->doubles($piece, $request, false);
            if ($doubles instanceof Fault) {
                $single[] = $piece;
            } else {
                $double = [...$double, ...$doubles];
            }
        }
        if ([] === $double || [] === $single) {
            return new Way(
                Fold::Part,
                [],
                [],
                refused: new Fault([] === $single ? FaultKind::AllDouble : FaultKind::NoneDouble),
            );
        }

        return new Way(
            Fold::Part,
            [
                new Lane($sheet->id, $sheet->width / 2, $sheet->length ?? \INF, 2, true),
                new Lane($sheet->id, $sheet->width, $sheet->length ?? \INF),
            ],
            [...$double, ...$this->single($request, $single)],
        );
    }

    /**
     * @param list<LayPiece> $pieces
     *
     * @return list<Item> a copy each
     */
    private function single(LayRequest $request, array $pieces): array
    {
        $items = [];
        foreach ($pieces as $piece) {
            $straight = $this->variants($piece->flat(), $piece, $request, [false]);
            $over = $piece->pair ? $this->variants($piece->flat(), $piece, $request, [true]) : $straight;
            for ($copy = 1; $copy <= $piece->quantity; ++$copy) {
                $items[] = new Item($piece, $copy, 1, false, $piece->pair && 2 * $copy > $piece->quantity ? $over : $straight);
            }
        }

        return $items;
    }

    /** @return list<Item>|Fault or why the piece cannot be cut from two layers */
    private function doubles(LayPiece $piece, LayRequest $request, bool $crosswise): array|Fault
    {
        if ($piece->onFold && !$crosswise) {
            if (Grain::Along !== $piece->grain && Grain::Either !== $piece->grain) {
                return new Fault(FaultKind::GrainOffFold, ['piece' => $piece->id]);
            }
            $below = $piece->outline->bottom < -0.01;
            $variants = array_map(
                fn (int $turn): Variant => $this->variant($piece->outline, $piece, $request, $turn, $below !== (180 === $turn)),
                \in_array(180, $piece->turns($request->oneWay), true) ? [0, 180] : [0],
            );

            return array_map(static fn (int $copy): Item => new Item($piece, $copy, 2, true, $variants), range(1, $piece->quantity));
        }
        if (0 !== $piece->quantity % 2) {
            return new Fault(FaultKind::OddCopies, ['piece' => $piece->id, 'wanted' => $piece->quantity]);
        }
        $outline = $piece->flat();
        if (!$piece->pair && !$outline->isSymmetric()) {
            return new Fault(FaultKind::SameWayOver, ['piece' => $piece->id]);
        }
        $variants = $this->variants($outline, $piece, $request, [false, true]);

        return array_map(
            static fn (int $pair): Item => new Item($piece, 2 * $pair - 1, 2, false, $variants),
            range(1, intdiv($piece->quantity, 2)),
        );
    }

    /**
     * @param non-empty-list<bool> $sides turned over or not
     *
     * @return list<Variant> no two of the same shape
     */
    private function variants(Outline $outline, LayPiece $piece, LayRequest $request, array $sides): array
    {
        $variants = [];
        foreach ($sides as $flipped) {
            foreach ($piece->turns($request->oneWay) as $turn) {
                $variant = $this->variant($outline, $piece, $request, $turn, $flipped);
                $match = $variant->match;
                $seat = \sprintf('%.1f %.1f ', ($match->length ?? 0) > 0 ? $match?->x : 0, ($match->width ?? 0) > 0 ? $match?->y : 0);
                $points = $variant->outline->points;
                $shape = array_map(static fn (array $p): string => \sprintf('%.1f %.1f', $p[0] + 0.0, $p[1] + 0.0), $points);
                sort($shape);
                $variants[$seat.implode(' ', $shape)] ??= $variant;
            }
        }

        return array_values($variants);
    }

    private function variant(Outline $outline, LayPiece $piece, LayRequest $request, int $turn, bool $flipped): Variant
    {
        $lies = static fn (Outline $o): Outline => ($flipped ? $o->flipped() : $o)->turned($turn);
        $placed = $lies($outline);
        $match = $piece->match;
        if (null !== $match) {
            [$x, $y] = $lies(Outline::convex([[$match->x, $match->y]]))->points[0];
            $at = $match->at ?? $this->phase($request);
            $match = new Repeat($match->length, $match->width, $x - $placed->left, y: $y - $placed->bottom, at: $at, alike: $match->alike);
        }

        return new Variant($placed->atOrigin(), $turn, $flipped, $this->row, $match);
    }

    /**
     * Where the repeat may begin, as far as it is free: so that one of the matched pieces lies at the cut end and the selvage,
     * the largest first.
     *
     * @return non-empty-list<array{float, float}>
     */
    public function phases(LayRequest $request): array
    {
        $phases = ['0 0' => [0.0, 0.0]];
        $pieces = array_filter($request->pieces, static fn (LayPiece $piece): bool => true === $piece->match?->isFree());
        usort($pieces, static fn (LayPiece $a, LayPiece $b): int => $b->flat()->area() <=> $a->flat()->area());
        foreach ([] === $request->fixed ? $this->single($request, $pieces) : [] as $item) {
            foreach ($item->variants as $variant) {
                $match = $variant->match;
                if (null === $match) {
                    continue;
                }
                $x = $match->length > 0 ? fmod($match->x, $match->length) : 0.0;
                $y = $match->width > 0 ? fmod($match->y, $match->width) : 0.0;
                $phases[\sprintf('%.0f %.0f', $x, $y)] ??= [$x, $y];
            }
        }

        $steps = array_map(static fn (LayPiece $piece): float => max($piece->match->length ?? 0.0, $piece->match->width ?? 0.0), $pieces);
        $most = (int) (max([0.0, ...$steps]) / self::APART);

        return \array_slice(array_values($phases), 0, max(1, min(self::PHASES, $most)));
    }

    /** @return array{float, float} where the repeat begins that the pieces which lie fixed are matched to */
    private function phase(LayRequest $request): array
    {
        foreach ($request->fixed as $placement) {
            $point = null === $placement->piece->match?->at ? $placement->matched() : null;
            if (null !== $point) {
                return $point;
            }
        }

        return $this->phase;
    }
}

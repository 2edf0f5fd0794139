<?php

declare(strict_types=1);

namespace Octavum\Core\Laid;

use Octavum\Core\Cloth\Bite;
use Octavum\Core\Cloth\Cloth;
use Octavum\Core\Cloth\Direction;
use Octavum\Core\Lay\Lay;
use Octavum\Core\Lay\Request\Fold;
use Octavum\Core\Lay\Request\Grain;
use Octavum\Core\Lay\Request\LayPiece;
use Octavum\Core\Lay\Request\LayRequest;
use Octavum\Core\Lay\Request\Placement;
use Octavum\Core\Lay\Request\Repeat;
use Octavum\Core\Lay\Request\Sheet;
use Octavum\Core\Measure\Assumptions;
use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Piece\Piece;
use Octavum\Core\Piece\Shape;
use Octavum\Core\Shape\Outline;

/** What is to be laid on what: garments with their pieces, cuts or rolls, and how; the link from a plan to the lay engine. */
final readonly class LaySetup
{
    /** @var array<string, array{int, Piece, LayPiece}> by id in the lay, "0/Front": garment, piece, what is laid */
    public array $pieces;

    /** @var list<Sentence> why pieces cannot lie to the figures as they should */
    public array $refused;

    /**
     * @param list<LaidSheet>   $sheets
     * @param list<LaidGarment> $garments
     * @param list<list<Piece>> $pieces   of each garment
     */
    public function __construct(
        public array $sheets,
        public array $garments,
        array $pieces,
        public LayRules $rules = new LayRules(),
        private Assumptions $assumptions = new Assumptions(),
    ) {
        $cut = $this->cut($pieces);
        $seats = $this->seats($cut);
        $repeats = array_filter($seats, static fn (Repeat|Sentence $seat): bool => $seat instanceof Repeat);
        $this->refused = [
            ...$rules->impossible(\count($sheets)),
            ...array_values(array_filter($seats, static fn (Repeat|Sentence $seat): bool => $seat instanceof Sentence)),
        ];
        $hem = null;
        foreach ($repeats as $id => $seat) {
            // what is matched to a piece with a figure has its lower end where that has its own
            $along = Grain::Along === $rules->grain($cut[$id][1]);
            $hem ??= $along ? [($seat->at[0] ?? 0) + $cut[$id][2]->right - $seat->x, 0.0] : null;
        }
        $printed = $rules->match ? $this->printed() : null;
        [$repeat, $alike] = [$printed?->look->repeat, Direction::TwoWay === $printed?->direction];
        $all = [];
        foreach ($cut as $id => [$garment, $piece, $outline]) {
            $all[$id] = [
                $garment,
                $piece,
                new LayPiece(
                    $id,
                    $outline,
                    $piece->quantity,
                    pair: $piece->pair,
                    onFold: $piece->onFold,
                    grain: $this->rules->grain($piece),
                    cut: null,
                    match: $repeats[$id] ??
                        (null === $repeat ? null : new Repeat(
                            (float) $repeat->millimetres(),
                            0,
                            $outline->right,
                            y: 0,
                            at: $hem,
                            alike: $alike,
                        )),
                    eased: \in_array($id, $rules->eased, true),
                    edge: \in_array($id, $rules->edged, true) ? (float) ($rules->edge?->millimetres() ?? 0) : null,
                ),
            ];
        }
        $this->pieces = $all;
    }

    /**
     * @param list<list<Piece>> $pieces
     *
     * @return array<string, array{int, Piece, Outline}> by id: garment, piece, as it is cut out
     */
    private function cut(array $pieces): array
    {
        $cut = [];
        foreach ($pieces as $garment => $list) {
            foreach ($list as $piece) {
                $shape = $piece->in($this->garments[$garment]->size);
                if (null !== $shape) {
                    $allowance = $this->rules->allowance;
                    $drawn = null === $allowance || null === $shape->allowance ? $shape : new Shape([], $shape->drawn, $allowance);
                    $cut[$garment.'/'.$piece->name] = [$garment, $piece, $drawn->cutOut($piece->onFold)];
                }
            }
        }

        return $cut;
    }

    /**
     * @param array<string, array{int, Piece, Outline}> $cut
     *
     * @return array<string, Repeat|Sentence> where pieces that are laid to figures may lie, or why they cannot
     */
    private function seats(array $cut): array
    {
        $figures = $this->rules->figures;
        if (null === $figures) {
            return [];
        }
        $seats = [];
        foreach ($figures->pieces as $id => $seated) {
            if (isset($cut[$id]) && !\in_array($id, $this->rules->off, true)) {
                [, $piece, $outline] = $cut[$id];
                $flat = $piece->onFold ? $outline->unfolded() : $outline;
                $seats[$id] =
                    PrintPlacement::Clear !== $seated->seat || Grain::Along === $this->rules->grain($piece)
                        ? $figures->repeat($piece->name, $flat, $seated)
                        : new Sentence('{piece} may lie across the cloth: points of it are kept clear only where it lies along.', [
                            'piece' => $piece->name,
                        ]);
            }
        }

        return $seats;
    }

    /** @return array<string, string> by id, as a sewist knows the pieces */
    public function names(): array
    {
        $names = [];
        foreach ($this->pieces as $id => [$garment, $piece]) {
            $names[$id] = 1 === \count($this->garments) ? $piece->name : $this->garments[$garment]->name.': '.$piece->name;
        }

        return $names;
    }

    public function repeat(): ?Length
    {
        return $this->printed()?->look->repeat;
    }

    /** The first of its cloths that has a repeat. */
    private function printed(): ?Cloth
    {
        foreach ($this->sheets as $sheet) {
            if (null !== $sheet->cloth?->look->repeat) {
                return $sheet->cloth;
            }
        }

        return null;
    }

    /**
     * @param non-empty-list<Fold> $folds
     * @param list<Placement>      $fixed
     *
     * @return ?LayRequest null when there is nothing to lay, or nothing to lay it on
     */
    public function request(array $folds, float $seconds = 2, array $fixed = []): ?LayRequest
    {
        $sheets = [];
        foreach ($this->sheets as $i => $sheet) {
            $sheets[] = new Sheet(
                's'.$i,
                (float) $sheet->width->millimetres(),
                null === $sheet->length ? null : (float) $sheet->length->millimetres(),
                null,
                $this->bites($sheet),
            );
        }
        $pieces = [];
        foreach ($this->pieces as $id => [, , $piece]) {
            if (!\in_array($id, $this->rules->off, true)) {
                $pieces[] = $piece;
            }
        }

        return [] === $sheets || [] === $pieces
            ? null
            : new LayRequest(
                $sheets,
                $pieces,
                $this->rules->gap,
                oneWay: $this->rules->isSameWayUp(),
                folds: $folds,
                seconds: $seconds,
                seed: 1,
                fixed: $fixed,
            );
    }

    /**
     * The lay as it is kept.
     *
     * @param list<string> $locked pieces with their copy
     */
    public function saved(string $id, string $name, Lay $lay, bool $sound, array $locked): SavedLay
    {
        $sheets = [];
        $print = $this->rules->followsPrint();
        foreach ($this->sheets as $i => $sheet) {
            $sheets[] = new LaidSheet(
                $sheet->cloth,
                $sheet->cut,
                $sheet->width,
                length: $sheet->length,
                used: Length::ofMillimetres(ceil(10 * ($lay->used['s'.$i] ?? 0)) / 10),
                mark: null === $sheet->cloth || null === $sheet->cut ? '' : LaidSheet::markOf($sheet->cloth, $sheet->cut, $print),
            );
        }
        $pieces = array_map(
            fn (Placement $placement): LaidPiece => new LaidPiece(
                $this->pieces[$placement->piece->id][0],
                $this->pieces[$placement->piece->id][1]->name,
                $placement->copy,
                sheet: (int) substr($placement->sheet, 1),
                turn: $placement->turn,
                flipped: $placement->flipped,
                layers: $placement->layers,
                x: $placement->x,
                y: $placement->y,
                outline: $placement->outline,
                locked: \in_array($placement->piece->id.' '.$placement->copy, $locked, true),
            ),
            $lay->placements,
        );

        return new SavedLay(
            $id,
            $name,
            $lay->fold,
            sheets: $sheets,
            garments: $this->garments,
            pieces: $pieces,
            sound: $sound,
            utilisation: $lay->measure->utilisation,
            rules: $this->rules,
        );
    }

    /**
     * What is missing from a cut, seen from where it is cut from: squaring has been taken off its end, and half of what
     * the selvages take off its side.
     *
     * @return list<array{float, float, float, float}>
     */
    private function bites(LaidSheet $sheet): array
    {
        $isRaw = ($sheet->cut->rawEnds ?? 0) > 0;
        $squared = $isRaw ? (float) $this->assumptions->squaring->millimetres() : 0.0;
        $width = null === $sheet->cloth ? null : $sheet->cut?->widthOf($sheet->cloth);
        $selvage = (float) ($width?->selvage->millimetres() ?? 0);

        return array_map(static function (Bite $bite) use ($squared, $selvage): array {
            $x = max(0.0, $bite->from->millimetres() - $squared);
            $y = max(0.0, $bite->below->millimetres() - $selvage);

            return [
                $x,
                $y,
                $bite->from->millimetres() + $bite->length->millimetres() - $squared - $x,
                $bite->below->millimetres() + $bite->width->millimetres() - $selvage - $y,
            ];
        }, $sheet->cut->bites ?? []);
    }
}

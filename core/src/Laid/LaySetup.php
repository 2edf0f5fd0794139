<?php

declare(strict_types=1);

namespace Octavum\Core\Laid;

use Octavum\Core\Cloth\Bite;
use Octavum\Core\Lay\Fold;
use Octavum\Core\Lay\Lay;
use Octavum\Core\Lay\Piece as LayPiece;
use Octavum\Core\Lay\Placement;
use Octavum\Core\Lay\Repeat;
use Octavum\Core\Lay\Request;
use Octavum\Core\Lay\Sheet;
use Octavum\Core\Measure\Assumptions;
use Octavum\Core\Measure\Length;
use Octavum\Core\Piece\Piece;
use Octavum\Core\Piece\Shape;

/** What is to be laid on what: garments with their pieces, cuts or rolls, and how; the link from a plan to the lay engine. */
final readonly class LaySetup
{
    /** @var array<string, array{int, Piece, LayPiece}> by id in the lay, "0/Front": garment, piece, what is laid */
    public array $pieces;

    /**
     * @param list<LaidSheet>   $sheets
     * @param list<LaidGarment> $garments
     * @param list<list<Piece>> $pieces    of each garment
     * @param float             $gap       between pieces, mm
     * @param ?Length           $allowance instead of the one that is added to a piece
     * @param bool              $match     the repeat of the first cloth that has one, at the lower end of each main piece
     * @param list<string>      $off       pieces that come from other cloth, by id
     * @param list<string>      $eased     those whose tops may point either way on one-way cloth, by id
     * @param bool              $across    every piece lies across the cloth that would lie along it, and the reverse
     */
    public function __construct(
        public array $sheets,
        public array $garments,
        array $pieces,
        public bool $oneWay = false,
        public float $gap = 0,
        public ?Length $allowance = null,
        public bool $match = false,
        public array $off = [],
        public array $eased = [],
        public bool $across = false,
        private Assumptions $assumptions = new Assumptions(),
    ) {
        $repeat = $match ? $this->repeat() : null;
        $all = [];
        foreach ($pieces as $g => $list) {
            foreach ($list as $piece) {
                $shape = $piece->in($garments[$g]->size);
                if (null === $shape) {
                    continue;
                }
                $id = $g.'/'.$piece->name;
                $drawn = null === $allowance || null === $shape->allowance ? $shape : new Shape([], $shape->drawn, $allowance);
                $outline = $drawn->cutOut($piece->onFold);
                $all[$id] = [
                    $g,
                    $piece,
                    new LayPiece(
                        $id,
                        $outline,
                        $piece->quantity,
                        $piece->pair,
                        $piece->onFold,
                        $across ? $piece->grain->crossed() : $piece->grain,
                        null,
                        null === $repeat ? null : new Repeat((float) $repeat->millimetres(), 0, $outline->right, 0),
                        \in_array($id, $eased, true),
                    ),
                ];
            }
        }
        $this->pieces = $all;
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
        foreach ($this->sheets as $sheet) {
            if (null !== $sheet->cloth?->repeat) {
                return $sheet->cloth->repeat;
            }
        }

        return null;
    }

    /**
     * @param non-empty-list<Fold> $folds
     * @param list<Placement>      $fixed
     *
     * @return ?Request null when there is nothing to lay, or nothing to lay it on
     */
    public function request(array $folds, float $seconds = 2, array $fixed = []): ?Request
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
            if (!\in_array($id, $this->off, true)) {
                $pieces[] = $piece;
            }
        }

        return [] === $sheets || [] === $pieces
            ? null
            : new Request($sheets, $pieces, $this->gap, $this->oneWay, $folds, $seconds, 1, $fixed);
    }

    /**
     * The lay as it is kept.
     *
     * @param list<string> $locked pieces with their copy
     */
    public function saved(string $id, string $name, Lay $lay, bool $sound, array $locked): SavedLay
    {
        $sheets = [];
        foreach ($this->sheets as $i => $sheet) {
            $sheets[] = new LaidSheet(
                $sheet->cloth,
                $sheet->cut,
                $sheet->width,
                $sheet->length,
                Length::ofMillimetres(ceil(10 * ($lay->used['s'.$i] ?? 0)) / 10),
                null === $sheet->cloth || null === $sheet->cut ? '' : LaidSheet::markOf($sheet->cloth, $sheet->cut, $this->match),
            );
        }
        $pieces = array_map(
            fn (Placement $placement): LaidPiece => new LaidPiece(
                $this->pieces[$placement->piece->id][0],
                $this->pieces[$placement->piece->id][1]->name,
                $placement->copy,
                (int) substr($placement->sheet, 1),
                $placement->turn,
                $placement->flipped,
                $placement->layers,
                $placement->x,
                $placement->y,
                $placement->outline,
                \in_array($placement->piece->id.' '.$placement->copy, $locked, true),
            ),
            $lay->placements,
        );

        return new SavedLay(
            $id,
            $name,
            $lay->fold,
            $this->oneWay,
            $this->gap,
            $sheets,
            $this->garments,
            $pieces,
            $sound,
            $lay->utilisation,
            $this->allowance,
            $this->match,
            $this->off,
            $this->eased,
            $this->across,
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
        $squared = (float) $this->assumptions->squaring->millimetres();
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

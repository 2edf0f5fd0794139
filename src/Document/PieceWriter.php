<?php

declare(strict_types=1);

namespace Octavum\Document;

use Octavum\Core\Laid\LaidGarment;
use Octavum\Core\Laid\LaidPiece;
use Octavum\Core\Laid\LaidSheet;
use Octavum\Core\Laid\SavedLay;
use Octavum\Core\Piece\Instead;
use Octavum\Core\Piece\Piece;
use Octavum\Core\Piece\Shape;
use Octavum\Core\Shape\Outline;

/** Writes pattern pieces and saved lays as they stand in an octavum-workroom document. */
final readonly class PieceWriter
{
    /**
     * @param list<Piece> $pieces
     *
     * @return list<array<string, mixed>>
     */
    public function pieces(array $pieces): array
    {
        return array_map(fn (Piece $piece): array => WorkroomWriter::known([
            'name' => $piece->name,
            'role' => $piece->role->value,
            'quantity' => $piece->quantity,
            'pair' => $piece->pair,
            'onFold' => $piece->onFold,
            'grain' => $piece->grain->value,
            'instead' => array_map(static fn (Instead $instead): string => $instead->value, $piece->instead),
            'shapes' => array_map($this->shape(...), $piece->shapes),
        ]), $pieces);
    }

    /** @return array<string, mixed> */
    public function lay(SavedLay $lay): array
    {
        return WorkroomWriter::known([
            'id' => $lay->id,
            'name' => $lay->name,
            'fold' => $lay->fold->value,
            'oneWay' => $lay->oneWay,
            'gap' => $lay->gap,
            'sound' => $lay->sound,
            'utilisation' => $lay->utilisation,
            'allowance' => $lay->allowance?->millimetres(),
            'match' => $lay->match,
            'off' => $lay->off,
            'sheets' => array_map(static fn (LaidSheet $sheet): array => WorkroomWriter::known(['cut' => $sheet->cut?->id, 'width' => $sheet->width->millimetres(), 'length' => $sheet->length?->millimetres(), 'used' => 0 === $sheet->used->micrometres ? null : $sheet->used->millimetres(), 'mark' => $sheet->mark]), $lay->sheets),
            'garments' => array_map(static fn (LaidGarment $garment): array => WorkroomWriter::known(['name' => $garment->name, 'project' => $garment->project, 'version' => $garment->version, 'role' => $garment->role->value, 'size' => $garment->size, 'mark' => $garment->mark]), $lay->garments),
            'pieces' => array_map(fn (LaidPiece $piece): array => WorkroomWriter::known(['garment' => $piece->garment, 'piece' => $piece->piece, 'copy' => $piece->copy, 'sheet' => $piece->sheet, 'turn' => $piece->turn, 'flipped' => $piece->flipped, 'layers' => $piece->layers, 'x' => $piece->x, 'y' => $piece->y, 'locked' => $piece->locked, 'outline' => $this->outline($piece->outline)]), $lay->pieces),
        ]);
    }

    /** @return array<string, mixed> */
    private function shape(Shape $shape): array
    {
        return WorkroomWriter::known([
            'sizes' => $shape->sizes,
            'allowance' => $shape->allowance?->millimetres(),
            'draft' => $shape->drafted?->draft->value,
            'measures' => $shape->drafted?->measures,
            'outline' => null === $shape->drafted ? $this->outline($shape->drawn) : null,
        ]);
    }

    /** @return list<array{float, float}> */
    public function outline(Outline $outline): array
    {
        return array_map(static fn (array $p): array => [round($p[0], 2) + 0.0, round($p[1], 2) + 0.0], $outline->points);
    }
}

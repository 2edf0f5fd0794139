<?php

declare(strict_types=1);

namespace Octavum\Document\Codec;

use Octavum\Core\Cloth\Cloth;
use Octavum\Core\Cloth\Cut;
use Octavum\Core\Laid\LaidGarment;
use Octavum\Core\Laid\LaidPiece;
use Octavum\Core\Laid\LaidSheet;
use Octavum\Core\Laid\SavedLay;
use Octavum\Core\Lay\Request\Fold;
use Octavum\Core\Measure\Length;
use Octavum\Core\Piece\Role;
use Octavum\Document\Json\Fields;
use Octavum\Document\Json\Node;

/** A saved lay: what was laid on what, and where. */
final readonly class LayCodec
{
    public function __construct(private OutlineCodec $outlines = new OutlineCodec(), private LayRulesCodec $rules = new LayRulesCodec())
    {
    }

    /**
     * @param array<string, array{Cloth, Cut}> $cuts    by '#' and id
     * @param bool                             $trusted stored by ourselves: ids may point to what has gone since
     */
    public function read(Node $node, array $cuts, bool $trusted = false): SavedLay
    {
        $node->object([
            'id',
            'name',
            'fold',
            'sheets',
            'garments',
            'pieces',
            'sound',
            'utilisation',
            ...LayRulesCodec::FIELDS,
        ]);
        $sheets = array_map(fn (Node $sheet): LaidSheet => $this->sheet($sheet, $cuts, $trusted), $node->at('sheets')->items(20));
        $garments = array_map($this->garment(...), $node->at('garments')->items(30));
        $pieces = array_map(
            fn (Node $piece): ?LaidPiece => $this->piece($piece, \count($garments), \count($sheets), $trusted),
            $node->at('pieces')->items(3_000),
        );

        return new SavedLay(
            $node->at('id')->name(60),
            $node->at('name')->name(),
            $node->at('fold')->choice(Fold::class) ?? Fold::Flat,
            sheets: $sheets,
            garments: $garments,
            pieces: array_values(array_filter($pieces)),
            sound: $node->at('sound')->boolean(),
            utilisation: $node->at('utilisation')->isThere() ? (float) $node->at('utilisation')->number() : 0,
            rules: $this->rules->read($node),
        );
    }

    /** @return array<string, mixed> */
    public function write(SavedLay $lay): array
    {
        return Fields::known([
            'id' => $lay->id,
            'name' => $lay->name,
            'fold' => $lay->fold->value,
            'sound' => $lay->sound,
            'utilisation' => $lay->utilisation,
            ...$this->rules->write($lay->rules),
            'sheets' => array_map($this->writeSheet(...), $lay->sheets),
            'garments' => array_map($this->writeGarment(...), $lay->garments),
            'pieces' => array_map($this->writePiece(...), $lay->pieces),
        ]);
    }

    /** @param array<string, array{Cloth, Cut}> $cuts by '#' and id */
    private function sheet(Node $node, array $cuts, bool $trusted): LaidSheet
    {
        $node->object(['cut', 'width', 'length', 'used', 'mark']);
        $id = $node->at('cut')->optionalText(60);
        [$cloth, $cut] = $cuts['#'.$id] ?? [null, null];
        if (null !== $id && null === $cut && !$trusted) {
            $node->at('cut')->fault('There is no {kind} with the id “{id}” in this document.', kind: 'cut', id: $id);
        }
        $used = $node->at('used')->length() ?? Length::zero();

        return new LaidSheet(
            $cloth,
            $cut,
            $node->at('width')->requiredLength(),
            length: $node->at('length')->length(),
            used: $used,
            mark: $node->at('mark')->text(40),
        );
    }

    private function garment(Node $node): LaidGarment
    {
        $node->object(['name', 'project', 'version', 'role', 'size', 'mark', 'pieces']);

        return new LaidGarment(
            $node->at('name')->text(200),
            $node->at('project')->optionalText(60),
            $node->at('version')->optionalText(60),
            role: $node->at('role')->choice(Role::class) ?? Role::Main,
            size: $node->at('size')->text(20),
            mark: $node->at('mark')->text(40),
            pieces: $node->at('pieces')->texts(60),
        );
    }

    /** @return ?LaidPiece null where its outline, garment or sheet is none */
    private function piece(Node $node, int $garments, int $sheets, bool $trusted): ?LaidPiece
    {
        $node->object(['garment', 'piece', 'copy', 'sheet', 'turn', 'flipped', 'layers', 'x', 'y', 'locked', 'outline']);
        $outline = $this->outlines->read($node->at('outline'), $trusted);
        $garment = $node->at('garment')->requiredInteger(0, max(0, $garments - 1));
        $sheet = $node->at('sheet')->requiredInteger(0, max(0, $sheets - 1));

        return null === $outline || $garment >= $garments || $sheet >= $sheets
            ? null
            : new LaidPiece(
                $garment,
                $node->at('piece')->name(60),
                $node->at('copy')->requiredInteger(1, 1_000),
                sheet: $sheet,
                turn: $node->at('turn')->requiredInteger(0, 359),
                flipped: $node->at('flipped')->boolean(),
                layers: $node->at('layers')->requiredInteger(1, 2),
                x: $this->outlines->coordinate($node->at('x')),
                y: $this->outlines->coordinate($node->at('y')),
                outline: $outline,
                locked: $node->at('locked')->boolean(),
            );
    }

    /** @return array<string, mixed> */
    private function writeSheet(LaidSheet $sheet): array
    {
        return Fields::known([
            'cut' => $sheet->cut?->id,
            'width' => $sheet->width->millimetres(),
            'length' => $sheet->length?->millimetres(),
            'used' => 0 === $sheet->used->micrometres ? null : $sheet->used->millimetres(),
            'mark' => $sheet->mark,
        ]);
    }

    /** @return array<string, mixed> */
    private function writeGarment(LaidGarment $garment): array
    {
        return Fields::known([
            'name' => $garment->name,
            'project' => $garment->project,
            'version' => $garment->version,
            'role' => $garment->role->value,
            'size' => $garment->size,
            'mark' => $garment->mark,
            'pieces' => $garment->pieces,
        ]);
    }

    /** @return array<string, mixed> */
    private function writePiece(LaidPiece $piece): array
    {
        return Fields::known([
            'garment' => $piece->garment,
            'piece' => $piece->piece,
            'copy' => $piece->copy,
            'sheet' => $piece->sheet,
            'turn' => $piece->turn,
            'flipped' => $piece->flipped,
            'layers' => $piece->layers,
            'x' => $piece->x,
            'y' => $piece->y,
            'locked' => $piece->locked,
            'outline' => $this->outlines->write($piece->outline),
        ]);
    }
}

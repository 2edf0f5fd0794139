<?php

declare(strict_types=1);

namespace Octavum\Document;

use Octavum\Core\Lay\FaultWords;
use Octavum\Core\Lay\Lay;
use Octavum\Core\Lay\Request\LayRequest;
use Octavum\Core\Lay\Request\Placement;
use Octavum\Core\Lay\Request\Sheet;
use Octavum\Core\Lay\Unplaced;
use Octavum\Core\Lay\Way\Fault;

/** Writes a lay as an octavum-layout-result, version 1. */
final readonly class LayoutWriter
{
    public function write(LayRequest $request, Lay $lay, float $seconds): string
    {
        $words = new FaultWords();
        $say = static fn (Fault $fault): string => (string) $words->say($fault);

        return json_encode(
            [
                'format' => 'octavum-layout-result',
                'version' => 1,
                'status' => $lay->status->value,
                'fold' => $lay->fold->value,
                'cuts' => array_map(
                    static fn (Sheet $sheet): array => [
                        'id' => $sheet->id,
                        'used' => $lay->used[$sheet->id] ?? 0,
                        'length' => $sheet->length,
                    ],
                    $request->sheets,
                ),
                'placements' => array_map(
                    static fn (Placement $placement): array => [
                        'piece' => $placement->piece->id,
                        'copy' => $placement->copy,
                        'cut' => $placement->sheet,
                        'turn' => $placement->turn,
                        'flipped' => $placement->flipped,
                        'layers' => $placement->layers,
                        'x' => $placement->x,
                        'y' => $placement->y,
                        'outline' => array_map(
                            static fn (array $point): array => [round($point[0], 3), round($point[1], 3)],
                            $placement->outline->points,
                        ),
                    ],
                    $lay->placements,
                ),
                'unplaced' => array_map(
                    static fn (Unplaced $one): array => [
                        'piece' => $one->piece,
                        'copy' => $one->copy,
                        'reason' => implode('; ', array_map($say, $one->reasons)),
                    ],
                    $lay->unplaced,
                ),
                'utilisation' => $lay->measure->utilisation,
                'bound' => $lay->measure->bound,
                'leftovers' => array_map(
                    static fn (array $free): array => array_map(
                        static fn (float|string $value): float|string => \is_float($value) ? round($value, 1) : $value,
                        $free,
                    ),
                    $lay->leftovers,
                ),
                'folds' => (object) array_map(
                    static fn (float|Fault $said): float|string => \is_float($said) ? $said : $say($said),
                    $lay->folds,
                ),
                'seconds' => round($seconds, 3),
                'evaluated' => $lay->measure->evaluated,
            ],
            \JSON_THROW_ON_ERROR | \JSON_UNESCAPED_UNICODE | \JSON_UNESCAPED_SLASHES | \JSON_PRETTY_PRINT,
        )."\n";
    }
}

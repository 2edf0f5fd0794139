<?php

declare(strict_types=1);

namespace Octavum\Core\Laid;

use Octavum\Core\Lay\Judge;
use Octavum\Core\Lay\Lay;
use Octavum\Core\Lay\LayMeasure;
use Octavum\Core\Lay\Request\Placement;
use Octavum\Core\Lay\Status;
use Octavum\Core\Measure\Assumptions;
use Octavum\Core\Measure\Length;
use Octavum\Core\Need\Block\Block;
use Octavum\Core\Pattern\Pattern;
use Octavum\Core\Pattern\Version;
use Octavum\Core\Piece\Piece;

/** Judges a saved lay again that comes from outside: its pieces as they are known here, its lengths from its own outlines. */
final readonly class LayReview
{
    /** By which a length may differ from its outlines as they are written, mm. */
    private const ROUNDED = 0.2;

    public function __construct(private Assumptions $assumptions, private Judge $judge = new Judge(), private Block $block = new Block())
    {
    }

    /**
     * @param array<string, array{Pattern, Version}> $versions by '#' and id
     * @param \Closure(LaidGarment): list<Piece>     $planned  the pieces its project has for it; none where it says nothing of them
     *
     * @return SavedLay sound only when nothing is wrong with it, and as long as its pieces
     */
    public function review(SavedLay $lay, array $versions, \Closure $planned): SavedLay
    {
        $pieces = [];
        foreach ($lay->garments as $garment) {
            [$pattern, $version] = $versions['#'.$garment->version] ?? [null, null];
            $own = $planned($garment);
            $own = [] === $own ? $version?->pieces->in($garment->size, $garment->role) ?? [] : $own;
            $pieces[] =
                [] !== $own || null === $pattern || null === $version
                    ? $own
                    : $this->block->pieces($pattern->makes->garment, $version->table, $garment->role, $garment->size);
        }
        $setup = new LaySetup(
            $lay->sheets,
            $lay->garments,
            $pieces,
            $lay->rules,
            $this->assumptions,
        );
        $request = $setup->request([$lay->fold]);
        $laid = $this->laid($lay, $setup);
        $sound = null !== $request && null !== $laid && [] === $setup->refused && [] === $this->judge->faults($request, $laid);
        $sheets = [];
        foreach ($lay->sheets as $i => $sheet) {
            $end = $lay->end($i);
            $used = abs($sheet->used->millimetres() - $end) < self::ROUNDED ? $sheet->used : Length::ofMillimetres(ceil(10 * $end) / 10);
            $sheets[] = new LaidSheet($sheet->cloth, $sheet->cut, $sheet->width, length: $sheet->length, used: $used, mark: $sheet->mark);
        }

        return new SavedLay(
            $lay->id,
            $lay->name,
            $lay->fold,
            sheets: $sheets,
            garments: $lay->garments,
            pieces: $lay->pieces,
            sound: $lay->sound && $sound,
            utilisation: $lay->utilisation,
            rules: $lay->rules,
        );
    }

    /** As the engine would have given it; null where a piece is none of those known. */
    private function laid(SavedLay $lay, LaySetup $setup): ?Lay
    {
        $placements = $used = [];
        foreach ($lay->pieces as $piece) {
            $known = $setup->pieces[$piece->garment.'/'.$piece->piece][2] ?? null;
            if (null === $known) {
                return null;
            }
            $placements[] = new Placement(
                $known,
                $piece->copy,
                's'.$piece->sheet,
                turn: $piece->turn,
                flipped: $piece->flipped,
                layers: $piece->layers,
                x: $piece->x,
                y: $piece->y,
                outline: $piece->outline,
            );
        }
        foreach (array_keys($lay->sheets) as $i) {
            $used['s'.$i] = $lay->end($i);
        }

        return new Lay(
            Status::Placed,
            $lay->fold,
            $used,
            placements: $placements,
            unplaced: [],
            leftovers: [],
            folds: [],
            measure: new LayMeasure($lay->utilisation),
        );
    }
}

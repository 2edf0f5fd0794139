<?php

declare(strict_types=1);

namespace Octavum\Core\Lay;

use Octavum\Core\Lay\Engine\Leftovers;
use Octavum\Core\Lay\Request\Fold;
use Octavum\Core\Lay\Request\LayRequest;
use Octavum\Core\Lay\Request\Placement;
use Octavum\Core\Lay\Request\Sheet;
use Octavum\Core\Lay\Way\Fault;
use Octavum\Core\Lay\Way\FaultKind;
use Octavum\Core\Lay\Way\Ways;

/** Makes a lay of placements somebody else chose, a hand or a search that was stopped: what it uses and what is missing. */
final readonly class Hand
{
    /**
     * @param list<array{
     *     piece: string, copy: int, sheet: string, turn: int, flipped: bool, x: float, y: float,
     * }> $places an item each, in the items' terms of the way of laying
     *
     * @throws \InvalidArgumentException naming a piece or a sheet that is not there in this way of laying
     */
    public function lay(LayRequest $request, Fold $fold, array $places): Lay
    {
        $way = (new Ways(10))->prepare($request, $fold);
        if (null !== $way->refused) {
            throw new \InvalidArgumentException((string) (new FaultWords())->say($way->refused));
        }
        $sheets = array_map(static fn (Sheet $sheet): string => $sheet->id, $request->sheets);
        $left = [];
        foreach ($way->items as $item) {
            $left[$item->piece->id.' '.$item->copy] = $item;
        }
        $placements = [];
        foreach ($places as $place) {
            $key = $place['piece'].' '.$place['copy'];
            $item = $left[$key] ?? throw new \InvalidArgumentException($key);
            if (!\in_array($place['sheet'], $sheets, true)) {
                throw new \InvalidArgumentException($place['sheet']);
            }
            unset($left[$key]);
            $layers = $item->layers;
            $shape = $item->onFold ? $item->piece->outline : $item->piece->flat();
            $outline = ($place['flipped'] ? $shape->flipped() : $shape)->turned($place['turn'])->moved($place['x'], $place['y']);
            $placements[] = new Placement(
                $item->piece,
                $item->copy,
                $place['sheet'],
                turn: $place['turn'],
                flipped: $place['flipped'],
                layers: $layers,
                x: $place['x'],
                y: $place['y'],
                outline: $outline,
            );
        }
        $used = [];
        $area = $laid = 0.0;
        foreach ($request->sheets as $sheet) {
            $end = 0.0;
            foreach ($placements as $placement) {
                $end = $placement->sheet === $sheet->id ? max($end, $placement->outline->right) : $end;
            }
            $used[$sheet->id] = $end * $way->doubled;
            $area += $sheet->width * $used[$sheet->id];
        }
        foreach ($placements as $placement) {
            $laid += $placement->area();
        }
        $unplaced = [];
        foreach ($left as $item) {
            foreach (range($item->copy, $item->copy + ($item->onFold ? 0 : $item->layers - 1)) as $copy) {
                $unplaced[] = new Unplaced($item->piece->id, $copy, [new Fault(FaultKind::NotLaidYet)]);
            }
        }

        return new Lay(
            [] === $unplaced ? Status::Placed : Status::Short,
            $fold,
            $used,
            placements: $placements,
            unplaced: $unplaced,
            leftovers: $this->leftovers($request, $fold, $placements, $used),
            folds: [],
            measure: new LayMeasure($area > 0 ? round($laid / $area, 4) : 0),
        );
    }

    /**
     * @param list<Placement>      $placements
     * @param array<string, float> $used
     *
     * @return list<array{cut: string, x: float, y: float, length: float, width: float}>
     */
    private function leftovers(LayRequest $request, Fold $fold, array $placements, array $used): array
    {
        $leftovers = [];
        foreach (Fold::Flat === $fold ? $request->sheets : [] as $sheet) {
            $taken = $sheet->missingParts();
            foreach ($placements as $placement) {
                array_push($taken, ...$placement->sheet === $sheet->id ? $placement->outline->convexParts() : []);
            }
            foreach ((new Leftovers())->find($taken, $sheet->width, $sheet->length ?? ($used[$sheet->id] ?? 0)) as $free) {
                $leftovers[] = ['cut' => $sheet->id] + $free;
            }
        }

        return $leftovers;
    }
}

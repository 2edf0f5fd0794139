<?php

declare(strict_types=1);

namespace Octavum\Room\Table;

use Octavum\Account\Account;
use Octavum\Core\Laid\LaidSheet;
use Octavum\Core\Laid\LaySetup;
use Octavum\Core\Measure\Length;
use Octavum\Document\Codec\LayRulesCodec;
use Octavum\Document\Json\Node;
use Octavum\Store\Lay\LayRecord;
use Octavum\Store\Plan\PlanLoader;

/**
 * Where the figures of a print lie on a cut, as the newest saved lay on it says: measured once, and offered for the next lay as long
 * as the cut is what it was.
 */
final readonly class EarlierFigures
{
    public function __construct(private PlanLoader $plan, private LayRulesCodec $rules)
    {
    }

    /** @return array{lay: string, x: float|int, y: float|int, along: float|int, across: float|int, size: float|int}|null in mm */
    public function find(Account $account, LaySetup $setup): ?array
    {
        $sheet = 1 === \count($setup->sheets) ? $setup->sheets[0] : null;
        if (null === $sheet?->cut) {
            return null;
        }
        foreach ($this->plan->lays($account) as $record) {
            $figures = $this->isOn($sheet, $record) ? $this->rules->read(Node::stored($record->lay, 'lay '.$record->id))->figures : null;
            if (null !== $figures) {
                return [
                    'lay' => $record->name,
                    'x' => $figures->x->millimetres(),
                    'y' => $figures->y->millimetres(),
                    'along' => $figures->along->millimetres(),
                    'across' => $figures->across->millimetres(),
                    'size' => $figures->size->millimetres(),
                ];
            }
        }

        return null;
    }

    /** Washed, cut into or measured anew it has other ends, and its figures lie elsewhere. */
    private function isOn(LaidSheet $sheet, LayRecord $record): bool
    {
        if ([$sheet->cut?->id] !== $record->cuts()) {
            return false;
        }
        $sheets = Node::stored($record->lay, 'lay '.$record->id)->at('sheets')->items(20);

        return 1 === \count($sheets)
            && $this->isSame($sheets[0]->at('width')->length(), $sheet->width)
            && $this->isSame($sheets[0]->at('length')->length(), $sheet->length);
    }

    /** But for less than a millimetre. */
    private function isSame(?Length $was, ?Length $is): bool
    {
        return null !== $was && null !== $is && abs($was->micrometres - $is->micrometres) < 1000;
    }
}

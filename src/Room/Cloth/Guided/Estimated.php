<?php

declare(strict_types=1);

namespace Octavum\Room\Cloth\Guided;

use Octavum\Core\Cloth\Cloth;
use Octavum\Core\Cloth\LedgerEntry;
use Octavum\Core\Cloth\LedgerKind;
use Octavum\Core\Measure\Figure;
use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\Sentence;
use Octavum\Store\Cloth\ClothMapper;
use Octavum\Store\Cloth\ClothRecord;
use Octavum\Store\Cloth\CutRecord;
use Symfony\Component\Clock\ClockInterface;

/** A length that is not measured with a tape goes into the ledger of a cut, and says so. */
final readonly class Estimated
{
    public function __construct(private ClothMapper $mapper, private ClockInterface $clock)
    {
    }

    /** @param ?Length $found null when it cannot be said; the cut is asked for all the same */
    public function outcome(?Length $found, TestFields $fields, Cloth $cloth, string $note): ?Outcome
    {
        $cut = $fields->entry->raw('cut');
        if (!\in_array($cut, array_column($cloth->cuts, 'id'), true)) {
            $fields->entry->fault('cut', new Sentence('Choose the cut this is about.'));
        }

        return null === $found ? null : new Outcome(
            'about '.$fields->tape->write(Figure::owned($found)),
            fn (ClothRecord $record) => $this->write($found, $record, $cut, $note),
        );
    }

    private function write(Length $found, ClothRecord $record, string $id, string $note): void
    {
        $entry = new LedgerEntry($this->clock->now()->setTime(0, 0), LedgerKind::Measured, $found, $note);
        foreach ($record->cuts->filter(static fn (CutRecord $cut): bool => $cut->id === $id) as $cut) {
            $this->mapper->storeCut($this->mapper->cut($cut)->with($entry), $cut);
        }
    }
}

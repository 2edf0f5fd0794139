<?php

declare(strict_types=1);

namespace Octavum\Room\Cloth;

use Octavum\Account\Mine;
use Octavum\Core\Cloth\Conservation;
use Octavum\Core\Cloth\Cut;
use Octavum\Core\Cloth\LedgerEntry;
use Octavum\Core\Cloth\LedgerKind;
use Octavum\Core\Haul\ApartPiece;
use Octavum\Core\Haul\PartsReader;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Measure\Unreadable;
use Octavum\Core\Workroom\Settings;
use Octavum\Input\Entry;
use Octavum\Store\Change\ChangeLog;
use Octavum\Store\Change\Notice;
use Octavum\Store\Cloth\ClothMapper;
use Octavum\Store\Cloth\ClothRecord;
use Octavum\Store\Cloth\CutRecord;
use Psr\Clock\ClockInterface;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** A sheet, a coat, a shirt taken apart: each of its pieces is a cut with a width of its own. */
final class ApartController extends AbstractController
{
    public function __construct(
        private readonly ClothMapper $mapper,
        private readonly ClothPresenter $page,
        private readonly ClockInterface $clock,
        private readonly ChangeLog $changes,
    ) {
    }

    #[Route('/cloth/{id}/apart', name: 'cloth_apart', methods: ['POST'])]
    public function apart(
        #[Mine] ClothRecord $cloth,
        Entry $entry,
        Settings $settings,
    ): Response {
        $lines = Entry::lines($entry->text('parts'));
        $unit = $settings->system->widthUnit();
        $parts = $entry->attempt('parts', static fn (): array => (new PartsReader())->read($lines, $unit)) ?? [];
        if ([] === $parts && $entry->isSound()) {
            $entry->fault('parts', new Sentence('Type a line for each piece, such as “back 75 × 60 cm”.'));
        }
        $whole = '' === $entry->raw('cut') ? null : $this->whole($cloth, $entry->raw('cut'));
        if (null !== $whole && $entry->isSound()) {
            $entry->attempt('parts', fn () => $this->check($parts, $whole, $settings));
        }
        $today = $this->clock->now()->setTime(0, 0);
        if (!$entry->isSound()) {
            return $this->page->show($cloth, $entry, 'apart');
        }
        $came = null === $whole ? LedgerKind::Bought : LedgerKind::Remnant;
        $make = function () use ($parts, $cloth, $today, $entry, $whole, $came): array {
            if (null !== $whole) {
                $apart = new LedgerEntry($today, LedgerKind::TakenApart);
                $this->mapper->storeCut($this->mapper->cut($whole)->with($apart), $whole);
            }

            return $this->make($parts, $cloth, $today, $entry->boolean('washed'), $came);
        };
        $here = $this->generateUrl('cloth', ['id' => $cloth->id]);
        $count = array_sum(array_map(static fn (ApartPiece $part): int => $part->count, $parts));
        $this->changes->commit(null === $whole ? [] : [$whole], $make, new Notice(
            '{count, plural, one {One piece} other {# pieces}} of {cloth}, each a cut of its own.',
            ['count' => (string) $count, 'cloth' => $cloth->name],
            $here,
        ));

        return $this->redirect($here);
    }

    private function whole(ClothRecord $cloth, string $id): CutRecord
    {
        foreach ($cloth->cuts as $cut) {
            if ($cut->id === $id && null === $cut->removedAt) {
                return $cut;
            }
        }
        throw $this->createNotFoundException();
    }

    /**
     * @param list<ApartPiece> $parts
     *
     * @throws Unreadable when the whole is no longer here, or smaller than its pieces
     */
    private function check(array $parts, CutRecord $whole, Settings $settings): void
    {
        $cut = $this->mapper->cut($whole);
        if ($cut->gone) {
            throw Unreadable::because('That cut is no longer here: nothing can come out of it. Choose another, or none.');
        }
        $cloth = $this->mapper->cloth($whole->cloth, $settings->assumptions);
        (new Conservation($cloth, $cut, $cut->length))->checkAll(array_merge(...array_map(
            static fn (ApartPiece $part): array => array_fill(0, $part->count, [$part->length, $part->width]),
            $parts,
        )));
    }

    /**
     * @param list<ApartPiece> $parts
     * @param LedgerKind       $came  as what they came into the stash
     *
     * @return list<CutRecord>
     */
    private function make(array $parts, ClothRecord $cloth, \DateTimeImmutable $on, bool $washed, LedgerKind $came): array
    {
        $made = [];
        foreach ($parts as $part) {
            for ($i = 1; $i <= $part->count; ++$i) {
                $ledger = [
                    new LedgerEntry($on, $came, $washed ? null : $part->length, 'taken apart'),
                    ...$washed ? [new LedgerEntry($on, LedgerKind::Washed, $part->length)] : [],
                ];
                $name = $part->name.($part->count > 1 ? ' '.$i : '');
                $record = new CutRecord($cloth);
                $this->mapper->storeCut(new Cut('', $ledger, trim($name), width: $part->width), $record);
                $made[] = $record;
            }
        }

        return $made;
    }
}

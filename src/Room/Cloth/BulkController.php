<?php

declare(strict_types=1);

namespace Octavum\Room\Cloth;

use Octavum\Account\Account;
use Octavum\Core\Cloth\Cut;
use Octavum\Core\Cloth\LedgerEntry;
use Octavum\Core\Cloth\LedgerKind;
use Octavum\Document\Json\Plain;
use Octavum\Page\ReturnPath;
use Octavum\Page\Toast;
use Octavum\Store\Change\ChangeLog;
use Octavum\Store\Change\Notice;
use Octavum\Store\Cloth\ClothMapper;
use Octavum\Store\Cloth\ClothRecord;
use Octavum\Store\Cloth\ClothRepository;
use Octavum\Store\Cloth\CutRecord;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\Clock\ClockInterface;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** One change to several cloths at once, which is undone at once, too. */
final class BulkController extends AbstractController
{
    private const MOST = 500;

    /** Characters of the filter to come back to: it goes into a header, in which each may take twelve bytes. */
    private const LONGEST_FILTER = 600;

    public function __construct(
        private readonly ClothRepository $cloths,
        private readonly ClothMapper $mapper,
        private readonly ClockInterface $clock,
        private readonly Toast $toast,
        private readonly ChangeLog $changes,
    ) {
    }

    #[Route('/cloth/bulk', name: 'cloth_bulk', methods: ['POST'])]
    public function change(Request $request, #[CurrentUser] Account $account): Response
    {
        parse_str(mb_substr($request->request->getString('query'), 0, self::LONGEST_FILTER), $query);
        $back = $this->redirectToRoute('cloths', array_filter(Plain::all($query), \is_string(...)));
        $ids = array_filter(\array_slice($request->request->all('cloths'), 0, self::MOST), \is_string(...));
        $records = [] === $ids ? [] : $this->cloths->these($account, array_values($ids));
        $what = $request->request->getString('what');
        $text = mb_substr(trim($request->request->getString('text')), 0, 60);
        if ([] === $records) {
            $this->toast->say('Nothing is changed: tick the cloths first.');

            return $back;
        }
        if ('move' === $what && '' === $text) {
            $this->toast->say('Nothing is changed: type where they are to be kept, such as locker 2.');

            return $back;
        }
        $touched = array_merge($records, ...array_map(static fn (ClothRecord $record): array => $record->cuts->getValues(), $records));
        $make = function () use ($records, $what, $text): void {
            foreach ($records as $record) {
                match ($what) {
                    'move' => ($record->place = $text),
                    'set' => ($record->set = $text),
                    'aside' => ($record->setAside = true),
                    'back' => ($record->setAside = false),
                    'remove' => ($record->removedAt = $this->clock->now()),
                    'washed' => $this->wash($record),
                    default => throw $this->createNotFoundException(),
                };
            }
        };
        $says = '{count, plural, one {One cloth is} other {# cloths are}} changed.';
        $notice = new Notice($says, ['count' => (string) \count($records)], $this->generateUrl('cloths'));
        $this->changes->commit($touched, $make, $notice);

        return $back;
    }

    /** The cuts that a season waits for, each once. */
    #[Route('/cuts/washed', name: 'cuts_washed', methods: ['POST'])]
    public function washed(Request $request, #[CurrentUser] Account $account): Response
    {
        $back = ReturnPath::to($request, $this->generateUrl('cloths'));
        $ids = \array_slice(explode(' ', $request->request->getString('cuts')), 0, self::MOST);
        $cuts = array_filter(
            $this->cloths->cutsOf($account, $ids),
            fn (CutRecord $stored): bool => self::isUnwashed($this->mapper->cut($stored)),
        );
        if ([] === $cuts) {
            $this->toast->say('They are washed already, so nothing is changed.');

            return $back;
        }
        $make = function () use ($cuts): void {
            array_map($this->washCut(...), $cuts);
        };
        $says = '{count, plural, one {One cut is} other {# cuts are}} marked as washed: measure each when it is dry.';
        $notice = new Notice($says, ['count' => (string) \count($cuts)], $back->getTargetUrl());
        $this->changes->commit(array_values($cuts), $make, $notice);

        return $back;
    }

    /** Every cut of it that is here and has not been washed yet. */
    private function wash(ClothRecord $record): void
    {
        $care = $record->care;
        foreach ($record->cuts as $stored) {
            if (null === $stored->removedAt && self::isUnwashed($this->mapper->cut($stored)) && false !== $care?->mayBeWashed()) {
                $this->washCut($stored);
            }
        }
    }

    private static function isUnwashed(Cut $cut): bool
    {
        return !$cut->gone && !$cut->washed && !$cut->neverWashed;
    }

    private function washCut(CutRecord $stored): void
    {
        $washed = new LedgerEntry($this->clock->now()->setTime(0, 0), LedgerKind::Washed);
        $this->mapper->storeCut($this->mapper->cut($stored)->with($washed), $stored);
    }
}

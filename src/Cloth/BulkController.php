<?php

declare(strict_types=1);

namespace Octavum\Cloth;

use Doctrine\ORM\EntityManagerInterface;
use Octavum\Account\Account;
use Octavum\Core\Cloth\LedgerEntry;
use Octavum\Core\Cloth\LedgerKind;
use Octavum\Page\Toast;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\Clock\ClockInterface;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** One change to several cloths at once, which is undone at once, too. */
final class BulkController extends AbstractController
{
    private const BEFORE = 'cloth-bulk-before';
    private const MOST = 500;

    public function __construct(private readonly ClothRepository $cloths, private readonly ClothMapper $mapper, private readonly EntityManagerInterface $entities, private readonly ClockInterface $clock, private readonly Toast $toast)
    {
    }

    #[Route('/cloth/bulk', name: 'cloth_bulk', methods: ['POST'])]
    public function change(Request $request, #[CurrentUser] Account $account): Response
    {
        parse_str($request->request->getString('query'), $query);
        $back = $this->redirectToRoute('cloths', array_filter($query, \is_string(...)));
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
        $before = [];
        foreach ($records as $record) {
            $before[$record->id] = ['place' => $record->place, 'set' => $record->set, 'aside' => $record->setAside, 'gone' => null !== $record->removedAt, 'ledgers' => $record->ledgers()];
            match ($what) {
                'move' => $record->place = $text,
                'set' => $record->set = $text,
                'aside' => $record->setAside = true,
                'back' => $record->setAside = false,
                'remove' => $record->removedAt = $this->clock->now(),
                'washed' => $this->wash($record),
                default => throw $this->createNotFoundException(),
            };
        }
        $this->entities->flush();
        $request->getSession()->set(self::BEFORE, $before);
        $this->toast->say('{count, plural, one {One cloth is} other {# cloths are}} changed.', ['count' => (string) \count($records)], $this->generateUrl('cloth_bulk_undo'));

        return $back;
    }

    #[Route('/cloth/bulk/undo', name: 'cloth_bulk_undo', methods: ['POST'])]
    public function undo(Request $request, #[CurrentUser] Account $account): Response
    {
        /** @var array<string, array{place: string, set: string, aside: bool, gone: bool, ledgers: array<string, list<array{on: string, kind: string, length?: float|int, note?: string}>>}> $before */
        $before = $request->getSession()->remove(self::BEFORE) ?? [];
        foreach ([] === $before ? [] : $this->cloths->these($account, array_keys($before)) as $record) {
            $was = $before[$record->id];
            [$record->place, $record->set, $record->setAside] = [$was['place'], $was['set'], $was['aside']];
            $record->removedAt = $was['gone'] ? $record->removedAt : null;
            $record->takeLedgers($was['ledgers']);
        }
        $this->entities->flush();
        $this->toast->say('The cloths are as they were before.');

        return $this->redirectToRoute('cloths');
    }

    /** Every cut of it that is here and has not been washed yet. */
    private function wash(ClothRecord $record): void
    {
        foreach ($record->cuts as $stored) {
            $cut = $this->mapper->cut($stored);
            if (null === $stored->removedAt && !$cut->gone && !$cut->washed) {
                $this->mapper->storeCut($cut->with(new LedgerEntry($this->clock->now()->setTime(0, 0), LedgerKind::Washed)), $stored);
            }
        }
    }
}

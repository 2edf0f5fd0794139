<?php

declare(strict_types=1);

namespace Octavum\Room\Cloth;

use Octavum\Account\Mine;
use Octavum\Core\Cloth\Cut;
use Octavum\Core\Cloth\CutState;
use Octavum\Core\Cloth\LedgerEntry;
use Octavum\Core\Cloth\LedgerKind;
use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Workroom\Settings;
use Octavum\Input\Entry;
use Octavum\Input\Revision;
use Octavum\Page\ReturnPath;
use Octavum\Page\Toast;
use Octavum\Store\Change\ChangeLog;
use Octavum\Store\Change\Notice;
use Octavum\Store\Cloth\ClothMapper;
use Octavum\Store\Cloth\ClothRecord;
use Octavum\Store\Cloth\CutRecord;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\Clock\ClockInterface;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** What happens to a cut: each is an entry in its ledger, and the last one can be undone. */
final class CutController extends AbstractController
{
    public function __construct(
        private readonly ClothMapper $mapper,
        private readonly ClothForm $form,
        private readonly ClothPresenter $page,
        private readonly ClockInterface $clock,
        private readonly Toast $toast,
        private readonly ChangeLog $changes,
    ) {
    }

    #[Route('/cloth/{id}/cuts', name: 'cut_new', methods: ['POST'])]
    public function new(
        #[Mine] ClothRecord $cloth,
        Entry $entry,
        Settings $settings,
    ): Response {
        $cut = $this->form->cut($entry, '', $settings);
        if (!$entry->isSound()) {
            return $this->page->show($cloth, $entry, 'new');
        }
        $make = function () use ($cut, $cloth): array {
            $this->mapper->storeCut($cut, $record = new CutRecord($cloth));

            return [$record];
        };
        $here = $this->generateUrl('cloth', ['id' => $cloth->id]);
        $says = 'One more cut of {cloth}. Cuts are kept apart: they are never added up.';
        $this->changes->commit([], $make, new Notice($says, ['cloth' => $cloth->name], $here));

        return $this->redirect($here);
    }

    #[Route('/cut/{id}', name: 'cut', methods: ['GET'])]
    public function show(#[Mine] CutRecord $cut, Request $request): Response
    {
        $back = ReturnPath::path($request);

        return $this->redirectToRoute(
            'cloth',
            ['id' => $cut->cloth->id, 'cut' => $cut->id, '_fragment' => 'cut-'.$cut->id]
                + ('' === $back ? [] : ['back' => $back]),
        );
    }

    #[Route('/cut/{id}/ledger', name: 'cut_ledger', methods: ['POST'])]
    public function write(
        #[Mine] CutRecord $record,
        Request $request,
        Entry $entry,
        Settings $settings,
    ): Response {
        $kind = $entry->choice('kind', LedgerKind::class) ?? LedgerKind::Measured;
        $unit = $settings->system->lengthUnit();
        $typed = $kind->takes() ? $entry->lengthLeft('length', $unit) : $entry->length('length', $unit);
        $length = null === $typed ? null : $entry->attempt('length', static fn (): Length => Cut::ownLength($typed));
        if (null === $length && LedgerKind::Measured === $kind && $entry->isSound()) {
            $entry->fault('length', new Sentence('The length is missing: type what the tape says, such as 1.4 m or 1 5/8 yd.'));
        }
        $on = $entry->date('on', past: true) ?? $this->clock->now()->setTime(0, 0);
        $colour = LedgerKind::Dyed === $kind && '' !== $entry->raw('colour') ? $this->form->colour($entry, 'colour') : null;
        $was = null === $colour ? null : $record->cloth->colours[0] ?? null;
        $written = new LedgerEntry($on, $kind, $length, note: $entry->text('note', 500), was: $was, colour: $colour);
        $changed = $entry->attempt('length', fn (): Cut => $this->mapper->cut($record)->with($written));
        Revision::check($entry, $record->revision);
        if (!$entry->isSound() || null === $changed) {
            return $this->page->show($record->cloth, $entry, $record->id);
        }
        $this->change(
            $record,
            $changed,
            LedgerKind::Washed === $kind ? '{cloth} is marked as washed.' : '{cloth}: {kind}. It is written down.',
            ['kind' => $kind->value],
        );

        return $this->back($request, $record);
    }

    /** What is missing from it: rectangles that were taken out, or are spoilt. */
    #[Route('/cut/{id}/bites', name: 'cut_bites', methods: ['POST'])]
    public function bites(
        #[Mine] CutRecord $record,
        Request $request,
        Entry $entry,
        Settings $settings,
    ): Response {
        $bites = $this->form->bites($entry, $settings->system);
        Revision::check($entry, $record->revision);
        if (!$entry->isSound()) {
            return $this->page->show($record->cloth, $entry, $record->id);
        }
        $cut = $this->mapper->cut($record);
        $this->change(
            $record,
            $cut->missing($bites),
            [] === $bites ? 'The cut of {cloth} is whole.' : 'What is missing from {cloth} is noted: nothing is laid there.',
        );

        return $this->back($request, $record);
    }

    #[Route('/cut/{id}/arrived', name: 'cut_arrived', methods: ['POST'])]
    public function arrived(#[Mine] CutRecord $record): Response
    {
        $make = static function () use ($record): void {
            $record->state = CutState::Arrived;
        };
        $here = $this->generateUrl('cloth', ['id' => $record->cloth->id]);
        $says = '{cloth} has arrived: measure its length and width before you count on it.';
        $this->changes->commit([$record], $make, new Notice($says, ['cloth' => $record->cloth->name], $here));

        return $this->redirect($here);
    }

    #[Route('/cut/{id}/undo', name: 'cut_undo', methods: ['POST'])]
    public function undo(#[Mine] CutRecord $record, Request $request): Response
    {
        $cut = $this->mapper->cut($record);
        if (\count($cut->ledger) < 2) {
            $this->toast->say('There is nothing left to undo on this cut.');
        } else {
            $this->changes->commit(
                [$record],
                fn () => $this->mapper->storeCut($cut->withoutLastEntry(), $record),
                new Notice(
                    'The last entry for {cloth} is undone.',
                    ['cloth' => $record->cloth->name],
                    $this->generateUrl('cloth', ['id' => $record->cloth->id]),
                ),
            );
        }

        return $this->back($request, $record);
    }

    #[Route('/cut/{id}/remove', name: 'cut_remove', methods: ['POST'])]
    public function remove(#[Mine] CutRecord $record): Response
    {
        $here = $this->generateUrl('cloth', ['id' => $record->cloth->id]);
        $this->changes->remove($record, new Notice('The cut of {cloth} is taken out.', ['cloth' => $record->cloth->name], $here));

        return $this->redirect($here);
    }

    /** @param array<string, string> $with */
    private function change(CutRecord $record, Cut $cut, string $message, array $with = []): void
    {
        $cloth = $record->cloth;
        $dyed = [] === $cut->ledger ? null : $cut->ledger[\count($cut->ledger) - 1]->colour;
        $here = $cloth->cuts->filter(static fn (CutRecord $one): bool => null === $one->removedAt);
        $make = function () use ($record, $cut, $cloth, $dyed, $here): void {
            // the cloth has one colour: it is the dyed one's when there is no other cut of it
            if (null !== $dyed && 1 === $here->count()) {
                $cloth->colours = [$dyed, ...\array_slice($cloth->colours, 1)];
            }
            $this->mapper->storeCut($cut, $record);
        };
        $back = $this->generateUrl('cloth', ['id' => $cloth->id]);
        $this->changes->commit([$record, $cloth], $make, new Notice($message, ['cloth' => $cloth->name] + $with, $back));
    }

    private function back(Request $request, CutRecord $record): Response
    {
        return ReturnPath::to($request, $this->generateUrl('cloth', ['id' => $record->cloth->id]));
    }
}

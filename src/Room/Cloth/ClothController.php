<?php

declare(strict_types=1);

namespace Octavum\Room\Cloth;

use Octavum\Account\Account;
use Octavum\Account\AccountSettings;
use Octavum\Core\Cloth\Care;
use Octavum\Core\Cloth\Cloth;
use Octavum\Core\Cloth\Cut;
use Octavum\Core\Cloth\ToCut;
use Octavum\Core\Cloth\WeightClass;
use Octavum\Core\Measure\Figure;
use Octavum\Core\Reading\ClothWords;
use Octavum\Core\Season\Reservation;
use Octavum\Files\FileShelf;
use Octavum\Input\Entry;
use Octavum\Input\Revision;
use Octavum\Page\Pager;
use Octavum\Page\ReturnPath;
use Octavum\Store\ChangeLog;
use Octavum\Store\ClothMapper;
use Octavum\Store\ClothRecord;
use Octavum\Store\ClothRepository;
use Octavum\Store\CutRecord;
use Octavum\Store\Notice;
use Octavum\Store\Plan;
use Octavum\Store\Stash;
use Octavum\Strip\Scale;
use Octavum\Strip\StripBuilder;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\Clock\ClockInterface;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** The stash: its list, a cloth's page and form. */
#[Route('/cloth')]
final class ClothController extends AbstractController
{
    public function __construct(
        private readonly ClothRepository $cloths,
        private readonly ClothMapper $mapper,
        private readonly ClothForm $form,
        private readonly AccountSettings $settings,
        private readonly StripBuilder $strips,
        private readonly Plan $plan,
        private readonly FileShelf $shelf,
        private readonly ChangeLog $changes,
    ) {
    }

    #[Route('', name: 'cloths', methods: ['GET'])]
    public function list(Request $request, Stash $stash, #[CurrentUser] Account $account): Response
    {
        $settings = $this->settings->load($account);
        $entry = new Entry($request->query->all());
        $promises = $this->plan->promises($account);
        $filter = new ClothFilter(
            ClothFilter::SORTS[$entry->raw('sort')] ?? 'length',
            $entry->raw('words'),
            $entry->raw('kind'),
            $entry->length('length', $settings->system->lengthUnit()),
            $entry->length('width', $settings->system->widthUnit()),
            $entry->boolean('unwashed'),
            $entry->boolean('aside'),
            WeightClass::tryFrom($entry->raw('weight')),
            $entry->raw('place'),
            $entry->raw('set'),
            '' === $entry->raw('colour') ? null : $this->form->colour($entry, 'colour'),
            $entry->boolean('free') ? $promises : null,
        );
        $all = $stash->all($account);
        $pager = Pager::of($filter->filter($all, $settings->assumptions), $request->query->getInt('page', 1));
        $longest = null;
        foreach ($pager->items as $cloth) {
            $length = Stash::longest($cloth, $settings->assumptions);
            $longest = null === $length ? $longest : $longest?->larger($length) ?? $length;
        }
        $scale = Scale::thumb($longest);
        $rows = array_map(
            fn (Cloth $cloth): array => ['cloth' => $cloth, 'cuts' => $this->cuts($cloth, $promises, [], $scale, $account)],
            $pager->items,
        );

        return $this->render('cloth/list.html.twig', [
            'rows' => $rows,
            'pager' => $pager,
            'filter' => $filter,
            'counts' => $filter->counts($all, $settings->assumptions),
            'typed' => $entry->typed,
            'faults' => $entry->faults(),
            'total' => \count($all),
            'saved' => $account->filters,
            'colours' => array_keys(ClothWords::COLOURS),
        ]);
    }

    #[Route('/new', name: 'cloth_new', methods: ['GET', 'POST'])]
    public function new(Request $request, #[CurrentUser] Account $account): Response
    {
        $settings = $this->settings->load($account);
        $entry = new Entry($request->request->all());
        if ($request->isMethod('POST')) {
            $cloth = $this->form->read($entry, new Cloth('', ''), $settings);
            $cuts = $this->form->cuts($entry, $settings);
            if ($entry->isSound()) {
                $record = new ClothRecord($account);
                $make = function () use ($cloth, $cuts, $record, $settings): array {
                    $this->mapper->store($cloth, $record, $settings->assumptions);
                    foreach ($cuts as $cut) {
                        $this->mapper->storeCut($cut, new CutRecord($record));
                    }

                    return [$record, ...$record->cuts];
                };
                $notice = new Notice('{cloth} is in the stash.', ['cloth' => $cloth->name], $this->generateUrl('cloths'));
                $this->changes->commit([], $make, $notice);

                return '' !== $entry->raw('another')
                    ? $this->redirectToRoute('cloth_new')
                    : $this->redirectToRoute('cloth', ['id' => $record->id]);
            }
        }

        return $this->form(null, $this->form->values(new Cloth('', ''), $settings), $entry);
    }

    #[Route('/{id}', name: 'cloth', methods: ['GET'])]
    public function show(string $id, Request $request, #[CurrentUser] Account $account, ClockInterface $clock): Response
    {
        $cut = $request->query->getString('cut');

        return $this->page(
            $this->cloths->hereOf($account, $id) ?? throw $this->createNotFoundException(),
            $account,
            new Entry([]),
            $clock->now()->format('Y-m-d'),
            '' === $cut ? null : $cut,
            ReturnPath::path($request),
        );
    }

    #[Route('/{id}/edit', name: 'cloth_edit', methods: ['GET', 'POST'])]
    public function edit(string $id, Request $request, #[CurrentUser] Account $account): Response
    {
        $record = $this->cloths->hereOf($account, $id) ?? throw $this->createNotFoundException();
        $settings = $this->settings->load($account);
        $cloth = $this->mapper->cloth($record, $settings->assumptions);
        $entry = new Entry($request->request->all());
        if ($request->isMethod('POST')) {
            $changed = $this->form->read($entry, $cloth, $settings);
            Revision::check($entry, $record->revision, $this->form->values($cloth, $settings));
            if ($entry->isSound()) {
                $here = $this->generateUrl('cloth', ['id' => $record->id]);
                $this->changes->commit(
                    [$record],
                    fn () => $this->mapper->store($changed, $record, $settings->assumptions),
                    new Notice('{cloth} is saved.', ['cloth' => $changed->name], $here),
                );

                return ReturnPath::to($request, $here);
            }
        }

        return $this->form($record, $this->form->values($cloth, $settings), $entry, ReturnPath::path($request));
    }

    #[Route('/{id}/remove', name: 'cloth_remove', methods: ['POST'])]
    public function remove(string $id, #[CurrentUser] Account $account): Response
    {
        $record = $this->cloths->hereOf($account, $id) ?? throw $this->createNotFoundException();
        $here = $this->generateUrl('cloth', ['id' => $id]);
        $this->changes->remove($record, new Notice('{cloth} is taken out of the stash.', ['cloth' => $record->name], $here));

        return $this->redirectToRoute('cloths');
    }

    /** Also shown again by the cut's forms, with what was typed into them. */
    public function page(
        ClothRecord $record,
        Account $account,
        Entry $entry,
        string $today,
        ?string $cutInHand = null,
        string $back = '',
    ): Response {
        $settings = $this->settings->load($account);
        $cloth = $this->mapper->cloth($record, $settings->assumptions);
        $longest = Stash::longest($cloth, $settings->assumptions);

        return $this->render(
            'cloth/show.html.twig',
            [
                'cloth' => $cloth,
                'cuts' => $this->cuts(
                    $cloth,
                    $this->plan->promises($account),
                    $this->plan->perhaps($account),
                    Scale::full($longest),
                    $account,
                ),
                'revisions' => array_column(
                    $record->cuts->map(static fn (CutRecord $cut): array => ['id' => $cut->id, 'revision' => $cut->revision])->toArray(),
                    'revision',
                    'id',
                ),
                'typed' => $entry->typed,
                'faults' => $entry->faults(),
                'wholes' => $this->wholes($cloth),
                'inHand' => $cutInHand,
                'back' => $back,
                'today' => $today,
                'photo' => null === $cloth->keeping->photo ? null : $this->shelf->these($account, [$cloth->keeping->photo])[0] ?? null,
                'care' => false === $cloth->material->care?->mayBeWashed() ? [] : (new Care())->advise($cloth->material->fibres),
            ],
            new Response(status: $entry->status()),
        );
    }

    /** @return array<string, string> cuts that can be taken apart: what they are called by id */
    private function wholes(Cloth $cloth): array
    {
        $wholes = [];
        foreach ($cloth->cuts as $i => $cut) {
            if (!$cut->gone) {
                $length = null === $cut->length ? '' : $this->settings->tape()->write(Figure::owned($cut->length));
                $wholes[$cut->id] = implode(', ', array_diff([(string) ($i + 1), $cut->label, $length], ['']));
            }
        }

        return $wholes;
    }

    /**
     * @param array<string, list<Reservation>> $promises
     * @param array<string, list<Reservation>> $perhaps  what options might take
     *
     * @return list<CutRow>
     */
    private function cuts(Cloth $cloth, array $promises, array $perhaps, Scale $scale, Account $account): array
    {
        $settings = $this->settings->load($account);
        $rows = [];
        foreach ($cloth->cuts as $cut) {
            $onCut = $promises[$cut->id] ?? [];
            $might = $perhaps[$cut->id] ?? [];
            $toCut = ToCut::of($cloth, $cut, $settings->assumptions);
            $strip = $this->strips->cut($cloth, $cut, $onCut, $scale, $settings->assumptions, $settings->system, $might);
            $rows[] = new CutRow($cut, $toCut, $strip, $onCut, Reservation::free($toCut->length, $onCut), $might);
        }

        return $rows;
    }

    /** @param array<string, string> $values */
    private function form(?ClothRecord $record, array $values, Entry $entry, string $back = ''): Response
    {
        return $this->render(
            'cloth/form.html.twig',
            [
                'record' => $record,
                'back' => $back,
                'values' => $entry->typed + $values,
                'colours' => array_keys(ClothWords::COLOURS),
                'rows' => [] === $entry->rows('cuts') ? ['0'] : $entry->rows('cuts'),
                'faults' => $entry->faults(),
            ],
            new Response(status: $entry->status()),
        );
    }
}

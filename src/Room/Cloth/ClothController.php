<?php

declare(strict_types=1);

namespace Octavum\Room\Cloth;

use Octavum\Account\Account;
use Octavum\Account\Mine;
use Octavum\Core\Cloth\Cloth;
use Octavum\Core\Cloth\WeightClass;
use Octavum\Core\Reading\ClothWords;
use Octavum\Core\Workroom\Settings;
use Octavum\Input\Entry;
use Octavum\Input\FromQuery;
use Octavum\Input\Revision;
use Octavum\Page\Pager;
use Octavum\Page\ReturnPath;
use Octavum\Store\Change\ChangeLog;
use Octavum\Store\Change\Notice;
use Octavum\Store\Cloth\ClothMapper;
use Octavum\Store\Cloth\ClothRecord;
use Octavum\Store\Cloth\CutRecord;
use Octavum\Store\Cloth\Stash;
use Octavum\Store\Plan\PlanChecker;
use Octavum\Strip\Scale;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** The stash: its list, a cloth's page and form. */
#[Route('/cloth')]
final class ClothController extends AbstractController
{
    public function __construct(
        private readonly ClothMapper $mapper,
        private readonly ClothForm $form,
        private readonly PlanChecker $checker,
        private readonly ClothPresenter $page,
        private readonly ChangeLog $changes,
    ) {
    }

    #[Route('', name: 'cloths', methods: ['GET'])]
    public function list(
        Request $request,
        Stash $stash,
        #[FromQuery] Entry $entry,
        Settings $settings,
        #[CurrentUser] Account $account,
    ): Response {
        $promises = $this->checker->promises($account);
        $filter = new ClothFilter(
            ClothFilter::SORTS[$entry->raw('sort')] ?? 'length',
            $entry->raw('words'),
            $entry->raw('kind'),
            atLeast: $entry->length('length', $settings->system->lengthUnit()),
            wideAtLeast: $entry->length('width', $settings->system->widthUnit()),
            unwashed: $entry->boolean('unwashed'),
            setAside: $entry->boolean('aside'),
            weight: WeightClass::tryFrom($entry->raw('weight')),
            place: $entry->raw('place'),
            set: $entry->raw('set'),
            near: '' === $entry->raw('colour') ? null : $this->form->colour($entry, 'colour'),
            taken: $entry->boolean('free') ? $promises : null,
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
            fn (Cloth $cloth): array => ['cloth' => $cloth, 'cuts' => $this->page->cuts($cloth, $promises, [], $scale, $settings)],
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
    public function new(Request $request, Entry $entry, Settings $settings, #[CurrentUser] Account $account): Response
    {
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
    public function show(#[Mine] ClothRecord $record, Request $request): Response
    {
        $cut = $request->query->getString('cut');

        return $this->page->show($record, new Entry([]), '' === $cut ? null : $cut, ReturnPath::path($request));
    }

    #[Route('/{id}/edit', name: 'cloth_edit', methods: ['GET', 'POST'])]
    public function edit(#[Mine] ClothRecord $record, Request $request, Entry $entry, Settings $settings): Response
    {
        $cloth = $this->mapper->cloth($record, $settings->assumptions);
        if ($request->isMethod('POST')) {
            $now = $this->form->values($cloth, $settings);
            $entry = Revision::merge($entry, $record->revision, $now);
            $changed = $this->form->read($entry, $cloth, $settings);
            Revision::check($entry, $record->revision, $now);
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
    public function remove(#[Mine] ClothRecord $record): Response
    {
        $here = $this->generateUrl('cloth', ['id' => $record->id]);
        $this->changes->remove($record, new Notice('{cloth} is taken out of the stash.', ['cloth' => $record->name], $here));

        return $this->redirectToRoute('cloths');
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

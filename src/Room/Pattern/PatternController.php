<?php

declare(strict_types=1);

namespace Octavum\Room\Pattern;

use Octavum\Account\Account;
use Octavum\Account\Mine;
use Octavum\Core\Body\Feature;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Pattern\Edition;
use Octavum\Core\Pattern\Ownership;
use Octavum\Core\Pattern\Pattern;
use Octavum\Core\Pattern\Version;
use Octavum\Core\PatternLine\Twins;
use Octavum\Core\Piece\Garment;
use Octavum\Core\Workroom\Settings;
use Octavum\Input\Entry;
use Octavum\Input\FromQuery;
use Octavum\Input\Revision;
use Octavum\Page\Pager;
use Octavum\Store\Change\ChangeLog;
use Octavum\Store\Change\Notice;
use Octavum\Store\Pattern\Library;
use Octavum\Store\Pattern\PatternMapper;
use Octavum\Store\Pattern\PatternRecord;
use Octavum\Store\Pattern\PatternRepository;
use Octavum\Store\Pattern\VersionRecord;
use Octavum\Store\Person\People;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** The library: its list by garment, a pattern's page and form, and the requirement grid of each version. */
final class PatternController extends AbstractController
{
    public function __construct(
        private readonly PatternRepository $patterns,
        private readonly PatternMapper $mapper,
        private readonly PatternForm $form,
        private readonly ChangeLog $changes,
        private readonly People $people,
        private readonly PatternPresenter $page,
    ) {
    }

    #[Route('/patterns', name: 'patterns', methods: ['GET'])]
    public function list(Request $request, #[FromQuery] Entry $entry, #[CurrentUser] Account $account): Response
    {
        $without = $entry->typed['without'] ?? [];
        $having = $entry->typed['having'] ?? [];
        $having = array_values(array_intersect(array_column(Feature::cases(), 'value'), \is_array($having) ? array_keys($having) : []));
        $filter = new PatternFilter(
            Garment::tryFrom($entry->raw('garment')),
            $entry->raw('words'),
            Ownership::tryFrom($entry->raw('ownership')),
            without: \is_array($without) ? array_keys($without) : [],
            having: $having,
            features: [] === $having ? [] : $this->patterns->features($account),
        );
        $all = $this->patterns->titles($account);
        $pager = Pager::of($filter->filter($all), $request->query->getInt('page', 1));

        return $this->render('pattern/list.html.twig', [
            'pager' => $pager,
            'patterns' => array_map($this->mapper->pattern(...), $this->patterns->these($account, $pager->items)),
            'total' => \count($all),
            'counts' => $filter->counts($all),
            'filter' => $filter,
            'typed' => $request->query->all(),
        ]);
    }

    #[Route('/patterns/new', name: 'pattern_new', methods: ['GET', 'POST'])]
    public function new(
        Request $request,
        Library $library,
        Entry $entry,
        Settings $settings,
        #[CurrentUser] Account $account,
    ): Response {
        $system = $settings->system;
        $twins = [];
        if ($request->isMethod('POST')) {
            $pattern = $this->form->read($entry, new Pattern('', ''), $system);
            $version = $this->form->readVersion($entry, '', $system);
            if ($entry->isSound() && '' !== $entry->raw('copyOf')) {
                $owned = $this->patterns->hereOf($account, $entry->raw('copyOf')) ?? throw $this->createNotFoundException();

                return $this->addCopy($owned, $pattern, $version);
            }
            $twins = $this->twins($entry, $pattern, $library, $account);
            if ($entry->isSound()) {
                $record = new PatternRecord($account);
                $make = function () use ($pattern, $version, $record): array {
                    $this->mapper->store($pattern, $record);
                    $this->mapper->storeVersion($version, $stored = new VersionRecord($record));

                    return [$record, $stored];
                };
                $notice = new Notice('{pattern} is in the library.', ['pattern' => $pattern->title], $this->generateUrl('patterns'));
                $this->changes->commit([], $make, $notice);

                return $this->redirectToRoute('pattern', ['id' => $record->id]);
            }
        }
        $values = $this->form->values(new Pattern('', ''), $system) + ['versionName' => 'A', 'notions' => '', 'units' => $system->value];

        return $this->form(
            'pattern/form.html.twig',
            ['record' => null, 'withVersion' => true, 'twins' => $twins],
            $values,
            $entry,
            $this->form->shownGrid($entry, $system),
        );
    }

    #[Route('/patterns/{id}', name: 'pattern', methods: ['GET'])]
    public function show(#[Mine] PatternRecord $record): Response
    {
        return $this->page->show($record);
    }

    /** One page for the sleeve the pattern lives in. */
    #[Route('/patterns/{id}/card', name: 'pattern_card', methods: ['GET'])]
    public function card(#[Mine] PatternRecord $record, #[CurrentUser] Account $account): Response
    {
        return $this->render('pattern/card.html.twig', [
            'pattern' => $this->mapper->pattern($record),
            'people' => $this->people->all($account),
        ]);
    }

    #[Route('/patterns/{id}/edit', name: 'pattern_edit', methods: ['GET', 'POST'])]
    public function edit(
        #[Mine] PatternRecord $record,
        Request $request,
        Library $library,
        Entry $entry,
        Settings $settings,
        #[CurrentUser] Account $account,
    ): Response {
        $system = $settings->system;
        if ($request->isMethod('POST')) {
            $now = $this->form->values($this->mapper->pattern($record), $system);
            $entry = Revision::merge($entry, $record->revision, $now);
            $pattern = $this->form->read($entry, $this->mapper->pattern($record), $system);
            if ([
                $pattern->label->number,
                $pattern->label->otherNumbers,
                $pattern->title,
            ] !== [$record->number, $record->otherNumbers, $record->title]) {
                $this->twins($entry, $pattern, $library, $account);
            }
            Revision::check($entry, $record->revision, $now);
            if ($entry->isSound()) {
                $here = $this->generateUrl('pattern', ['id' => $record->id]);
                $notice = new Notice('{pattern} is saved.', ['pattern' => $pattern->title], $here);
                $this->changes->commit([$record], fn () => $this->mapper->store($pattern, $record), $notice);

                return $this->redirect($here);
            }
        }

        return $this->form(
            'pattern/form.html.twig',
            ['record' => $record, 'withVersion' => false],
            $this->form->values($this->mapper->pattern($record), $system),
            $entry,
        );
    }

    #[Route('/patterns/{id}/remove', name: 'pattern_remove', methods: ['POST'])]
    public function remove(#[Mine] PatternRecord $record): Response
    {
        $here = $this->generateUrl('pattern', ['id' => $record->id]);
        $this->changes->remove($record, new Notice('{pattern} is taken out of the library.', ['pattern' => $record->title], $here));

        return $this->redirectToRoute('patterns');
    }

    /**
     * Says before it is saved that a pattern may be owned already; a tick keeps both.
     *
     * @return array<string, Sentence> by id
     */
    private function twins(Entry $entry, Pattern $pattern, Library $library, Account $account): array
    {
        $twins = $entry->boolean('both') ? [] : (new Twins())->find($pattern, $library->sketches($account));
        foreach ($twins as $sentence) {
            $entry->fault('both', $sentence);
        }

        return $twins;
    }

    /** It is bought a second time, perhaps for the other half of its sizes: a copy of the one that is here, not another one. */
    private function addCopy(PatternRecord $record, Pattern $typed, Version $version): Response
    {
        $copies = [] === $typed->keeping->editions ? [new Edition('Second copy', $version->table->sizes)] : $typed->keeping->editions;
        $here = $this->generateUrl('pattern', ['id' => $record->id]);
        $this->changes->commit(
            [$record],
            fn () => $this->mapper->addCopies($copies, $record),
            new Notice('{pattern} has another copy now.', ['pattern' => $record->title], $here),
        );

        return $this->redirect($here);
    }

    /**
     * @param array<string, mixed>              $with
     * @param array<string, mixed>              $values
     * @param ?array{sizes: mixed, rows: mixed} $grid
     */
    private function form(string $template, array $with, array $values, Entry $entry, ?array $grid = null): Response
    {
        return $this->render(
            $template,
            $with + [
                'values' => $entry->typed + $values,
                'grid' => $grid,
                'faults' => $entry->faults(),
            ],
            new Response(status: $entry->status()),
        );
    }
}

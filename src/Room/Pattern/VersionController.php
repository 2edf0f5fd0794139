<?php

declare(strict_types=1);

namespace Octavum\Room\Pattern;

use Octavum\Account\Account;
use Octavum\Account\AccountSettings;
use Octavum\Account\Mine;
use Octavum\Core\Measure\Figure;
use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\System;
use Octavum\Core\Measure\Unreadable;
use Octavum\Core\Pattern\RequirementTable;
use Octavum\Core\Pattern\Version;
use Octavum\Core\Workroom\Settings;
use Octavum\Input\Entry;
use Octavum\Input\Revision;
use Octavum\Store\Change\ChangeLog;
use Octavum\Store\Change\Notice;
use Octavum\Store\Pattern\PatternMapper;
use Octavum\Store\Pattern\PatternRecord;
use Octavum\Store\Pattern\VersionRecord;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** A version of a pattern with its table; and how a table or a chart that is pasted is understood. */
final class VersionController extends AbstractController
{
    public function __construct(
        private readonly PatternMapper $mapper,
        private readonly PatternForm $form,
        private readonly AccountSettings $settings,
        private readonly ChangeLog $changes,
    ) {
    }

    #[Route('/patterns/{id}/versions/new', name: 'version_new', methods: ['GET', 'POST'])]
    public function new(#[Mine] PatternRecord $record, Request $request, #[CurrentUser] Account $account): Response
    {
        return $this->page($record, null, new Version('', '', new RequirementTable([], [])), $request, $account);
    }

    #[Route('/versions/{id}', name: 'version_edit', methods: ['GET', 'POST'])]
    public function edit(#[Mine] VersionRecord $record, Request $request, #[CurrentUser] Account $account): Response
    {
        return $this->page($record->pattern, $record, $this->mapper->version($record), $request, $account);
    }

    /** Takes a pasted table apart, for the grid to show, and says how each cell is understood; nothing is saved. */
    #[Route('/patterns/table/read', name: 'table_read', defaults: ['_reads' => true], methods: ['POST'], priority: 1)]
    public function readTable(Entry $entry): Response
    {
        $grid = $this->form->grid($entry);
        $system = System::tryFrom($entry->raw('units')) ?? $this->settings->current()->system;
        $tape = $this->settings->tape();
        $understood = array_map(
            static fn (array $row): array => array_map(static function (string $cell) use ($system, $tape): string {
                try {
                    return '' === $cell || 1 === preg_match('/^[-–—]+$/u', $cell)
                        ? ''
                        : '= '.$tape->write(Figure::needed(Length::parse($cell, $system->lengthUnit(), larger: true)));
                } catch (Unreadable) {
                    return '?';
                }
            }, $row['cells']),
            $grid->rows,
        );

        return new JsonResponse(['sizes' => $grid->sizes, 'rows' => $grid->rows, 'understood' => $understood]);
    }

    /** Shows a size chart as it is understood; nothing is saved. */
    #[Route('/patterns/chart/read', name: 'chart_read', defaults: ['_reads' => true], methods: ['POST'], priority: 1)]
    public function readChart(Entry $entry, Settings $settings): Response
    {
        $chart = $this->form->chart($entry, $settings->system);

        return $this->render('pattern/_chart.html.twig', ['chart' => $chart, 'fault' => $entry->faults()['chart'] ?? null]);
    }

    #[Route('/versions/{id}/remove', name: 'version_remove', methods: ['POST'])]
    public function remove(#[Mine] VersionRecord $record): Response
    {
        $here = $this->generateUrl('pattern', ['id' => $record->pattern->id]);
        $this->changes->remove($record, new Notice('Version {version} is taken out.', ['version' => $record->name], $here));

        return $this->redirect($here);
    }

    private function page(PatternRecord $pattern, ?VersionRecord $record, Version $version, Request $request, Account $account): Response
    {
        $system = $this->settings->load($account)->system;
        $entry = new Entry($request->request->all());
        if ($request->isMethod('POST')) {
            $changed = $this->form->readVersion($entry, $version->id, $system);
            Revision::check($entry, $pattern->revision, $this->form->versionValues($version, $system));
            if ($entry->isSound()) {
                $make = function () use ($pattern, $record, $changed): array {
                    $this->mapper->storeVersion($changed, $stored = $record ?? new VersionRecord($pattern));
                    ++$pattern->changes;

                    return null === $record ? [$stored] : [];
                };
                $with = ['version' => $changed->name, 'pattern' => $pattern->title];
                $here = $this->generateUrl('pattern', ['id' => $pattern->id]);
                $notice = new Notice('Version {version} of {pattern} is saved.', $with, $here);
                $this->changes->commit(null === $record ? [$pattern] : [$pattern, $record], $make, $notice);

                return $this->redirect($here);
            }
        }
        $values = $this->form->versionValues($version, $system);

        return $this->render(
            'pattern/version.html.twig',
            [
                'pattern' => $pattern,
                'record' => $record,
                'values' => $entry->typed + $values,
                'grid' => $this->form->shownGrid($entry, $system, $values),
                'faults' => $entry->faults(),
            ],
            new Response(status: $entry->status()),
        );
    }
}

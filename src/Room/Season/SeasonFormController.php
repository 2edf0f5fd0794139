<?php

declare(strict_types=1);

namespace Octavum\Room\Season;

use Octavum\Account\Account;
use Octavum\Account\AccountSettings;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Project\Season;
use Octavum\Input\Entry;
use Octavum\Input\Revision;
use Octavum\Store\Change\ChangeLog;
use Octavum\Store\Change\Notice;
use Octavum\Store\Plan\PlanLoader;
use Octavum\Store\Project\ProjectMapper;
use Octavum\Store\Project\ProjectRecord;
use Octavum\Store\Project\ProjectRepository;
use Octavum\Store\Project\SeasonRecord;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\Clock\ClockInterface;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** A season's own form, and taking it out. */
final class SeasonFormController extends AbstractController
{
    public function __construct(
        private readonly PlanLoader $plan,
        private readonly ProjectMapper $mapper,
        private readonly ChangeLog $changes,
        private readonly AccountSettings $settings,
        private readonly ClockInterface $clock,
    ) {
    }

    #[Route('/season/new', name: 'season_new', methods: ['GET', 'POST'])]
    public function new(Request $request, Entry $entry, #[CurrentUser] Account $account): Response
    {
        $monday = $this->clock->now()->modify('monday next week')->setTime(0, 0);

        return $this->form(null, new Season('', '', $monday, 13, 240), $request, $entry, $account);
    }

    #[Route('/season/{id}/edit', name: 'season_edit', requirements: ['id' => Requirement::ULID], methods: ['GET', 'POST'])]
    public function edit(string $id, Request $request, Entry $entry, #[CurrentUser] Account $account): Response
    {
        $record = $this->plan->season($account, $id) ?? throw $this->createNotFoundException();
        if ($record->undated) {
            throw $this->createNotFoundException();
        }

        return $this->form($record, $this->mapper->season($record), $request, $entry, $account);
    }

    /** Its projects are in no season then. */
    #[Route('/season/{id}/remove', name: 'season_remove', requirements: ['id' => Requirement::ULID], methods: ['POST'])]
    public function remove(string $id, ProjectRepository $projects, #[CurrentUser] Account $account): Response
    {
        $record = $this->plan->season($account, $id) ?? throw $this->createNotFoundException();
        $none = $this->plan->undated($account);
        $made = \in_array($none, $this->plan->seasons($account), true) ? [] : [$none];
        if ($record === $none) {
            throw $this->createNotFoundException();
        }
        // those taken off the plan, too: put back, they are in no season
        $moved = $projects->findBy(['season' => $record], ['rank' => 'ASC', 'id' => 'ASC']);
        $last = \count($projects->ranked($none));
        $make = function () use ($record, $none, $made, $moved, $last): array {
            foreach ($moved as $i => $project) {
                $project->season = $none;
                $project->rank = $last + $i + 1;
            }
            $record->remove($this->clock->now());

            return $made;
        };
        $here = $this->generateUrl('season', ['id' => $record->id]);
        $live = \count(array_filter($moved, static fn (ProjectRecord $project): bool => null === $project->removedAt));
        $this->changes->commit([$record, ...$moved], $make, new Notice(
            '{season} is removed. {count, plural, =0 {} one {Its project is} other {Its # projects are}} {count, plural, =0 {} other {in no season now.}}',
            ['season' => $record->name, 'count' => (string) $live],
            $here,
        ));

        return $this->redirectToRoute('season');
    }

    private function form(?SeasonRecord $record, Season $season, Request $request, Entry $entry, Account $account): Response
    {
        $values = [
            'name' => $season->name,
            'starts' => $this->settings->day($season->starts),
            'weeks' => (string) $season->weeks,
            'hours' => $season->isCounted() ? '' : Entry::hours($season->minutesPerWeek),
            'most' => (string) $season->most,
            'notes' => $season->notes,
            'off' => array_combine($season->off, array_fill(0, \count($season->off), '1')),
        ];
        if ($request->isMethod('POST')) {
            $entry = Revision::merge($entry, $record->revision ?? 0, $values);
            $name = $entry->name('name');
            $starts = $entry->date('starts');
            $weeks = $entry->integer('weeks', 1, 60);
            $most = $entry->integer('most', 1, 200);
            // by a count alone no hours are needed
            $minutes = $entry->minutes('hours', 168 * 60) ?? (null === $most || '' !== $entry->raw('hours') ? null : 0);
            foreach (['starts' => $starts, 'weeks' => $weeks, 'hours' => $minutes] as $field => $value) {
                if (null === $value) {
                    $entry->fault($field, new Sentence('This is missing: the chalk line is drawn from it.'));
                }
            }
            if (null !== $record) {
                Revision::check($entry, $record->revision, $values);
            }
            if ($entry->isSound() && null !== $starts && null !== $weeks && null !== $minutes) {
                $saved = $record ?? new SeasonRecord($account, $starts);
                $make = static function () use ($saved, $record, $account, $entry, $name, $starts, $weeks, $minutes, $most): array {
                    $saved->name = $name;
                    $saved->starts = $starts;
                    $saved->weeks = $weeks;
                    $saved->minutesPerWeek = $minutes;
                    $saved->most = $most;
                    $saved->notes = $entry->text('notes');
                    $saved->off = array_values(array_intersect(range(1, $weeks), array_map(intval(...), $entry->rows('off'))));
                    $account->season = $saved->id;

                    return null === $record ? [$saved] : [];
                };
                $here = $this->generateUrl('season', ['id' => $saved->id]);
                $back = null === $record ? $this->generateUrl('season') : $here;
                $notice = new Notice('{season} is saved.', ['season' => $name], $back);
                $this->changes->commit([$record], $make, $notice);

                return $this->redirect($here);
            }
        }

        // a tick that is taken away is not sent
        $typed = $entry->typed + ([] === $entry->typed ? [] : ['off' => []]);

        return $this->render(
            'season/form.html.twig',
            ['record' => $record, 'season' => $season, 'values' => $typed + $values, 'faults' => $entry->faults()],
            new Response(status: $entry->status()),
        );
    }
}

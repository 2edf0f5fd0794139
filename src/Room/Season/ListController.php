<?php

declare(strict_types=1);

namespace Octavum\Room\Season;

use Octavum\Account\Account;
use Octavum\Account\AccountSettings;
use Octavum\Account\Mine;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Project\Project;
use Octavum\Core\Season\Lists\ListAnswer;
use Octavum\Core\Season\Lists\ListDates;
use Octavum\Core\Season\Lists\ListRule;
use Octavum\Core\Season\Lists\SewingList;
use Octavum\Input\Entry;
use Octavum\Input\Revision;
use Octavum\Store\Change\ChangeLog;
use Octavum\Store\Change\Notice;
use Octavum\Store\Plan\PlanLoader;
use Octavum\Store\Project\ListRecord;
use Octavum\Store\Project\Lists;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** Lists beside the seasons: how each stands, and what is on it. */
#[Route('/lists', requirements: ['id' => Requirement::ULID])]
final class ListController extends AbstractController
{
    public function __construct(
        private readonly Lists $lists,
        private readonly PlanLoader $plan,
        private readonly ChangeLog $changes,
        private readonly AccountSettings $settings,
    ) {
    }

    #[Route('', name: 'lists', methods: ['GET'])]
    public function all(#[CurrentUser] Account $account): Response
    {
        $projects = $this->plan->projects($account);

        return $this->render('season/lists.html.twig', [
            'answers' => array_map(static fn (SewingList $list): ListAnswer => $list->answer($projects), $this->lists->all($account)),
        ]);
    }

    #[Route('/new', name: 'list_new', methods: ['GET', 'POST'])]
    public function new(Request $request, Entry $entry, #[CurrentUser] Account $account): Response
    {
        return $this->page($request, $entry, null, new SewingList('', ''), $account);
    }

    #[Route('/{id}', name: 'list', methods: ['GET', 'POST'])]
    public function edit(#[Mine] ListRecord $record, Request $request, Entry $entry, #[CurrentUser] Account $account): Response
    {
        return $this->page($request, $entry, $record, $this->lists->list($record), $account);
    }

    #[Route('/{id}/remove', name: 'list_remove', methods: ['POST'])]
    public function remove(#[Mine] ListRecord $record): Response
    {
        $here = $this->generateUrl('lists');
        $this->changes->remove($record, new Notice('{list} is taken out; its projects stay.', ['list' => $record->name], $here));

        return $this->redirect($here);
    }

    private function page(Request $request, Entry $entry, ?ListRecord $record, SewingList $list, Account $account): Response
    {
        $projects = $this->plan->projects($account);
        $values = [
            'name' => $list->name,
            'starts' => $this->settings->day($list->dates->starts),
            'closes' => $this->settings->day($list->dates->closes),
            'target' => (string) $list->target,
            'rule' => $list->rule->value ?? '',
            'subject' => $list->subject,
            'notes' => $list->notes,
            'projects' => $list->projects,
        ];
        if ($request->isMethod('POST')) {
            $entry = Revision::merge($entry, $record->revision ?? 0, $values);
            $read = $this->read($entry, $list, $projects);
            if (null !== $record) {
                Revision::check($entry, $record->revision, array_diff_key($values, ['projects' => true]));
            }
            if ($entry->isSound()) {
                $saved = $record ?? new ListRecord($account);
                $make = function () use ($read, $saved, $record): array {
                    $this->lists->store($read, $saved);

                    return null === $record ? [$saved] : [];
                };
                $here = $this->generateUrl('list', ['id' => $saved->id]);
                $back = null === $record ? $this->generateUrl('lists') : $here;
                $notice = new Notice('{list} is saved.', ['list' => $read->name], $back);
                $this->changes->commit([$record], $make, $notice);

                return $this->redirectToRoute('lists');
            }
        }

        return $this->render(
            'season/list.html.twig',
            [
                'record' => $record,
                'answer' => null === $record ? null : $list->answer($projects),
                'projects' => $projects,
                'values' => $entry->typed + $values,
                'faults' => $entry->faults(),
            ],
            new Response(status: $entry->status()),
        );
    }

    /** @param list<Project> $projects of all seasons */
    private function read(Entry $entry, SewingList $list, array $projects): SewingList
    {
        $starts = $entry->date('starts');
        $closes = $entry->date('closes');
        if (null !== $starts && null !== $closes && $closes < $starts) {
            $entry->fault('closes', new Sentence('It closes before it begins: check which day is which.'));
        }
        $rule = $entry->choice('rule', ListRule::class);
        $subject = $entry->text('subject', 200);
        if (true === $rule?->wantsSubject() && '' === $subject) {
            $entry->fault(
                'subject',
                new Sentence('Say of which: your own name, the makers with commas between them, or the title of the pattern.'),
            );
        }
        $chosen = array_map(static fn (string $i): string => $entry->raw('projects.'.$i), $entry->rows('projects'));
        $known = array_map(static fn (Project $project): string => $project->id, $projects);
        // what is on it and off the plan at the moment stays on it
        $kept = array_diff($list->projects, $known);
        $order = array_values(array_intersect([...$list->projects, ...array_diff($known, $list->projects)], $chosen));

        return new SewingList(
            $list->id,
            $entry->name('name'),
            new ListDates($starts, $closes),
            target: $entry->integer('target', 1, 1000),
            rule: $rule,
            subject: $subject,
            projects: [...$order, ...array_values($kept)],
            notes: $entry->text('notes'),
        );
    }
}

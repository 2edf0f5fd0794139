<?php

declare(strict_types=1);

namespace Octavum\Room\Project;

use Octavum\Account\Account;
use Octavum\Account\AccountSettings;
use Octavum\Core\Project\Option;
use Octavum\Core\Project\Project;
use Octavum\Input\Entry;
use Octavum\Input\Revision;
use Octavum\Page\Toast;
use Octavum\Store\Person\People;
use Octavum\Store\Plan\PlanLoader;
use Octavum\Store\Project\OptionRecord;
use Octavum\Store\Project\ProjectRecord;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** The other ways to make a project, as they are planned. */
#[Route('/project/{id}/option', requirements: ['id' => Requirement::ULID, 'option' => Requirement::ULID])]
final class OptionController extends AbstractController
{
    public function __construct(
        private readonly ProjectFinder $mine,
        private readonly OptionForm $form,
        private readonly ProjectForm $projectForm,
        private readonly ProjectStore $store,
        private readonly ProjectPages $pages,
        private readonly PlanLoader $plan,
        private readonly People $people,
        private readonly AccountSettings $settings,
    ) {
    }

    /** Begins as what leads, so that only what differs is typed. */
    #[Route('/new', name: 'option_new', methods: ['GET', 'POST'])]
    public function new(string $id, Request $request, Toast $toast, #[CurrentUser] Account $account): Response
    {
        [$record, $project] = $this->mine->project($account, $id);
        if (\count($project->openOptions()) + 1 >= Option::MOST) {
            $toast->say('{project} has as many options as can be kept apart: let one go first.', ['project' => $project->name]);

            return $this->redirectToRoute('project', ['id' => $id, 'part' => 'cloth']);
        }

        return $this->page($request, $record, null, project: $project, option: $project->current, account: $account);
    }

    #[Route('/{option}', name: 'option', methods: ['GET', 'POST'])]
    public function edit(string $id, string $option, Request $request, #[CurrentUser] Account $account): Response
    {
        [$record, $project] = $this->mine->project($account, $id);
        $stored = $this->mine->option($record, $option);
        foreach ($project->others as $one) {
            if ($one->id === $option) {
                return $this->page($request, $record, $stored, project: $project, option: $one, account: $account);
            }
        }
        throw $this->createNotFoundException();
    }

    private function page(
        Request $request,
        ProjectRecord $record,
        ?OptionRecord $stored,
        Project $project,
        Option $option,
        Account $account,
    ): Response {
        $entry = new Entry($request->request->all());
        $choices = $this->projectForm->choices($account);
        $people = $this->people->all($account);
        $values = $this->form->values($option, $choices, $this->settings->load($account)->system);
        if ($request->isMethod('POST')) {
            $entry = Revision::merge($entry, $stored->revision ?? 0, $values);
            $read = $this->form->read($entry, $option->id, $choices, $account, $people);
            $read = $option->past ? $read->letGo() : $read;
            if (null !== $stored) {
                Revision::check($entry, $stored->revision, $values);
            }
            if ($entry->isSound()) {
                $here = $this->generateUrl('project', ['id' => $record->id, 'part' => 'cloth']);
                $this->store->saveOption($read, $record, $stored, $account, $here);

                return $this->redirect($here);
            }
        }

        return $this->render(
            'project/form.html.twig',
            [
                'record' => $record,
                'project' => $project,
                'option' => $stored ?? false,
                'part' => '',
                'values' => $entry->typed + $values,
                'choices' => $choices,
                'people' => $people,
                'faults' => $entry->faults(),
                'answer' => [] === $entry->typed && $project->log->state->isOpen()
                    ? $this->pages->option($project, $option, $this->plan->projects($account), $account)->getContent()
                    : '',
            ],
            new Response(status: $entry->status()),
        );
    }
}

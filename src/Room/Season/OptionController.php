<?php

declare(strict_types=1);

namespace Octavum\Room\Season;

use Doctrine\ORM\EntityManagerInterface;
use Octavum\Account\Account;
use Octavum\Account\AccountSettings;
use Octavum\Account\SentenceWriter;
use Octavum\Core\Season\Decision;
use Octavum\Core\Season\Option;
use Octavum\Core\Season\Project;
use Octavum\Document\DecisionCodec;
use Octavum\Input\Entry;
use Octavum\Input\Revision;
use Octavum\Page\Toast;
use Octavum\Store\OptionRecord;
use Octavum\Store\People;
use Octavum\Store\Plan;
use Octavum\Store\ProjectRecord;
use Octavum\Store\ProjectRepository;
use Octavum\Store\Removal;
use Octavum\Store\TakeBack;
use Psr\Clock\ClockInterface;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** The other ways to make a project: planned, taken, let go, and brought back. */
#[Route('/project/{id}/option', requirements: ['id' => Requirement::ULID, 'option' => Requirement::ULID])]
final class OptionController extends AbstractController
{
    private const BEFORE = 'option-before-';

    public function __construct(
        private readonly ProjectRepository $projects,
        private readonly ProjectForm $form,
        private readonly ProjectStore $store,
        private readonly ProjectPages $pages,
        private readonly Plan $plan,
        private readonly People $people,
        private readonly AccountSettings $settings,
        private readonly EntityManagerInterface $entities,
        private readonly TakeBack $takeBack,
        private readonly Removal $removal,
        private readonly Toast $toast,
        private readonly SentenceWriter $sentences,
    ) {
    }

    /** Begins as what leads, so that only what differs is typed. */
    #[Route('/new', name: 'option_new', methods: ['GET', 'POST'])]
    public function new(string $id, Request $request, #[CurrentUser] Account $account): Response
    {
        [$record, $project] = $this->project($account, $id);
        if (\count($project->openOptions()) + 1 >= Option::MOST) {
            $this->toast->say('{project} has as many options as can be kept apart: let one go first.', ['project' => $project->name]);

            return $this->redirectToRoute('project', ['id' => $id]);
        }

        return $this->page($request, $record, null, $project, $project->lead(), $account);
    }

    #[Route('/{option}', name: 'option', methods: ['GET', 'POST'])]
    public function edit(string $id, string $option, Request $request, #[CurrentUser] Account $account): Response
    {
        [$record, $project] = $this->project($account, $id);
        $stored = $this->option($record, $option);
        foreach ($project->options as $one) {
            if ($one->id === $option) {
                return $this->page($request, $record, $stored, $project, $one, $account);
            }
        }
        throw $this->createNotFoundException();
    }

    /** It leads from now on; the others go into the history, unless they are to stay open. */
    #[Route('/{option}/take', name: 'option_take', methods: ['POST'])]
    public function take(string $id, string $option, Request $request, ClockInterface $clock, #[CurrentUser] Account $account): Response
    {
        [$record, $project] = $this->project($account, $id);
        $stored = $this->option($record, $option);
        $entry = new Entry($request->request->all());
        Revision::check($entry, $record->revision);
        if (!$entry->isSound()) {
            $this->toast->say('{project} was changed since this page was opened: look at it again, then take one.', [
                'project' => $record->name,
            ]);

            return $this->redirectToRoute('project', ['id' => $id]);
        }
        $touched = [$record, ...$record->options->getValues(), ...$record->claims->getValues()];
        $before = $this->takeBack->state($touched);
        $decision = new Decision(
            $clock->now(),
            $this->called($project, $option),
            $this->called($project, null),
            $entry->text('reason', 500),
        );
        $record->take($stored);
        $record->hangsOn = '';
        $stored->past = false;
        $record->decisions = [...$record->decisions, ...(new DecisionCodec())->write([$decision])];
        foreach ($entry->boolean('keep') ? [] : $record->optionsHere() as $other) {
            $other->past = true;
        }
        $this->entities->flush();

        return $this->said($id, '{option} leads {project} now.', $before, $touched, [
            'project' => $record->name,
            'option' => $decision->took,
        ]);
    }

    #[Route('/{option}/let-go', name: 'option_let_go', methods: ['POST'])]
    public function letGo(string $id, string $option, #[CurrentUser] Account $account): Response
    {
        return $this->put($account, $id, $option, true, '{option} of {project} is let go; it stays in the history.');
    }

    #[Route('/{option}/back', name: 'option_back', methods: ['POST'])]
    public function back(string $id, string $option, #[CurrentUser] Account $account): Response
    {
        [, $project] = $this->project($account, $id);
        if (\count($project->openOptions()) + 1 >= Option::MOST) {
            $this->toast->say('{project} has as many options as can be kept apart: let one go first.', ['project' => $project->name]);

            return $this->redirectToRoute('project', ['id' => $id]);
        }

        return $this->put($account, $id, $option, false, '{option} of {project} might be taken again.');
    }

    #[Route('/{option}/remove', name: 'option_remove', methods: ['POST'])]
    public function remove(string $id, string $option, #[CurrentUser] Account $account): Response
    {
        [$record] = $this->project($account, $id);
        $this->removal->out(
            $this->option($record, $option),
            'An option of {project} is taken out.',
            ['project' => $record->name],
            $this->generateUrl('option_restore', ['id' => $id, 'option' => $option]),
        );

        return $this->redirectToRoute('project', ['id' => $id]);
    }

    #[Route('/{option}/restore', name: 'option_restore', methods: ['POST'])]
    public function restore(string $id, string $option, #[CurrentUser] Account $account): Response
    {
        [$record] = $this->project($account, $id);
        $stored = $this->option($record, $option, removed: true);
        $this->removal->back($stored, 'The option of {project} is back.', ['project' => $record->name]);

        return $this->redirectToRoute('project', ['id' => $id]);
    }

    /** The option as it was before it was last saved, unless it was changed since. */
    #[Route('/{option}/undo', name: 'option_undo', methods: ['POST'])]
    public function undo(string $id, string $option, Request $request, #[CurrentUser] Account $account): Response
    {
        [$record] = $this->project($account, $id);
        $stored = $this->option($record, $option);
        /** @var array{revision: int, values: array<string, mixed>}|null $before */
        $before = $request->getSession()->remove(self::BEFORE.$option);
        $same = null !== $before && $before['revision'] === $stored->revision;
        if ($same) {
            $was = $this->form->option(
                new Entry($before['values']),
                $option,
                $this->form->choices($account),
                $account,
                $this->people->all($account),
            );
            $this->store->saveOption($stored->past ? $was->letGo() : $was, $record, $stored, $account);
        }
        $this->toast->say(
            $same ? 'The option of {project} is as it was before.' : 'The option of {project} was changed since, so nothing is undone.',
            ['project' => $record->name],
        );

        return $this->redirectToRoute('project', ['id' => $id]);
    }

    private function put(Account $account, string $id, string $option, bool $past, string $message): Response
    {
        [$record, $project] = $this->project($account, $id);
        $stored = $this->option($record, $option);
        $before = $this->takeBack->state([$stored]);
        $stored->past = $past;
        $this->entities->flush();

        return $this->said($id, $message, $before, [$stored], [
            'project' => $record->name,
            'option' => $this->called($project, $option),
        ]);
    }

    /**
     * @param array<string, array<string, mixed>> $before
     * @param list<object>                        $touched
     * @param array<string, string>               $with
     */
    private function said(string $id, string $message, array $before, array $touched, array $with): Response
    {
        $this->toast->say(
            $message,
            $with,
            $this->generateUrl('undo', [
                'key' => $this->takeBack->keep($before, $touched),
                'back' => $this->generateUrl('project', ['id' => $id]),
            ]),
        );

        return $this->redirectToRoute('project', ['id' => $id]);
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
        $choices = $this->form->choices($account);
        $people = $this->people->all($account);
        $values = $this->form->optionValues($option, $choices, $this->settings->of($account)->system);
        if ($request->isMethod('POST')) {
            $read = $this->form->option($entry, $option->id, $choices, $account, $people);
            $read = $option->past ? $read->letGo() : $read;
            if (null !== $stored) {
                Revision::check($entry, $stored->revision, $values);
            }
            if ($entry->isSound()) {
                $saved = $this->store->saveOption($read, $record, $stored, $account);
                $request->getSession()->set(self::BEFORE.$saved->id, ['revision' => $saved->revision, 'values' => $values]);
                $this->toast->say(
                    'The option of {project} is saved.',
                    ['project' => $record->name],
                    $this->generateUrl(null === $stored ? 'option_remove' : 'option_undo', ['id' => $record->id, 'option' => $saved->id]),
                );

                return $this->redirectToRoute('project', ['id' => $record->id]);
            }
        }

        return $this->render(
            'season/plan.html.twig',
            [
                'record' => $record,
                'project' => $project,
                'option' => $stored ?? false,
                'part' => '',
                'values' => $entry->typed + $values,
                'choices' => $choices,
                'people' => $people,
                'faults' => $entry->faults(),
                'answer' => [] === $entry->typed && $project->state->isOpen()
                    ? $this->pages->option($project, $option, $this->plan->projects($account), $account)->getContent()
                    : '',
            ],
            new Response(status: $entry->status()),
        );
    }

    /** As it stands in the history. */
    private function called(Project $project, ?string $option): string
    {
        foreach ($project->options as $one) {
            if ($one->id === $option) {
                return $this->sentences->write($one->sentence(), $this->settings->tape());
            }
        }

        return $this->sentences->write($project->lead()->sentence(), $this->settings->tape());
    }

    /** @return array{ProjectRecord, Project} */
    private function project(Account $account, string $id): array
    {
        $record = $this->projects->hereOf($account, $id) ?? throw $this->createNotFoundException();
        foreach ($this->plan->projects($account) as $project) {
            if ($project->id === $id) {
                return [$record, $project];
            }
        }
        throw $this->createNotFoundException();
    }

    private function option(ProjectRecord $project, string $id, bool $removed = false): OptionRecord
    {
        foreach ($removed ? $project->options : $project->optionsHere() as $option) {
            if ($option->id === $id) {
                return $option;
            }
        }
        throw $this->createNotFoundException();
    }
}

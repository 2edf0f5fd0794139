<?php

declare(strict_types=1);

namespace Octavum\Room\Season;

use Doctrine\ORM\EntityManagerInterface;
use Octavum\Account\Account;
use Octavum\Account\AccountSettings;
use Octavum\Core\Fit\SizeChooser;
use Octavum\Core\Piece\Role;
use Octavum\Core\Remedy\Remedy;
use Octavum\Core\Season\Claim;
use Octavum\Core\Season\Project;
use Octavum\Core\Season\Season;
use Octavum\Input\Entry;
use Octavum\Input\Revision;
use Octavum\Page\Back;
use Octavum\Page\Toast;
use Octavum\Store\ClaimRecord;
use Octavum\Store\Library;
use Octavum\Store\People;
use Octavum\Store\PersonRecord;
use Octavum\Store\Plan;
use Octavum\Store\ProjectMapper;
use Octavum\Store\ProjectRecord;
use Octavum\Store\ProjectRepository;
use Octavum\Store\SeasonRecord;
use Octavum\Store\Stash;
use Octavum\Store\TakeBack;
use Octavum\Store\VersionRecord;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\Clock\ClockInterface;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** Planning one project; what it comes to is shown while it is being planned. */
#[Route('/project')]
final class ProjectController extends AbstractController
{
    private const BEFORE = 'project-before-';

    public function __construct(
        private readonly ProjectRepository $projects,
        private readonly ProjectMapper $mapper,
        private readonly ProjectForm $form,
        private readonly Plan $plan,
        private readonly Stash $stash,
        private readonly SeasonDrawing $drawing,
        private readonly AccountSettings $settings,
        private readonly EntityManagerInterface $entities,
        private readonly Toast $toast,
        private readonly People $people,
        private readonly ClockInterface $clock,
        private readonly TakeBack $takeBack,
    ) {
    }

    #[Route('/new', name: 'project_new', methods: ['GET', 'POST'])]
    public function new(Request $request, Library $library, #[CurrentUser] Account $account): Response
    {
        $seasons = $this->plan->seasons($account);
        $season = $this->plan->current($account, $seasons, $request->query->getString('season'));
        if (null === $season) {
            return $this->redirectToRoute('season_new');
        }
        $rank = \count($this->projects->ranked($season)) + 1;
        [$pattern, $version] = $library->version($account, $request->query->getString('version')) ?? [null, null];
        $roles = $version?->table->roles() ?? [];
        [$cloth, $cut] = $this->stash->cut($account, $request->query->getString('cut')) ?? [null, null];
        $blank = new Project(
            '',
            '',
            $this->mapper->season($season),
            $rank,
            null,
            $pattern,
            $version,
            claims: array_map(
                static fn (Role $role): Claim => Role::Main === $role ? new Claim('', $role, $cloth, $cut) : new Claim('', $role),
                [] === $roles ? [Role::Main] : $roles,
            ),
        );

        return $this->page($request, null, $blank, [], $seasons, $account);
    }

    #[Route('/{id}', name: 'project', requirements: ['id' => '[0-9A-Z]{26}'], methods: ['GET', 'POST'])]
    public function edit(string $id, Request $request, #[CurrentUser] Account $account): Response
    {
        $record = $this->own($account, $id);
        $project = null;
        $projects = $this->plan->projects($account);
        foreach ($projects as $known) {
            $project = $known->id === $id ? $known : $project;
        }

        return $this->page(
            $request,
            $record,
            $project ?? throw $this->createNotFoundException(),
            $projects,
            $this->plan->seasons($account),
            $account,
        );
    }

    /** What the project as typed would come to; nothing is saved. */
    #[Route('/preview', name: 'project_preview', methods: ['POST'])]
    public function preview(Request $request, #[CurrentUser] Account $account): Response
    {
        $entry = new Entry($request->request->all());
        $seasons = $this->seasons($this->plan->seasons($account));
        $season = $seasons[$entry->raw('season')] ?? throw $this->createNotFoundException();
        $id = $entry->raw('id');
        $project = $this->form->read(
            $entry,
            '' === $id ? 'new' : $id,
            1000,
            $season,
            $seasons,
            $this->people->all($account),
            $this->form->choices($account),
            $account,
        );

        return $this->answer($project, $this->plan->projects($account), $account);
    }

    /** The sizes and roles of a version, for the fields to offer. */
    #[Route('/version', name: 'project_version', methods: ['GET'])]
    public function version(Request $request, Library $library, #[CurrentUser] Account $account): Response
    {
        [, $version] = $library->version($account, $library->names($account)[$request->query->getString('name')] ?? '') ?? [null, null];

        return new JsonResponse([
            'sizes' => $version->table->sizes ?? [],
            'roles' => array_map(static fn (Role $role): string => $role->value, $version?->table->roles() ?? []),
        ]);
    }

    /** @param ?array<string, mixed> $before what the form showed; null for a new project */
    private function offerUndo(Request $request, ProjectRecord $saved, ?array $before): void
    {
        $request->getSession()->set(self::BEFORE.$saved->id, ['revision' => $saved->revision, 'values' => $before]);
        $this->toast->say(
            '{project} is saved.',
            ['project' => $saved->name],
            $this->generateUrl(null === $before ? 'project_remove' : 'project_undo', ['id' => $saved->id]),
        );
    }

    /** The project as it was before it was last saved, unless it was changed since. */
    #[Route('/{id}/undo', name: 'project_undo', methods: ['POST'])]
    public function undo(string $id, Request $request, #[CurrentUser] Account $account): Response
    {
        $record = $this->own($account, $id);
        /** @var array{revision: int, values: array<string, mixed>}|null $before */
        $before = $request->getSession()->remove(self::BEFORE.$id);
        if (null === $before || $before['revision'] !== $record->revision) {
            $this->toast->say('{project} was changed since, so nothing is undone.', ['project' => $record->name]);

            return $this->redirectToRoute('project', ['id' => $id]);
        }
        $seasons = $this->seasons($this->plan->seasons($account));
        $project = $this->form->read(
            new Entry($before['values']),
            $id,
            $record->rank,
            $this->mapper->season($record->season),
            $seasons,
            $this->people->all($account),
            $this->form->choices($account),
            $account,
        );
        $this->store($project, $record, $account);
        $this->toast->say('{project} is as it was before.', ['project' => $record->name]);

        return $this->redirectToRoute('project', ['id' => $id]);
    }

    /** A role that the envelope asks for is left out on purpose. */
    #[Route('/{id}/decline', name: 'project_decline', methods: ['POST'])]
    public function decline(string $id, Request $request, #[CurrentUser] Account $account): Response
    {
        $record = $this->own($account, $id);
        $role = Role::tryFrom($request->request->getString('role')) ?? throw $this->createNotFoundException();
        $before = $this->takeBack->state([$record]);
        $record->declined = array_values(array_unique([...$record->declined, $role->value]));
        $this->entities->flush();

        return $this->taken($request, $record, '{project} is sewn without that on purpose.', $this->takeBack->keep($before, [$record]));
    }

    #[Route('/{id}/move', name: 'project_move', methods: ['POST'])]
    public function move(string $id, Request $request, #[CurrentUser] Account $account): Response
    {
        $record = $this->own($account, $id);
        $ranked = array_values($this->projects->ranked($record->season));
        $before = $this->takeBack->state($ranked);
        $record->rank = max(1, $record->rank - 1);
        $this->projects->renumber($record);

        return $this->taken($request, $record, '{project} is moved up.', $this->takeBack->keep($before, $ranked));
    }

    /** One of the ways out of a shortfall: another cut, or another version. */
    #[Route('/{id}/take', name: 'project_take', methods: ['POST'])]
    public function take(string $id, Request $request, #[CurrentUser] Account $account): Response
    {
        $record = $this->own($account, $id);
        $subject = $request->request->getString('subject');
        $touched = [$record, ...$record->claims->getValues()];
        $before = $this->takeBack->state($touched);
        if (Remedy::TakeVersion->value === $request->request->getString('remedy')) {
            $versions = $record->version?->pattern->versions->getValues() ?? [];
            $record->version =
                array_values(array_filter($versions, static fn (VersionRecord $version): bool => $version->id === $subject))[0]
                ?? throw $this->createNotFoundException();
        } else {
            $cut = $this->stash->record($account, $subject) ?? throw $this->createNotFoundException();
            foreach ($record->claims as $claim) {
                if (
                    $claim->role->value === $request->request->getString('role')
                    && null !== $claim->cut
                    && $claim->cut->cloth === $cut->cloth
                ) {
                    $claim->cut = $cut;
                    break;
                }
            }
        }
        $this->entities->flush();

        return $this->taken(
            $request,
            $record,
            '{project} is changed.',
            $this->takeBack->keep($before, $touched),
            $this->generateUrl('project', ['id' => $id]),
        );
    }

    private function taken(Request $request, ProjectRecord $record, string $message, string $key, ?string $else = null): Response
    {
        $answer = Back::to($request, $else ?? $this->generateUrl('season', ['id' => $record->season->id]));
        $this->toast->say(
            $message,
            ['project' => $record->name],
            $this->generateUrl('undo', ['key' => $key, 'back' => $answer->getTargetUrl()]),
        );

        return $answer;
    }

    #[Route('/{id}/remove', name: 'project_remove', methods: ['POST'])]
    public function remove(string $id, #[CurrentUser] Account $account): Response
    {
        $record = $this->own($account, $id);
        $record->removedAt = $this->clock->now();
        $this->entities->flush();
        $this->toast->say(
            '{project} is taken off the plan.',
            ['project' => $record->name],
            $this->generateUrl('project_restore', ['id' => $id]),
        );

        return $this->redirectToRoute('season', ['id' => $record->season->id]);
    }

    #[Route('/{id}/restore', name: 'project_restore', methods: ['POST'])]
    public function restore(string $id, #[CurrentUser] Account $account): Response
    {
        $record = $this->projects->oneOf($account, $id) ?? throw $this->createNotFoundException();
        $record->removedAt = null;
        $this->entities->flush();
        $this->toast->say('{project} is back on the plan.', ['project' => $record->name]);

        return $this->redirectToRoute('season', ['id' => $record->season->id]);
    }

    /**
     * @param list<Project>      $projects of all seasons; none for a new project, which has no answer yet
     * @param list<SeasonRecord> $seasons
     */
    private function page(
        Request $request,
        ?ProjectRecord $record,
        Project $project,
        array $projects,
        array $seasons,
        Account $account,
    ): Response {
        $entry = new Entry($request->request->all());
        $choices = $this->form->choices($account);
        if ($request->isMethod('POST')) {
            $known = $this->seasons($seasons);
            $changed = $this->form->read(
                $entry,
                $project->id,
                $project->rank,
                $project->season,
                $known,
                $this->people->all($account),
                $choices,
                $account,
            );
            if (null !== $record) {
                Revision::check($entry, $record->revision, $this->form->values($project, $choices, $this->settings->of($account)->system));
            }
            if ($entry->isSound()) {
                $before = null === $record ? null : $this->form->values($project, $choices, $this->settings->of($account)->system);
                $saved = $this->store($changed, $record, $account);
                $this->offerUndo($request, $saved, $before);

                return $this->redirectToRoute('season', [
                    'id' => $saved->season->id,
                    'project' => $saved->id,
                    '_fragment' => 'p'.$saved->id,
                ]);
            }
        }

        return $this->render(
            'season/project.html.twig',
            [
                'record' => $record,
                'project' => $project,
                'values' => $entry->typed + $this->form->values($project, $choices, $this->settings->of($account)->system),
                'choices' => $choices,
                'seasons' => $seasons,
                'people' => $this->people->all($account),
                'faults' => $entry->faults(),
                'answer' => [] === $entry->typed && null !== $record && $project->state->isOpen()
                        ? $this->answer($project, $projects, $account)->getContent()
                        : '',
            ],
            new Response(status: $entry->status()),
        );
    }

    /** @param list<Project> $projects of all seasons */
    private function answer(Project $project, array $projects, Account $account): Response
    {
        foreach ($projects as $known) {
            $project = $known->id === $project->id ? $project->keepingLays($known) : $project;
        }
        $others = array_filter($projects, static fn (Project $other): bool => $other->id !== $project->id);
        $checked = $this->plan->check($account, $project->season, [...array_values($others), $project]);
        foreach ($this->drawing->of($checked, $this->settings->of($account), narrow: true)['rows'] as $row) {
            if ($row['answer']->project->id === $project->id) {
                return $this->render('season/_answer.html.twig', [
                    'row' => $row,
                    'advice' => null === $project->person || true !== $project->pattern?->chart->hasRows()
                            ? null
                            : (new SizeChooser())->choose($project->person, $project->pattern, $this->clock->now()),
                ]);
            }
        }

        return new Response('');
    }

    private function store(Project $project, ?ProjectRecord $record, Account $account): ProjectRecord
    {
        $season = $this->entities->getReference(SeasonRecord::class, $project->season->id) ?? throw $this->createNotFoundException();
        $record ??= new ProjectRecord($season);
        $record->season = $season;
        $this->mapper->store($project, $record);
        $record->person = null === $project->person ? null : $this->entities->getReference(PersonRecord::class, $project->person->id);
        $record->version = null === $project->version ? null : $this->entities->getReference(VersionRecord::class, $project->version->id);
        $lays = [];
        foreach ($record->claims as $claim) {
            $lays[$claim->role->value] ??= $claim->lay;
        }
        $record->claims->clear();
        foreach ($project->claims as $claim) {
            $stored = new ClaimRecord($record);
            $stored->lay = $lays[$claim->role->value] ?? null;
            unset($lays[$claim->role->value]);
            $this->mapper->storeClaim($claim, $stored);
            $stored->cut = null === $claim->cut ? null : $this->stash->record($account, $claim->cut->id);
        }
        $this->entities->persist($record);
        $this->entities->flush();
        $this->projects->renumber($record);

        return $record;
    }

    /**
     * @param list<SeasonRecord> $records
     *
     * @return array<string, Season>
     */
    private function seasons(array $records): array
    {
        $seasons = [];
        foreach ($records as $record) {
            $seasons[$record->id] = $this->mapper->season($record);
        }

        return $seasons;
    }

    private function own(Account $account, string $id): ProjectRecord
    {
        $record = $this->projects->oneOf($account, $id);

        return null !== $record && null === $record->removedAt ? $record : throw $this->createNotFoundException();
    }
}

<?php

declare(strict_types=1);

namespace Octavum\Room\Season;

use Doctrine\ORM\EntityManagerInterface;
use Octavum\Account\Account;
use Octavum\Account\AccountSettings;
use Octavum\Core\Fit\SizeChooser;
use Octavum\Core\Piece\Role;
use Octavum\Core\Season\Claim;
use Octavum\Core\Season\Project;
use Octavum\Core\Season\Season;
use Octavum\Input\Entry;
use Octavum\Input\Revision;
use Octavum\Page\Toast;
use Octavum\Store\ClaimRecord;
use Octavum\Store\Library;
use Octavum\Store\OptionRecord;
use Octavum\Store\People;
use Octavum\Store\PersonRecord;
use Octavum\Store\Plan;
use Octavum\Store\ProjectMapper;
use Octavum\Store\ProjectRecord;
use Octavum\Store\ProjectRepository;
use Octavum\Store\SeasonRecord;
use Octavum\Store\Stash;
use Octavum\Store\VersionRecord;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\Clock\ClockInterface;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
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

    #[Route('/{id}', name: 'project', requirements: ['id' => Requirement::ULID], methods: ['GET', 'POST'])]
    public function edit(string $id, Request $request, #[CurrentUser] Account $account): Response
    {
        $record = $this->projects->hereOf($account, $id) ?? throw $this->createNotFoundException();
        $projects = $this->plan->projects($account);
        $project = $this->plan->project($account, $id) ?? throw $this->createNotFoundException();

        return $this->page($request, $record, $project, $projects, $this->plan->seasons($account), $account);
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
        $record = $this->projects->hereOf($account, $id) ?? throw $this->createNotFoundException();
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
        $row = $this->drawing->one($checked, $project->id, $this->settings->of($account));

        return null === $row
            ? new Response('')
            : $this->render('season/_answer.html.twig', [
                'row' => $row,
                'advice' => null === $project->person || true !== $project->pattern?->chart->hasRows()
                        ? null
                        : (new SizeChooser())->choose($project->person, $project->pattern, $this->clock->now()),
            ]);
    }

    private function store(Project $project, ?ProjectRecord $record, Account $account): ProjectRecord
    {
        $season = $this->entities->getReference(SeasonRecord::class, $project->season->id) ?? throw $this->createNotFoundException();
        $record ??= new ProjectRecord($season);
        $record->season = $season;
        $this->mapper->store($project, $record);
        $record->person = null === $project->person ? null : $this->entities->getReference(PersonRecord::class, $project->person->id);
        $record->version = null === $project->version ? null : $this->entities->getReference(VersionRecord::class, $project->version->id);
        $this->claims($record, null, $project->claims, $account);
        $this->entities->persist($record);
        $this->entities->flush();
        $this->projects->renumber($record);

        return $record;
    }

    /**
     * In place of those it had; a lay goes over to the claim for the same role.
     *
     * @param list<Claim> $claims
     */
    private function claims(ProjectRecord $record, ?OptionRecord $option, array $claims, Account $account): void
    {
        $lays = [];
        foreach ($record->claimsOf($option) as $claim) {
            $lays[$claim->role->value] ??= $claim->lay;
            $record->claims->removeElement($claim);
        }
        foreach ($claims as $claim) {
            $stored = new ClaimRecord($record, $option);
            $stored->lay = $lays[$claim->role->value] ?? null;
            unset($lays[$claim->role->value]);
            $this->mapper->storeClaim($claim, $stored);
            $stored->cut = null === $claim->cut ? null : $this->stash->record($account, $claim->cut->id);
        }
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
}

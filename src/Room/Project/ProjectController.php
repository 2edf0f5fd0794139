<?php

declare(strict_types=1);

namespace Octavum\Room\Project;

use Octavum\Account\Account;
use Octavum\Account\AccountSettings;
use Octavum\Account\Mine;
use Octavum\Core\Find\MeantNames;
use Octavum\Core\Piece\Role;
use Octavum\Core\Project\Claim;
use Octavum\Core\Project\Option;
use Octavum\Core\Project\Project;
use Octavum\Core\Project\ProjectBrief;
use Octavum\Core\Project\Season;
use Octavum\Input\Entry;
use Octavum\Input\Revision;
use Octavum\Store\Cloth\Stash;
use Octavum\Store\Pattern\Library;
use Octavum\Store\Person\People;
use Octavum\Store\Plan\PlanLoader;
use Octavum\Store\Project\ProjectMapper;
use Octavum\Store\Project\ProjectRecord;
use Octavum\Store\Project\ProjectRepository;
use Octavum\Store\Project\SeasonRecord;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\EnumRequirement;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** One project: its page, and planning it; what it comes to is shown while it is being planned. */
#[Route('/project')]
final class ProjectController extends AbstractController
{
    public function __construct(
        private readonly ProjectMapper $mapper,
        private readonly ProjectForm $form,
        private readonly ProjectStore $store,
        private readonly ProjectPages $pages,
        private readonly PlanLoader $plan,
        private readonly Stash $stash,
        private readonly AccountSettings $settings,
        private readonly People $people,
    ) {
    }

    #[Route('/new', name: 'project_new', methods: ['GET', 'POST'])]
    public function new(
        Request $request,
        Entry $entry,
        Library $library,
        ProjectRepository $projects,
        #[CurrentUser] Account $account,
    ): Response {
        $seasons = $this->plan->seasons($account);
        $season = $this->plan->current($account, $seasons, $request->query->getString('season'));
        if (null === $season) {
            return $this->redirectToRoute('season_new');
        }
        $rank = \count($projects->ranked($season)) + 1;
        [$pattern, $version] = $library->version($account, $request->query->getString('version')) ?? [null, null];
        $roles = $version?->table->roles() ?? [];
        $cuts = [Role::Main->value => $request->query->getString('cut'), ...$request->query->all('cuts')];
        $blank = new Project(
            '',
            self::given($request, 'name') ?? '',
            $this->mapper->season($season),
            $rank,
            brief: new ProjectBrief($this->people->all($account)[$request->query->getString('person')] ?? null),
            current: new Option(
                '',
                $pattern,
                $version,
                self::given($request, 'size'),
                self::given($request, 'gradedTo'),
                claims: array_map(
                    function (Role $role) use ($cuts, $account): Claim {
                        $cut = $cuts[$role->value] ?? '';

                        return new Claim('', $role, ...($this->stash->cut($account, \is_string($cut) ? $cut : '') ?? []));
                    },
                    [] === $roles ? [Role::Main] : $roles,
                ),
                when: self::given($request, 'when') ?? '',
            ),
        );

        return $this->page($request, $entry, null, $blank, projects: [], seasons: $seasons, account: $account);
    }

    /** One part of it; without a name, the one in which it is to be brought on. */
    #[Route(
        '/{id}/{part}',
        name: 'project',
        requirements: ['id' => Requirement::ULID, 'part' => new EnumRequirement(ProjectPart::class)],
        methods: ['GET'],
    )]
    public function show(#[Mine] ProjectRecord $record, #[CurrentUser] Account $account, ?ProjectPart $part = null): Response
    {
        $projects = $this->plan->projects($account);
        $project = $this->plan->project($account, $record->id) ?? throw $this->createNotFoundException();

        return $this->render('project/show.html.twig', [
            'page' => $this->pages->build($project, $projects, $account, $part),
            'revision' => $record->revision,
        ]);
    }

    #[Route('/{id}/change', name: 'project_change', requirements: ['id' => Requirement::ULID], methods: ['GET', 'POST'])]
    public function change(#[Mine] ProjectRecord $record, Request $request, Entry $entry, #[CurrentUser] Account $account): Response
    {
        $projects = $this->plan->projects($account);
        $project = $this->plan->project($account, $record->id) ?? throw $this->createNotFoundException();

        $seasons = $this->plan->seasons($account);

        return $this->page($request, $entry, $record, $project, projects: $projects, seasons: $seasons, account: $account);
    }

    /** What the project as typed would come to; nothing is saved. */
    #[Route('/preview', name: 'project_preview', defaults: ['_reads' => true], methods: ['POST'])]
    public function preview(Entry $entry, OptionForm $optionForm, #[CurrentUser] Account $account): Response
    {
        $seasons = $this->seasons($this->plan->seasons($account));
        $projects = $this->plan->projects($account);
        $id = $entry->raw('id');
        $known = array_values(array_filter($projects, static fn (Project $project): bool => $project->id === $id))[0] ?? null;
        $season = $seasons[$entry->raw('season')] ?? ($known->season ?? throw $this->createNotFoundException());
        $project = $known ?? new Project('new', '', $season, 1000);
        $choices = $this->form->choices($account);
        if (null !== $known && $entry->has('option')) {
            $option = $optionForm->read($entry, 'new', $choices, $account, $this->people->all($account));

            return $this->pages->option($known, $option, $projects, $account);
        }
        $people = $this->people->all($account);
        $read = $this->form->read($entry, $project, $seasons, people: $people, choices: $choices, account: $account);
        if ('' === $read->name) {
            $named = $entry->with(['name' => 'This project'] + $entry->typed);
            $read = $this->form->read($named, $project, $seasons, people: $people, choices: $choices, account: $account);
        }

        return $this->pages->answer($read, $projects, $account);
    }

    /** The sizes and roles of a version, for the fields to offer. */
    #[Route('/version', name: 'project_version', methods: ['GET'])]
    public function version(Request $request, Library $library, #[CurrentUser] Account $account): Response
    {
        $names = $library->names($account);
        $meant = MeantNames::find($request->query->getString('name'), array_keys($names))->only();
        [, $version] = $library->version($account, $names[$meant ?? ''] ?? '') ?? [null, null];

        return new JsonResponse([
            'sizes' => $version->table->sizes ?? [],
            'roles' => array_map(static fn (Role $role): string => $role->value, $version?->table->roles() ?? []),
        ]);
    }

    /**
     * @param list<Project>      $projects of all seasons; none for a new project, which has no answer yet
     * @param list<SeasonRecord> $seasons
     */
    private function page(
        Request $request,
        Entry $entry,
        ?ProjectRecord $record,
        Project $project,
        array $projects,
        array $seasons,
        Account $account,
    ): Response {
        $choices = $this->form->choices($account);
        $people = $this->people->all($account);
        $values = $this->form->values($this->asking($project, $request), $choices, $this->settings->load($account)->system);
        if ($request->isMethod('POST')) {
            $entry = Revision::merge($entry, $record->revision ?? 0, $values);
            $changed = $this->form->read($entry, $project, $this->seasons($seasons), people: $people, choices: $choices, account: $account);
            if (null !== $record) {
                Revision::check($entry, $record->revision, $values);
            }
            if ($entry->isSound()) {
                $back = null === $record
                    ? $this->generateUrl('season', ['id' => $changed->season->id])
                    : $this->generateUrl('project', ['id' => $record->id]);
                $saved = $this->store->save($changed, $record, $account, $back);

                return match (true) {
                    $entry->has('more') => $this->redirectToRoute('option_new', ['id' => $saved->id]),
                    null !== $record => $this->redirectToRoute('project', ['id' => $saved->id]),
                    default => $this->redirectToRoute('season', [
                        'id' => $saved->season->id,
                        'project' => $saved->id,
                        '_fragment' => 'p'.$saved->id,
                    ]),
                };
            }
        }

        return $this->render(
            'project/form.html.twig',
            [
                'record' => $record,
                'project' => $project,
                'option' => null,
                'part' => [] === $entry->faults() ? $request->query->getString('part') : '',
                'values' => $entry->typed + $values,
                'choices' => $choices,
                'seasons' => $seasons,
                'people' => $people,
                'faults' => $entry->faults(),
                'answer' => [] === $entry->typed && null !== $record && $project->log->state->isOpen()
                        ? $this->pages->answer($project, $projects, $account)->getContent()
                        : '',
            ],
            new Response(status: $entry->status()),
        );
    }

    private static function given(Request $request, string $name): ?string
    {
        $value = $request->query->getString($name);

        return '' === $value ? null : $value;
    }

    /** With a row for the role that a snag asks for. */
    private function asking(Project $project, Request $request): Project
    {
        $role = Role::tryFrom($request->query->getString('role'));
        $there = array_map(static fn (Claim $claim): Role => $claim->role, $project->current->claims);

        return null === $role || \in_array($role, $there, true)
            ? $project
            : $project->made($project->current->claiming([...$project->current->claims, new Claim('', $role)]));
    }

    /**
     * @param list<SeasonRecord> $records
     *
     * @return array<string, Season>
     */
    private function seasons(array $records): array
    {
        $seasons = ['none' => Season::none()];
        foreach ($records as $record) {
            $seasons[$record->undated ? 'none' : $record->id] = $this->mapper->season($record);
        }

        return $seasons;
    }
}

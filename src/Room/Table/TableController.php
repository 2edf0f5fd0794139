<?php

declare(strict_types=1);

namespace Octavum\Room\Table;

use Octavum\Account\Account;
use Octavum\Account\AccountSettings;
use Octavum\Account\Mine;
use Octavum\Core\Laid\SavedLay;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Piece\Role;
use Octavum\Core\Project\Claim;
use Octavum\Core\Project\Project;
use Octavum\Core\Project\ProjectLay;
use Octavum\Core\Project\Season;
use Octavum\Core\Season\Answer\ProjectAnswer;
use Octavum\Core\Workroom\Settings;
use Octavum\Document\Codec\LayRulesCodec;
use Octavum\Document\Json\Refused;
use Octavum\Input\ChosenName;
use Octavum\Input\Entry;
use Octavum\Input\FromQuery;
use Octavum\Store\Cloth\Stash;
use Octavum\Store\Lay\IdentityMap;
use Octavum\Store\Lay\LayMapper;
use Octavum\Store\Lay\LayRecord;
use Octavum\Store\Pattern\Library;
use Octavum\Store\Plan\PlanChecker;
use Octavum\Store\Plan\PlanLoader;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** The cutting table: what can be laid, and the mat it is laid on. */
#[Route('/table')]
final class TableController extends AbstractController
{
    public function __construct(
        private readonly SetupReader $setups,
        private readonly TableNormalizer $mat,
        private readonly EarlierFigures $figures,
        private readonly LayFinder $lays,
        private readonly PlanLoader $plan,
        private readonly PlanChecker $checker,
        private readonly AccountSettings $settings,
    ) {
    }

    #[Route('', name: 'table', methods: ['GET'])]
    public function list(
        #[FromQuery] Entry $entry,
        Library $library,
        LayMapper $mapper,
        Settings $settings,
        #[CurrentUser] Account $account,
    ): Response {
        $names = $entry->has('name') ? $library->names($account) : [];
        $version = $names[ChosenName::read($entry, 'name', array_keys($names)) ?? ''] ?? null;
        if (null !== $version) {
            return $this->redirectToRoute('table_new', ['version' => $version]);
        }
        $projects = $this->plan->projects($account);
        $built = new IdentityMap($settings->assumptions);
        $lays = array_map(static fn (LayRecord $record): SavedLay => $mapper->lay($record, $built), $this->plan->lays($account));

        $checked = $this->checker->checkAll($account, Season::ofProjects($projects), $projects);

        return $this->render('table/list.html.twig', [
            'lays' => $lays,
            'answers' => array_column(
                array_map(
                    static fn (ProjectAnswer $answer): array => [$answer->project->id, $answer->roles],
                    array_merge(...array_column($checked, 'projects')),
                ),
                1,
                0,
            ),
            'projects' => array_values(array_filter(
                $projects,
                static fn (Project $project): bool => $project->log->state->isOpen() && null !== $project->current->version,
            )),
            'assumptions' => $settings->assumptions,
            'typed' => $entry->typed,
            'faults' => $entry->faults(),
            'patterns' => $library->withPieces($account),
        ]);
    }

    #[Route('/new', name: 'table_new', methods: ['GET'])]
    public function new(
        Request $request,
        Settings $settings,
        #[CurrentUser] Account $account,
        Library $library,
        Stash $stash,
    ): Response {
        $role = Role::tryFrom($request->query->getString('role')) ?? Role::Main;
        $garments = $sheets = [];
        $match = false;
        if ('' !== $request->query->getString('project')) {
            $option = $request->query->getString('option');
            $project = $this->project($account, $request->query->getString('project'), $option);
            $pieces = $this->pieces($project, $request->query->getString('claim'));
            foreach ($project->lines() as $line) {
                $size = $line->largestSize();
                $garments[] = ['project' => $project->id, 'role' => $role->value]
                    + ([] === $pieces ? [] : ['pieces' => $pieces])
                    + ('' === $option ? [] : ['option' => $option])
                    + ([] === $project->current->copies ? [] : ['size' => $size]);
                foreach ($line->current->claims as $claim) {
                    $cloth = $claim->cloth;
                    $cut = $claim->isFor($role, $pieces) ? $claim->cut : null;
                    $rules = new ProjectLay($line, $claim, $settings->assumptions);
                    $match = $match || (null !== $cut && $rules->rules()->match);
                    if (null !== $cloth && null !== $cut?->length && null !== $cut->widthOf($cloth)) {
                        $sheets[$cut->id] = ['cut' => $cut->id];
                    }
                }
            }
            $sheets = array_values($sheets);
        } elseif ('' !== $request->query->getString('version')) {
            [, $version] = $library->version($account, $request->query->getString('version')) ?? throw $this->createNotFoundException();
            $marked = array_map(strval(...), array_keys($version->pieces->marks));
            $sizes = [] === $marked ? $version->table->sizes : $marked;
            $asked = $request->query->getString('size');
            $garments[] = [
                'version' => $version->id,
                'role' => $role->value,
                'size' => \in_array($asked, $sizes, true) ? $asked : $sizes[intdiv(\count($sizes), 2)] ?? '',
            ];
        }
        $cut = $request->query->getString('cut');
        if ('' !== $cut && null !== $stash->record($account, $cut)) {
            $sheets = [['cut' => $cut]];
        }

        return $this->page(
            ['garments' => $garments, 'sheets' => [] === $sheets ? [['width' => 1380]] : $sheets]
                + ($match ? ['match' => true] : []),
            null,
            null,
            account: $account,
            stash: $stash,
            library: $library,
        );
    }

    #[Route('/{id}', name: 'table_lay', requirements: ['id' => Requirement::ULID], methods: ['GET'])]
    public function show(
        #[Mine] LayRecord $record,
        #[CurrentUser] Account $account,
        Stash $stash,
        Library $library,
    ): Response {
        // the plan first, of whose cloths the lay's are
        $projects = array_column($this->plan->projects($account), null, 'id');
        $lay = $this->lays->lay($record);
        $garments = [];
        foreach ($lay->garments as $garment) {
            $garments[] =
                (isset($projects[$garment->project])
                    ? ['project' => $garment->project] + $this->optionOf($projects[$garment->project], $lay)
                    : ['version' => $garment->version ?? ''])
                + ['size' => $garment->size, 'role' => $garment->role->value]
                + ([] === $garment->pieces ? [] : ['pieces' => $garment->pieces]);
        }
        $sheets = array_map(
            static fn ($sheet): array => null === $sheet->cut ? ['width' => $sheet->width->millimetres()] : ['cut' => $sheet->cut->id],
            $lay->sheets,
        );

        return $this->page(
            [
                'garments' => $garments,
                'sheets' => $sheets,
            ] + (new LayRulesCodec())->write($lay->rules),
            $record,
            $lay,
            account: $account,
            stash: $stash,
            library: $library,
        );
    }

    /** @param array<string, mixed> $asked */
    private function page(array $asked, ?LayRecord $record, ?SavedLay $lay, Account $account, Stash $stash, Library $library): Response
    {
        $patterns = [];
        foreach ($library->all($account) as $pattern) {
            foreach ($pattern->versions as $version) {
                if ([] !== $version->pieces->marks) {
                    $sizes = array_keys($version->pieces->marks);
                    $patterns[] = [
                        'id' => $version->id,
                        'name' => $pattern->title.', '.$version->name,
                        'size' => $sizes[intdiv(\count($sizes), 2)],
                    ];
                }
            }
        }
        $projects = $this->plan->projects($account);
        $problem = null;
        try {
            $setup = $this->setups->read($asked, $account);
        } catch (Refused $refused) {
            $problem = $refused->faults[0]->sentence;
            $setup = $this->setups->read(['garments' => [], 'sheets' => [['width' => 1380]]], $account);
        }
        $assumptions = $this->settings->load($account)->assumptions;
        $stale = [];
        foreach (null === $lay ? [] : $projects as $project) {
            foreach (array_merge(...array_map(static fn (Project $way): array => $way->lines(), $project->ways())) as $line) {
                foreach ($line->current->claims as $claim) {
                    $why = null !== $lay && $claim->lay?->id === $lay->id ? $line->layStale($claim, $assumptions) : null;
                    if (null !== $why) {
                        $stale[] = new Sentence('{project}: {why}.', ['project' => $line->name, 'why' => $why]);
                    }
                }
            }
        }

        return $this->render('table/show.html.twig', [
            'record' => $record,
            'mat' => $this->mat->normalize($setup) + ['earlier' => $this->figures->find($account, $setup->lay)],
            'setup' => $setup,
            'saved' => null === $lay ? null : $this->mat->saved($lay),
            'stale' => $stale,
            'problem' => $problem,
            'patterns' => $patterns,
            'projects' => array_values(
                array_filter(
                    $projects,
                    static fn (Project $project): bool => $project->log->state->isOpen()
                        && null !== $project->current->version
                        && [] !== array_filter($project->current->claims, static fn (Claim $claim): bool => !$claim->cutOut),
                ),
            ),
            'cloths' => array_values(array_filter(array_map(static fn ($sheet) => $sheet->cloth, $setup->lay->sheets))),
        ]);
    }

    /** @return list<string> that one of its claims is for; none for all of a role */
    private function pieces(Project $project, string $claim): array
    {
        foreach ($project->current->claims as $one) {
            if ($one->id === $claim) {
                return $one->pieces;
            }
        }

        return [];
    }

    /** @return array{option?: string} for which of its ways a project was laid; none for what leads */
    private function optionOf(Project $project, SavedLay $lay): array
    {
        foreach ($project->ways() as $way) {
            foreach ($way->lines() as $line) {
                foreach ($line->current->claims as $claim) {
                    if ($claim->lay?->id === $lay->id) {
                        return $way === $project ? [] : ['option' => $way->current->id];
                    }
                }
            }
        }

        return [];
    }

    /** As it leads, or as the option would make it. */
    private function project(Account $account, string $id, string $option = ''): Project
    {
        foreach ($this->plan->projects($account) as $project) {
            foreach ($project->id === $id ? $project->ways() : [] as $way) {
                if ('' === $option || ($way !== $project && $way->current->id === $option)) {
                    return $way;
                }
            }
        }
        throw $this->createNotFoundException();
    }
}

<?php

declare(strict_types=1);

namespace Octavum\Room\Table;

use Doctrine\ORM\EntityManagerInterface;
use Octavum\Account\Account;
use Octavum\Account\AccountSettings;
use Octavum\Account\SentenceWriter;
use Octavum\Core\Laid\SavedLay;
use Octavum\Core\Lay\Hand;
use Octavum\Core\Lay\Judge;
use Octavum\Core\Lay\Lay;
use Octavum\Core\Lay\Status;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Piece\Role;
use Octavum\Core\Season\Claim;
use Octavum\Core\Season\Project;
use Octavum\Core\Season\ProjectAnswer;
use Octavum\Document\Refused;
use Octavum\Input\Entry;
use Octavum\Input\Revision;
use Octavum\Page\Toast;
use Octavum\Store\LayMapper;
use Octavum\Store\LayRecord;
use Octavum\Store\LayRepository;
use Octavum\Store\Library;
use Octavum\Store\Plan;
use Octavum\Store\Stash;
use Octavum\Work\Jobs;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\Clock\ClockInterface;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Exception\ConflictHttpException;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** The cutting table: pieces on the cloth, by machine and by hand, kept, printed and drawn. */
#[Route('/table')]
final class TableController extends AbstractController
{
    public function __construct(
        private readonly SetupReader $setups,
        private readonly Mat $mat,
        private readonly LayRepository $lays,
        private readonly LayMapper $mapper,
        private readonly Plan $plan,
        private readonly AccountSettings $settings,
        private readonly SentenceWriter $sentences,
        private readonly EntityManagerInterface $entities,
        private readonly Toast $toast,
    ) {
    }

    #[Route('', name: 'table', methods: ['GET'])]
    public function list(Library $library, #[CurrentUser] Account $account): Response
    {
        $projects = $this->plan->projects($account);
        $cloths = [];
        $lays = array_map(function (LayRecord $record) use ($account, &$cloths): SavedLay {
            return $this->mapper->lay($record, $this->settings->of($account)->assumptions, $cloths);
        }, $this->lays->allOf($account));

        $answers = [];
        foreach ($projects as $project) {
            $answers[$project->season->id] ??= $this->plan->check($account, $project->season, $projects)->projects;
        }

        return $this->render('table/list.html.twig', [
            'lays' => $lays,
            'answers' => array_column(
                array_map(
                    static fn (ProjectAnswer $answer): array => [$answer->project->id, $answer->roles],
                    array_merge(...array_values($answers)),
                ),
                1,
                0,
            ),
            'projects' => array_values(
                array_filter($projects, static fn (Project $project): bool => $project->state->isOpen() && null !== $project->version),
            ),
            'assumptions' => $this->settings->of($account)->assumptions,
            'patterns' => array_values(
                array_filter(
                    $library->all($account),
                    static fn ($pattern): bool => [] !==
                        array_filter($pattern->versions, static fn ($version): bool => [] !== $version->pieces->marks),
                ),
            ),
        ]);
    }

    #[Route('/new', name: 'table_new', methods: ['GET'])]
    public function new(Request $request, #[CurrentUser] Account $account, Library $library, Stash $stash): Response
    {
        $role = Role::tryFrom($request->query->getString('role')) ?? Role::Main;
        $garments = $sheets = [];
        if ('' !== $request->query->getString('project')) {
            $project = $this->project($account, $request->query->getString('project'));
            $garments[] = ['project' => $project->id, 'role' => $role->value];
            foreach ($project->claims as $claim) {
                if ($claim->role === $role && null !== $claim->cut && null !== $claim->cut->length && null !== $claim->cloth?->width) {
                    $sheets[] = ['cut' => $claim->cut->id];
                }
            }
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
            ['garments' => $garments, 'sheets' => [] === $sheets ? [['width' => 1380]] : $sheets],
            null,
            null,
            $account,
            $stash,
            $library,
        );
    }

    #[Route('/{id}', name: 'table_lay', requirements: ['id' => '[0-9A-Z]{26}'], methods: ['GET'])]
    public function show(string $id, #[CurrentUser] Account $account, Stash $stash, Library $library): Response
    {
        $record = $this->own($account, $id);
        $lay = $this->saved($record, $account);
        $projects = array_map(static fn (Project $project): string => $project->id, $this->plan->projects($account));
        $garments = [];
        foreach ($lay->garments as $garment) {
            $garments[] =
                null !== $garment->project && \in_array($garment->project, $projects, true)
                    ? ['project' => $garment->project, 'role' => $garment->role->value]
                    : ['version' => $garment->version ?? '', 'size' => $garment->size, 'role' => $garment->role->value];
        }
        $sheets = array_map(
            static fn ($sheet): array => null === $sheet->cut ? ['width' => $sheet->width->millimetres()] : ['cut' => $sheet->cut->id],
            $lay->sheets,
        );

        return $this->page(
            [
                'garments' => $garments,
                'sheets' => $sheets,
                'oneWay' => $lay->oneWay,
                'gap' => $lay->gap,
                'allowance' => $lay->allowance?->millimetres(),
                'match' => $lay->match,
                'off' => $lay->off,
            ],
            $record,
            $lay,
            $account,
            $stash,
            $library,
        );
    }

    /** The mat for another setup; nothing is saved. */
    #[Route('/mat', name: 'table_mat', methods: ['POST'])]
    public function mat(Request $request, #[CurrentUser] Account $account): Response
    {
        return $this->answering(
            fn (array $asked): array => $this->mat->of($this->setups->read($asked['setup'] ?? null, $account)),
            $request,
        );
    }

    /** The swatches of cloths, for a mat that gets another cut. */
    #[Route('/swatches', name: 'table_swatches', methods: ['GET'])]
    public function swatches(Request $request, #[CurrentUser] Account $account, Stash $stash): Response
    {
        $wanted = explode(',', $request->query->getString('cloths'));

        return $this->render('table/_swatches.html.twig', [
            'cloths' => array_values(array_filter($stash->all($account), static fn ($cloth): bool => \in_array($cloth->id, $wanted, true))),
        ]);
    }

    /** What the core says of a lay made by hand; nothing is saved. */
    #[Route('/judge', name: 'table_judge', methods: ['POST'])]
    public function judge(Request $request, #[CurrentUser] Account $account): Response
    {
        return $this->answering(function (array $asked) use ($account): array {
            $setup = $this->setups->read($asked['setup'] ?? null, $account);
            [$layRequest, $lay] = (new ByHand())->lay($setup, $asked);

            return $this->mat->answer($setup, $lay, (new Judge())->faults($layRequest, $lay));
        }, $request);
    }

    /** Begins to lay by machine, in a process of its own, and answers by what name to ask after it. */
    #[Route('/make', name: 'table_make', methods: ['POST'])]
    public function make(Request $request, Machine $machine, Jobs $jobs, #[CurrentUser] Account $account): Response
    {
        return $this->answering(static function (array $asked) use ($machine, $jobs, $account): array {
            $machine->read($asked, $account);

            return [
                'job' => $jobs->begin($account, 'octavum:lay-job', json_encode($asked, \JSON_THROW_ON_ERROR))
                    ?? throw Refused::because('Three lays of yours are being made already: wait for one of them, or stop it.'),
            ];
        }, $request);
    }

    /** What the machine has said since: {lines, ended}. */
    #[Route('/make/{job}', name: 'table_made', methods: ['GET'])]
    public function made(string $job, Request $request, Jobs $jobs, #[CurrentUser] Account $account): Response
    {
        return new JsonResponse($jobs->said($account, $job, $request->query->getInt('after')) ?? throw $this->createNotFoundException());
    }

    #[Route('/make/{job}/stop', name: 'table_stop', methods: ['POST'])]
    public function stop(string $job, Jobs $jobs, #[CurrentUser] Account $account): Response
    {
        $jobs->stop($account, $job);

        return new Response(status: Response::HTTP_NO_CONTENT);
    }

    #[Route('/save', name: 'table_save', methods: ['POST'])]
    public function save(Request $request, #[CurrentUser] Account $account): Response
    {
        return $this->answering(function (array $asked) use ($account): array {
            $setup = $this->setups->read($asked['setup'] ?? null, $account);
            [$layRequest, $lay] = (new ByHand())->lay($setup, $asked);
            $sound = Status::Placed === $lay->status && [] === (new Judge())->faults($layRequest, $lay);
            $entry = new Entry($asked);
            $record = '' === $entry->raw('id') ? new LayRecord($account) : $this->own($account, $entry->raw('id'));
            Revision::check($entry, $record->revision);
            $name = $entry->name('name');
            if (isset($entry->faults()['revision'])) {
                throw new ConflictHttpException($this->sentences->write($entry->faults()['revision'], $this->settings->tape()));
            }
            if (!$entry->isSound()) {
                throw Refused::saying($this->sentences->write(array_values($entry->faults())[0], $this->settings->tape()));
            }
            $this->mapper->store(
                $setup->lay->saved(
                    $record->id,
                    $name,
                    $lay,
                    $sound,
                    array_values(array_filter((array) ($asked['locked'] ?? []), is_string(...))),
                ),
                $record,
            );
            $this->entities->persist($record);
            $this->plan->lay($account, $record, $setup->lay->garments, $sound);
            $this->entities->flush();
            $this->toast->say(
                $sound
                    ? '{lay} is saved: its projects count this length now.'
                    : '{lay} is saved as it is. It counts once every piece is laid and none lies over another.',
                ['lay' => $name],
            );

            return ['url' => $this->generateUrl('table_lay', ['id' => $record->id])];
        }, $request);
    }

    #[Route('/{id}/print', name: 'table_print', requirements: ['id' => '[0-9A-Z]{26}'], methods: ['GET'])]
    public function print(string $id, LayDrawing $drawing, #[CurrentUser] Account $account): Response
    {
        $lay = $this->saved($this->own($account, $id), $account);

        return $this->render('table/print.html.twig', ['lay' => $lay, 'sheets' => $drawing->sheets($lay)]);
    }

    /** To scale: a millimetre of the file is a millimetre of cloth. */
    #[Route('/{id}.svg', name: 'table_svg', requirements: ['id' => '[0-9A-Z]{26}'], methods: ['GET'])]
    public function svg(string $id, LayDrawing $drawing, #[CurrentUser] Account $account): Response
    {
        $lay = $this->saved($this->own($account, $id), $account);

        return new Response(
            $this->renderView('table/lay.svg.twig', ['lay' => $lay, 'sheets' => $drawing->sheets($lay)]),
            headers: [
                'Content-Type' => 'image/svg+xml',
                'Content-Disposition' => 'attachment; filename="lay.svg"',
            ],
        );
    }

    #[Route('/{id}/remove', name: 'table_remove', requirements: ['id' => '[0-9A-Z]{26}'], methods: ['POST'])]
    public function remove(string $id, #[CurrentUser] Account $account, ClockInterface $clock): Response
    {
        $record = $this->own($account, $id);
        $record->removedAt = $clock->now();
        $this->entities->flush();
        $this->toast->say('{lay} is put away.', ['lay' => $record->name], $this->generateUrl('table_restore', ['id' => $id]));

        return $this->redirectToRoute('table');
    }

    #[Route('/{id}/restore', name: 'table_restore', requirements: ['id' => '[0-9A-Z]{26}'], methods: ['POST'])]
    public function restore(string $id, #[CurrentUser] Account $account): Response
    {
        $record = $this->lays->oneOf($account, $id) ?? throw $this->createNotFoundException();
        $record->removedAt = null;
        $this->entities->flush();
        $this->toast->say('{lay} is back on the table.', ['lay' => $record->name]);

        return $this->redirectToRoute('table_lay', ['id' => $id]);
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
        $problem = null;
        try {
            $setup = $this->setups->read($asked, $account);
        } catch (Refused $refused) {
            $problem = $refused->faults[0]->sentence;
            $setup = $this->setups->read(['garments' => [], 'sheets' => [['width' => 1380]]], $account);
        }
        $assumptions = $this->settings->of($account)->assumptions;
        $stale = [];
        foreach (null === $lay ? [] : $this->plan->projects($account) as $project) {
            foreach ($project->claims as $claim) {
                $why = null !== $lay && $claim->lay?->id === $lay->id ? $project->layStale($claim, $assumptions) : null;
                if (null !== $why) {
                    $stale[] = new Sentence('{project}: {why}.', ['project' => $project->name, 'why' => $why]);
                }
            }
        }
        $cuts = [];
        foreach ($stash->named($account) as $name => [$cloth, $cut]) {
            if (null !== $cloth->width && null !== $cut->length && !$cut->gone) {
                $cuts[$cut->id] = $name;
            }
        }

        return $this->render('table/show.html.twig', [
            'record' => $record,
            'mat' => $this->mat->of($setup),
            'setup' => $setup,
            'saved' => null === $lay ? null : $this->mat->saved($lay),
            'stale' => $stale,
            'problem' => $problem,
            'cuts' => $cuts,
            'patterns' => $patterns,
            'projects' => array_values(
                array_filter(
                    $this->plan->projects($account),
                    static fn (Project $project): bool => $project->state->isOpen()
                        && null !== $project->version
                        && [] !== array_filter($project->claims, static fn (Claim $claim): bool => !$claim->cutOut),
                ),
            ),
            'cloths' => array_values(array_filter(array_map(static fn ($sheet) => $sheet->cloth, $setup->lay->sheets))),
        ]);
    }

    /** @param \Closure(array<mixed>): array<string, mixed> $answer */
    private function answering(\Closure $answer, Request $request): Response
    {
        try {
            return new JsonResponse($answer((array) json_decode($request->getContent(), true)));
        } catch (Refused $refused) {
            return $this->refusal($refused);
        } catch (ConflictHttpException $conflict) {
            return new JsonResponse(['fault' => $conflict->getMessage()], Response::HTTP_CONFLICT);
        }
    }

    private function refusal(Refused $refused): Response
    {
        return new JsonResponse(
            ['fault' => $this->sentences->write($refused->faults[0]->sentence, $this->settings->tape())],
            Response::HTTP_UNPROCESSABLE_ENTITY,
        );
    }

    private function saved(LayRecord $record, Account $account): SavedLay
    {
        $cloths = [];

        return $this->mapper->lay($record, $this->settings->of($account)->assumptions, $cloths);
    }

    private function project(Account $account, string $id): Project
    {
        foreach ($this->plan->projects($account) as $project) {
            if ($project->id === $id) {
                return $project;
            }
        }
        throw $this->createNotFoundException();
    }

    private function own(Account $account, string $id): LayRecord
    {
        $record = $this->lays->oneOf($account, $id);

        return null !== $record && null === $record->removedAt ? $record : throw $this->createNotFoundException();
    }
}

<?php

declare(strict_types=1);

namespace Octavum\Room\Table;

use Octavum\Account\Account;
use Octavum\Account\AccountSettings;
use Octavum\Account\SentenceWriter;
use Octavum\Core\Laid\LaidGarment;
use Octavum\Core\Lay\Judge;
use Octavum\Core\Lay\Status;
use Octavum\Document\Json\Refused;
use Octavum\Input\Entry;
use Octavum\Input\Revision;
use Octavum\Store\Change\ChangeLog;
use Octavum\Store\Change\Notice;
use Octavum\Store\Cloth\Stash;
use Octavum\Store\Lay\LayMapper;
use Octavum\Store\Lay\LayRecord;
use Octavum\Store\Plan\PlanQuery;
use Octavum\Work\Jobs;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Exception\ConflictHttpException;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** What the mat asks while pieces are moved on it: JSON both ways, a refusal as a sentence. */
#[Route('/table')]
final class MatController extends AbstractController
{
    public function __construct(
        private readonly SetupReader $setups,
        private readonly TableNormalizer $mat,
        private readonly EarlierFigures $figures,
        private readonly LayFinder $lays,
        private readonly LayMapper $mapper,
        private readonly AccountSettings $settings,
        private readonly SentenceWriter $sentences,
        private readonly ChangeLog $changes,
    ) {
    }

    /** The mat for another setup; nothing is saved. */
    #[Route('/mat', name: 'table_mat', methods: ['POST'])]
    public function mat(Request $request, #[CurrentUser] Account $account): Response
    {
        return $this->answering(function (array $asked) use ($account): array {
            $setup = $this->setups->read($asked['setup'] ?? null, $account);

            return $this->mat->normalize($setup) + ['earlier' => $this->figures->find($account, $setup->lay)];
        }, $request);
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
    #[Route('/judge', name: 'table_judge', defaults: ['_reads' => true], methods: ['POST'])]
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
    public function make(Request $request, LaySearch $machine, Jobs $jobs, #[CurrentUser] Account $account): Response
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
    public function save(Request $request, PlanQuery $planQuery, #[CurrentUser] Account $account): Response
    {
        return $this->answering(function (array $asked) use ($planQuery, $account): array {
            $setup = $this->setups->read($asked['setup'] ?? null, $account);
            [$layRequest, $lay] = (new ByHand())->lay($setup, $asked);
            $sound = Status::Placed === $lay->status && [] === (new Judge())->faults($layRequest, $lay);
            $entry = new Entry($asked);
            $isNew = '' === $entry->raw('id');
            $record = $isNew ? new LayRecord($account) : $this->lays->record($account, $entry->raw('id'));
            Revision::check($entry, $record->revision);
            $name = $entry->name('name');
            if (isset($entry->faults()['revision'])) {
                throw new ConflictHttpException($this->sentences->write($entry->faults()['revision'], $this->settings->tape()));
            }
            if (!$entry->isSound()) {
                throw Refused::saying($this->sentences->write(array_values($entry->faults())[0], $this->settings->tape()));
            }
            $locked = array_values(array_filter((array) ($asked['locked'] ?? []), is_string(...)));
            $claims = $planQuery->findClaims($account, $setup->lay->garments, $setup->options);
            $make = function () use ($setup, $record, $name, $lay, $sound, $locked, $claims, $isNew): array {
                $this->mapper->store($setup->lay->saved($record->id, $name, $lay, $sound, $locked), $record);
                foreach ($claims as $claim) {
                    $claim->lay = $record;
                    // a sound lay replaces a length that was stated
                    $claim->stated = $sound ? null : $claim->stated;
                }

                return $isNew ? [$record] : [];
            };
            $isPlanned = [] !== array_filter($setup->lay->garments, static fn (LaidGarment $garment): bool => null !== $garment->project);
            $says = match (true) {
                !$sound => '{lay} is saved as it is. It counts once every piece is laid and none lies over another.',
                $isPlanned => '{lay} is saved: its projects count this length now.',
                default => '{lay} is saved.',
            };
            $here = $this->generateUrl('table_lay', ['id' => $record->id]);
            $notice = new Notice($says, ['lay' => $name], $isNew ? $this->generateUrl('table') : $here);
            $this->changes->commit($isNew ? $claims : [$record, ...$claims], $make, $notice);

            return ['url' => $here];
        }, $request);
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
}

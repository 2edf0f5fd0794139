<?php

declare(strict_types=1);

namespace Octavum\Room\Season;

use Doctrine\ORM\EntityManagerInterface;
use Octavum\Account\Account;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Project\Project;
use Octavum\Core\Project\Season;
use Octavum\Core\Season\Answer\CheckedSeason;
use Octavum\Core\Season\Hints;
use Octavum\Core\Season\ProjectSnapshot;
use Octavum\Core\Season\WhatChanged;
use Octavum\Core\Workroom\Settings;
use Octavum\Page\Toast;
use Octavum\Store\Change\ChangeLog;
use Octavum\Store\Plan\FirstSteps;
use Octavum\Store\Plan\PlanChecker;
use Octavum\Store\Plan\PlanLoader;
use Octavum\Store\Plan\PlanWriter;
use Octavum\Store\Project\ProjectMapper;
use Octavum\Store\Project\ProjectRepository;
use Octavum\Strip\Season\SeasonDrawing;
use Octavum\Strip\Season\SeasonPage;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\Clock\ClockInterface;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpFoundation\Session\SessionInterface;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** The ranked plan of a season. */
final class SeasonController extends AbstractController
{
    public function __construct(
        private readonly PlanLoader $plan,
        private readonly PlanChecker $checker,
        private readonly PlanWriter $planWriter,
        private readonly ProjectMapper $mapper,
        private readonly Toast $toast,
        private readonly ChangeLog $changes,
        private readonly ClockInterface $clock,
    ) {
    }

    #[Route('/', name: 'home', methods: ['GET'])]
    public function home(): Response
    {
        return $this->redirectToRoute('season');
    }

    #[Route('/season/{id}', name: 'season', requirements: ['id' => Requirement::ULID], defaults: ['id' => null], methods: ['GET'])]
    public function show(
        ?string $id,
        Request $request,
        Settings $settings,
        #[CurrentUser] Account $account,
        SeasonDrawing $drawing,
        FirstSteps $firstSteps,
    ): Response {
        $seasons = $this->plan->seasons($account);
        $current = $this->plan->current($account, $seasons, $id);
        if (null !== $id && $id !== $current?->id) {
            throw $this->createNotFoundException();
        }
        if (null === $current) {
            return $this->render('season/none.html.twig', ['steps' => $firstSteps->find($account)]);
        }
        $this->planWriter->look($account, $current);
        $today = \DateTimeImmutable::createFromInterface($this->clock->now());
        $projects = $this->plan->drawn($account);
        $checked = $this->checker->check($account, $this->mapper->season($current), $projects);

        return $this->render('season/show.html.twig', [
            'page' => $drawing->page($checked, $settings),
            'steps' => $firstSteps->find($account),
            'changed' => $this->changed($checked, $request->getSession()),
            'hints' => (new Hints($settings->sewist))->find($checked),
            'carried' => array_values(array_filter(
                $projects,
                static fn (Project $one): bool => $one->log->state->takesHours()
                    && !$one->season->undated
                    && $one->season->starts < $current->starts
                    && $one->season->ends() < min($current->starts, $today),
            )),
            'seasons' => $seasons,
            'done' => array_values(array_filter(
                $projects,
                static fn ($project): bool => $project->season->id === $current->id && !$project->log->state->isOpen(),
            )),
        ]);
    }

    #[Route('/season/first-steps/close', name: 'first_steps_close', methods: ['POST'])]
    public function closeFirstSteps(EntityManagerInterface $entities, #[CurrentUser] Account $account): Response
    {
        $account->firstStepsClosed = true;
        $entities->flush();

        return $this->redirectToRoute('season');
    }

    /**
     * What became of its projects since it was last looked at.
     *
     * @return list<Sentence>
     */
    private function changed(CheckedSeason $checked, SessionInterface $session): array
    {
        $key = 'standing-'.$checked->season->id;
        $known = $session->get($key);
        $before = [];
        foreach (\is_array($known) ? $known : [] as $project => $packed) {
            $standing = ProjectSnapshot::unpacked($packed);
            $before += null === $standing ? [] : [(string) $project => $standing];
        }
        $now = array_map(static fn (ProjectSnapshot $one): array => $one->packed(), ProjectSnapshot::all($checked));
        if ($known !== $now) {
            $session->set($key, $now);
        }

        return (new WhatChanged())->since($before, $checked);
    }

    /** On one page, to be pinned up. */
    #[Route('/season/{id}/print', name: 'season_print', requirements: ['id' => Requirement::ULID], methods: ['GET'])]
    public function print(
        string $id,
        Settings $settings,
        #[CurrentUser] Account $account,
        SeasonDrawing $drawing,
    ): Response {
        $season = $this->mapper->season($this->plan->season($account, $id) ?? throw $this->createNotFoundException());
        $checked = $this->checker->check($account, $season, $this->plan->drawn($account));

        return $this->render('season/print.html.twig', ['page' => $drawing->page($checked, $settings)]);
    }

    /** The arithmetic of every project and what its other options would come to, which the page fetches once it stands. */
    #[Route('/season/{id}/workings', name: 'season_workings', requirements: ['id' => Requirement::ULID], methods: ['GET'])]
    public function workings(string $id, #[CurrentUser] Account $account): Response
    {
        $season = $this->mapper->season($this->plan->season($account, $id) ?? throw $this->createNotFoundException());

        return $this->render('season/_workings.html.twig', [
            'checked' => $this->checker->check($account, $season),
            'shown' => SeasonPage::SHOWN,
            'options' => $this->checker->allOptions($account, $season),
        ]);
    }

    /** A new order of rank: the ids of the open projects, the first first. */
    #[Route('/season/{id}/rank', name: 'season_rank', requirements: ['id' => Requirement::ULID], methods: ['POST'])]
    public function rank(string $id, Request $request, ProjectRepository $repository, #[CurrentUser] Account $account): Response
    {
        $season = $this->plan->season($account, $id) ?? throw $this->createNotFoundException();
        $before = $repository->ranked($season);
        if ($request->request->getString('was') !== implode(',', array_keys($before))) {
            $this->toast->say(
                'The list was changed somewhere else since you opened it. This is how it stands now: move the project once more if it should.',
            );

            return $this->redirectToRoute('season', ['id' => $id], Response::HTTP_SEE_OTHER);
        }
        $order = array_values(array_intersect(explode(',', $request->request->getString('order')), array_keys($before)));
        $make = static function () use ($order, $before): void {
            foreach ([...$order, ...array_diff(array_keys($before), $order)] as $place => $project) {
                $before[$project]->rank = $place + 1;
            }
        };
        $this->changes->commit(array_values($before), $make, null);
        if ($request->request->has('undone')) {
            $this->toast->say('The list is as it was.');
        }

        return $this->redirectToRoute('season', ['id' => $id], Response::HTTP_SEE_OTHER);
    }
}

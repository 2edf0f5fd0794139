<?php

declare(strict_types=1);

namespace Octavum\Room\Season;

use Octavum\Account\Account;
use Octavum\Core\Season\Snag\Concern;
use Octavum\Core\Season\Snag\Severity;
use Octavum\Core\Season\Snag\Snag;
use Octavum\Store\Plan\PlanChecker;
use Octavum\Store\Plan\PlanLoader;
use Octavum\Store\Project\ProjectMapper;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** Everything that would stop the scissors in one list, narrowed by what it concerns, how grave it is and which project. */
final class SnagController extends AbstractController
{
    #[Route('/snags', name: 'snags', methods: ['GET'])]
    public function list(
        Request $request,
        PlanLoader $plan,
        PlanChecker $checker,
        ProjectMapper $mapper,
        #[CurrentUser] Account $account,
    ): Response {
        $seasons = $plan->seasons($account);
        $current = $plan->current($account, $seasons, $request->query->getString('season'));
        if (null === $current) {
            return $this->redirectToRoute('season');
        }
        $checked = $checker->check($account, $mapper->season($current), $plan->drawn($account));
        $concern = Concern::tryFrom($request->query->getString('of'));
        $grave = '' !== $request->query->getString('grave');
        $project = $request->query->getString('project');
        $all = $checked->snags();
        $ofProject = null;
        foreach ($checked->projects as $answer) {
            $ofProject = $answer->project->id === $project ? $answer->snags : $ofProject;
        }
        $counts = array_fill_keys(array_column(Concern::cases(), 'value'), 0);
        foreach ($ofProject ?? $all as $snag) {
            ++$counts[$snag->action->concern()->value];
        }

        return $this->render('season/snags.html.twig', [
            'season' => $checked->season,
            'seasons' => $seasons,
            'snags' => array_values(array_filter(
                $ofProject ?? $all,
                static fn (Snag $snag): bool => (null === $concern || $concern === $snag->action->concern())
                    && (!$grave || Severity::Short === $snag->severity),
            )),
            'counts' => $counts,
            'projects' => $checked->projects,
            'asked' => ['of' => $concern?->value, 'grave' => $grave, 'project' => null === $ofProject ? '' : $project],
            'back' => $request->getRequestUri(),
        ]);
    }
}

<?php

declare(strict_types=1);

namespace Octavum\Room\Season;

use Doctrine\ORM\EntityManagerInterface;
use Octavum\Account\Account;
use Octavum\Account\AccountRepository;
use Octavum\Page\Toast;
use Octavum\Store\Plan\PlanLoader;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** The plan for a calendar: a season as a file, and all of it at an address that only its owner knows. */
final class CalendarController extends AbstractController
{
    public function __construct(private readonly Calendar $calendar)
    {
    }

    #[Route('/season/{id}/calendar.ics', name: 'season_calendar', requirements: ['id' => Requirement::ULID], methods: ['GET'])]
    public function season(string $id, PlanLoader $plan, #[CurrentUser] Account $account): Response
    {
        foreach ($plan->projects($account) as $project) {
            if ($project->season->id === $id && !$project->season->undated) {
                return $this->answer($this->calendar->write($account, $project->season), 'attachment; filename="octavum.ics"');
            }
        }
        throw $this->createNotFoundException();
    }

    #[Route('/feed/{token}.ics', name: 'feed_calendar', requirements: ['token' => '[0-9a-f]{40}'], methods: ['GET'])]
    public function feed(string $token, AccountRepository $accounts): Response
    {
        $account = $accounts->findOneBy(['feed' => $token]) ?? throw $this->createNotFoundException();

        return $this->answer($this->calendar->write($account), 'inline');
    }

    #[Route('/settings/feed', name: 'feed', methods: ['POST'])]
    public function make(Request $request, EntityManagerInterface $entities, Toast $toast, #[CurrentUser] Account $account): Response
    {
        $account->feed = $request->request->getBoolean('away') ? null : bin2hex(random_bytes(20));
        $entities->flush();
        $toast->say(null === $account->feed ? 'No calendar looks at the plan any more.' : 'The address is made: give it to your calendar.');

        return $this->redirect($this->generateUrl('settings').'#calendar');
    }

    private function answer(string $calendar, string $disposition): Response
    {
        return new Response($calendar, headers: [
            'Content-Type' => 'text/calendar; charset=utf-8',
            'Content-Disposition' => $disposition,
            'Cache-Control' => 'private, no-store',
        ]);
    }
}

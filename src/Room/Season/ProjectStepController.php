<?php

declare(strict_types=1);

namespace Octavum\Room\Season;

use Doctrine\ORM\EntityManagerInterface;
use Octavum\Account\Account;
use Octavum\Core\Piece\Role;
use Octavum\Core\Remedy\Remedy;
use Octavum\Page\Back;
use Octavum\Page\Toast;
use Octavum\Store\ProjectRecord;
use Octavum\Store\ProjectRepository;
use Octavum\Store\Removal;
use Octavum\Store\Stash;
use Octavum\Store\TakeBack;
use Octavum\Store\VersionRecord;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** What a button does to a project on the plan; each can be taken back. */
#[Route('/project')]
final class ProjectStepController extends AbstractController
{
    public function __construct(
        private readonly ProjectRepository $projects,
        private readonly Stash $stash,
        private readonly EntityManagerInterface $entities,
        private readonly Removal $removal,
        private readonly Toast $toast,
        private readonly TakeBack $takeBack,
    ) {
    }

    /** A role that the envelope asks for is left out on purpose. */
    #[Route('/{id}/decline', name: 'project_decline', methods: ['POST'])]
    public function decline(string $id, Request $request, #[CurrentUser] Account $account): Response
    {
        $record = $this->projects->hereOf($account, $id) ?? throw $this->createNotFoundException();
        $role = Role::tryFrom($request->request->getString('role')) ?? throw $this->createNotFoundException();
        $option = $record->current;
        $before = $this->takeBack->state([$option]);
        $option->declined = array_values(array_unique([...$option->declined, $role->value]));
        $this->entities->flush();

        return $this->taken($request, $record, '{project} is sewn without that on purpose.', $this->takeBack->keep($before, [$option]));
    }

    #[Route('/{id}/move', name: 'project_move', methods: ['POST'])]
    public function move(string $id, Request $request, #[CurrentUser] Account $account): Response
    {
        $record = $this->projects->hereOf($account, $id) ?? throw $this->createNotFoundException();
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
        $record = $this->projects->hereOf($account, $id) ?? throw $this->createNotFoundException();
        $subject = $request->request->getString('subject');
        $option = $record->current;
        $touched = [$option, ...$option->claims];
        $before = $this->takeBack->state($touched);
        if (Remedy::TakeVersion->value === $request->request->getString('remedy')) {
            $versions = $option->version?->pattern->versions->getValues() ?? [];
            $option->version =
                array_values(array_filter($versions, static fn (VersionRecord $version): bool => $version->id === $subject))[0]
                ?? throw $this->createNotFoundException();
        } else {
            $cut = $this->stash->record($account, $subject) ?? throw $this->createNotFoundException();
            foreach ($option->claims as $claim) {
                if ($claim->id === $request->request->getString('claim') && null !== $claim->cut && $claim->cut->cloth === $cut->cloth) {
                    $claim->cut = $cut;
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

    #[Route('/{id}/remove', name: 'project_remove', methods: ['POST'])]
    public function remove(string $id, #[CurrentUser] Account $account): Response
    {
        $record = $this->projects->hereOf($account, $id) ?? throw $this->createNotFoundException();
        $this->removal->out(
            $record,
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
        $this->removal->back($record, '{project} is back on the plan.', ['project' => $record->name]);

        return $this->redirectToRoute('season', ['id' => $record->season->id]);
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
}

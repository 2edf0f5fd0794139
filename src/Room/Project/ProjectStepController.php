<?php

declare(strict_types=1);

namespace Octavum\Room\Project;

use Octavum\Account\Account;
use Octavum\Account\Mine;
use Octavum\Core\Piece\Role;
use Octavum\Core\Remedy\Remedy;
use Octavum\Page\ReturnPath;
use Octavum\Store\Change\ChangeLog;
use Octavum\Store\Change\Notice;
use Octavum\Store\Cloth\Stash;
use Octavum\Store\Pattern\VersionRecord;
use Octavum\Store\Project\ProjectRecord;
use Octavum\Store\Project\ProjectRepository;
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
        private readonly ChangeLog $changes,
    ) {
    }

    /** A role that the envelope asks for is left out on purpose. */
    #[Route('/{id}/decline', name: 'project_decline', methods: ['POST'])]
    public function decline(#[Mine] ProjectRecord $record, Request $request): Response
    {
        $role = Role::tryFrom($request->request->getString('role')) ?? throw $this->createNotFoundException();
        $option = $record->current;
        $make = static function () use ($option, $role): void {
            $option->declined = array_values(array_unique([...$option->declined, $role->value]));
        };

        return $this->commit($request, $record, [$option], $make, '{project} is sewn without that on purpose.');
    }

    #[Route('/{id}/move', name: 'project_move', methods: ['POST'])]
    public function move(#[Mine] ProjectRecord $record, Request $request): Response
    {
        $ranked = array_values($this->projects->ranked($record->season));
        $make = function () use ($record): void {
            $record->rank = max(1, $record->rank - 1);
            $this->projects->renumber($record);
        };

        return $this->commit($request, $record, $ranked, $make, '{project} is moved up.');
    }

    /** One of the ways out of a shortfall: another cut, or another version. */
    #[Route('/{id}/take', name: 'project_take', methods: ['POST'])]
    public function take(#[Mine] ProjectRecord $record, Request $request, #[CurrentUser] Account $account): Response
    {
        $subject = $request->request->getString('subject');
        $option = $record->current;
        if (Remedy::TakeVersion->value === $request->request->getString('remedy')) {
            $versions = $option->version?->pattern->versions->getValues() ?? [];
            $version = array_values(array_filter($versions, static fn (VersionRecord $version): bool => $version->id === $subject))[0]
                ?? throw $this->createNotFoundException();
            $make = static function () use ($option, $version): void {
                $option->version = $version;
            };
        } else {
            $cut = $this->stash->record($account, $subject) ?? throw $this->createNotFoundException();
            $wanted = $request->request->getString('claim');
            $make = static function () use ($option, $cut, $wanted): void {
                foreach ($option->claims as $claim) {
                    if ($claim->id === $wanted && null !== $claim->cut && $claim->cut->cloth === $cut->cloth) {
                        $claim->cut = $cut;
                    }
                }
            };
        }
        $here = $this->generateUrl('project', ['id' => $record->id]);

        return $this->commit($request, $record, [$option, ...$option->claims], make: $make, says: '{project} is changed.', else: $here);
    }

    #[Route('/{id}/remove', name: 'project_remove', methods: ['POST'])]
    public function remove(#[Mine] ProjectRecord $record): Response
    {
        $here = $this->generateUrl('season', ['id' => $record->season->id]);
        $this->changes->remove($record, new Notice('{project} is taken off the plan.', ['project' => $record->name], $here));

        return $this->redirect($here);
    }

    /**
     * @param list<object> $touched
     * @param ?string      $else    where it leads when the request does not say; null for the season
     */
    private function commit(
        Request $request,
        ProjectRecord $record,
        array $touched,
        \Closure $make,
        string $says,
        ?string $else = null,
    ): Response {
        $answer = ReturnPath::to($request, $else ?? $this->generateUrl('season', ['id' => $record->season->id]));
        $this->changes->commit($touched, $make, new Notice($says, ['project' => $record->name], $answer->getTargetUrl()));

        return $answer;
    }
}

<?php

declare(strict_types=1);

namespace Octavum\Room\Sewing;

use Octavum\Account\Mine;
use Octavum\Core\Project\Log\ProjectState;
use Octavum\Input\Entry;
use Octavum\Page\ReturnPath;
use Octavum\Page\Toast;
use Octavum\Store\Change\ChangeLog;
use Octavum\Store\Change\Notice;
use Octavum\Store\Project\ProjectRecord;
use Octavum\Store\Project\Sewings;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;

/** How far a project has come: dated, with a word, and taken back in one. */
final class StateController extends AbstractController
{
    #[Route('/project/{id}/state', name: 'project_state', requirements: ['id' => Requirement::ULID], methods: ['POST'])]
    public function enter(
        #[Mine] ProjectRecord $record,
        Request $request,
        Sewings $sewings,
        ChangeLog $changes,
        Toast $toast,
        Entry $entry,
    ): Response {
        $state = ProjectState::tryFrom($entry->raw('state')) ?? throw $this->createNotFoundException();
        $back = ReturnPath::to($request, $this->generateUrl('project', ['id' => $record->id, 'part' => 'sewing']));
        $why = mb_substr($entry->raw('why'), 0, 300);
        if ($record->state === $state && '' === $why) {
            $toast->say('{project} is {state} already.', ['project' => $record->name, 'state' => $state->value]);

            return $back;
        }
        $make = static function () use ($sewings, $record, $state, $why): void {
            $sewings->enter($record, $state, $why);
            // what is done, rests or is given up is under nobody's needle
            if (!$state->takesHours()) {
                $sewings->store($sewings->read($record)->timed(null), $record);
            }
        };
        $with = ['project' => $record->name, 'state' => $state->value];
        $changes->commit([$record], $make, new Notice('{project} is {state}.', $with, $back->getTargetUrl()));

        return ProjectState::Done === $state ? $this->redirectToRoute('finding', ['id' => $record->id]) : $back;
    }
}

<?php

declare(strict_types=1);

namespace Octavum\Room\Project;

use Octavum\Account\Account;
use Octavum\Core\Measure\Unreadable;
use Octavum\Core\Project\Picture;
use Octavum\Document\Codec\PictureCodec;
use Octavum\Files\FileShelf;
use Octavum\Files\Intake;
use Octavum\Page\Toast;
use Octavum\Store\Change\ChangeLog;
use Octavum\Store\Change\Notice;
use Octavum\Store\Project\ProjectRecord;
use Psr\Clock\ClockInterface;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** Pictures kept with a project, each with a note. */
#[Route('/project/{id}/picture', requirements: ['id' => Requirement::ULID], methods: ['POST'])]
final class PictureController extends AbstractController
{
    public function __construct(
        private readonly ProjectFinder $mine,
        private readonly PictureCodec $codec,
        private readonly FileShelf $shelf,
        private readonly ChangeLog $changes,
        private readonly ClockInterface $clock,
        private readonly Toast $toast,
    ) {
    }

    #[Route('', name: 'picture')]
    public function add(string $id, Request $request, Intake $intake, #[CurrentUser] Account $account): Response
    {
        [$record, $project] = $this->mine->project($account, $id);
        if (\count($project->log->pictures) >= Picture::MOST) {
            return $this->said($id, 'Twenty pictures are kept with a project at most: take one out first.');
        }
        try {
            $file = $intake->photo($request->files->get('picture'), $account);
        } catch (Unreadable $unreadable) {
            $with = array_map(strval(...), array_filter($unreadable->sentence->with, is_scalar(...)));

            return $this->said($id, $unreadable->sentence->message, $with);
        }
        $note = mb_substr(trim($request->request->getString('note')), 0, 200);
        $make = function () use ($record, $project, $file, $note): void {
            $record->pictures = $this->codec->write([...$project->log->pictures, new Picture($file->id, $note)]);
        };

        return $this->commit($record, $make, 'The picture is kept with {project}, without what the camera wrote into it.');
    }

    #[Route('/{file}/remove', name: 'picture_remove')]
    public function remove(string $id, string $file, #[CurrentUser] Account $account): Response
    {
        [$record, $project] = $this->mine->project($account, $id);
        $known = $this->shelf->oneOf($account, $file) ?? throw $this->createNotFoundException();
        $left = array_filter($project->log->pictures, static fn (Picture $picture): bool => $picture->file !== $file);
        $make = function () use ($record, $left, $known): void {
            $record->pictures = $this->codec->write(array_values($left));
            $known->removedAt = $this->clock->now();
        };

        return $this->commit($record, $make, 'The picture is taken out of {project}.', [$known]);
    }

    /** @param list<object> $others that are changed with it */
    private function commit(ProjectRecord $record, \Closure $make, string $says, array $others = []): Response
    {
        $here = $this->generateUrl('project', ['id' => $record->id, 'part' => 'notes']);
        $this->changes->commit([$record, ...$others], $make, new Notice($says, ['project' => $record->name], $here));

        return $this->redirect($here);
    }

    /** @param array<string, string> $with */
    private function said(string $id, string $says, array $with = []): Response
    {
        $this->toast->say($says, $with);

        return $this->redirectToRoute('project', ['id' => $id, 'part' => 'notes']);
    }
}

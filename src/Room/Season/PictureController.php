<?php

declare(strict_types=1);

namespace Octavum\Room\Season;

use Doctrine\ORM\EntityManagerInterface;
use Octavum\Account\Account;
use Octavum\Core\Measure\Unreadable;
use Octavum\Core\Season\Picture;
use Octavum\Document\PictureCodec;
use Octavum\Files\FileShelf;
use Octavum\Files\Intake;
use Octavum\Page\Toast;
use Octavum\Store\ProjectRecord;
use Octavum\Store\TakeBack;
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
        private readonly MyProject $mine,
        private readonly PictureCodec $codec,
        private readonly FileShelf $shelf,
        private readonly TakeBack $takeBack,
        private readonly EntityManagerInterface $entities,
        private readonly ClockInterface $clock,
        private readonly Toast $toast,
    ) {
    }

    #[Route('', name: 'picture')]
    public function add(string $id, Request $request, Intake $intake, #[CurrentUser] Account $account): Response
    {
        [$record, $project] = $this->mine->project($account, $id);
        if (\count($project->pictures) >= Picture::MOST) {
            return $this->said($id, 'Twenty pictures are kept with a project at most: take one out first.');
        }
        try {
            $file = $intake->photo($request->files->get('picture'), $account);
        } catch (Unreadable $unreadable) {
            return $this->said($id, $unreadable->sentence->message, array_filter($unreadable->sentence->with, is_string(...)));
        }
        $before = $this->takeBack->state([$record]);
        $note = mb_substr(trim($request->request->getString('note')), 0, 200);
        $record->pictures = $this->codec->write([...$project->pictures, new Picture($file->id, $note)]);

        return $this->kept($record, $before, 'The picture is kept with {project}, without what the camera wrote into it.');
    }

    #[Route('/{file}/remove', name: 'picture_remove')]
    public function remove(string $id, string $file, #[CurrentUser] Account $account): Response
    {
        [$record, $project] = $this->mine->project($account, $id);
        $known = $this->shelf->oneOf($account, $file) ?? throw $this->createNotFoundException();
        $before = $this->takeBack->state([$record, $known]);
        $left = array_filter($project->pictures, static fn (Picture $picture): bool => $picture->file !== $file);
        $record->pictures = $this->codec->write(array_values($left));
        $known->removedAt = $this->clock->now();

        return $this->kept($record, $before, 'The picture is taken out of {project}.', [$known]);
    }

    /**
     * @param array<string, array<string, mixed>> $before as TakeBack gave it
     * @param list<object>                        $others that were changed with it
     */
    private function kept(ProjectRecord $record, array $before, string $says, array $others = []): Response
    {
        $this->entities->flush();
        $here = $this->generateUrl('project', ['id' => $record->id]);
        $key = $this->takeBack->keep($before, [$record, ...$others]);
        $this->toast->say($says, ['project' => $record->name], $this->generateUrl('undo', ['key' => $key, 'back' => $here]));

        return $this->redirect($here);
    }

    /** @param array<string, string> $with */
    private function said(string $id, string $says, array $with = []): Response
    {
        $this->toast->say($says, $with);

        return $this->redirectToRoute('project', ['id' => $id]);
    }
}

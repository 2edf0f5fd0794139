<?php

declare(strict_types=1);

namespace Octavum\Room\Pattern;

use Doctrine\ORM\EntityManagerInterface;
use Octavum\Account\Account;
use Octavum\Core\Measure\Unreadable;
use Octavum\Files\FileShelf;
use Octavum\Files\Intake;
use Octavum\Page\Toast;
use Octavum\Store\PatternRepository;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\Clock\ClockInterface;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** Instructions, line drawings and the like, kept with a pattern. */
#[Route('/patterns/{id}/files')]
final class AttachmentController extends AbstractController
{
    private const MOST = 20;

    public function __construct(
        private readonly PatternRepository $patterns,
        private readonly FileShelf $shelf,
        private readonly EntityManagerInterface $entities,
        private readonly ClockInterface $clock,
        private readonly Toast $toast,
    ) {
    }

    #[Route('', name: 'pattern_file', methods: ['POST'])]
    public function add(string $id, Request $request, Intake $intake, PatternController $page, #[CurrentUser] Account $account): Response
    {
        $pattern = $this->patterns->hereOf($account, $id) ?? throw $this->createNotFoundException();
        if (\count($pattern->files) >= self::MOST) {
            $this->toast->say('Twenty files are kept with a pattern at most: take one out first.');

            return $this->redirectToRoute('pattern', ['id' => $id]);
        }
        try {
            $file = $intake->attachment($request->files->get('file'), $account);
        } catch (Unreadable $unreadable) {
            return $page->page($pattern, $account, $unreadable->sentence);
        }
        $pattern->files = [...$pattern->files, $file->id];
        $this->entities->flush();
        $this->toast->say(
            '“{file}” is kept with {pattern}.',
            ['file' => $file->name, 'pattern' => $pattern->title],
            $this->generateUrl('pattern_file_remove', ['id' => $id, 'file' => $file->id]),
        );

        return $this->redirectToRoute('pattern', ['id' => $id]);
    }

    #[Route('/{file}/remove', name: 'pattern_file_remove', methods: ['POST'])]
    public function remove(string $id, string $file, #[CurrentUser] Account $account): Response
    {
        $pattern = $this->patterns->hereOf($account, $id) ?? throw $this->createNotFoundException();
        $known = $this->shelf->oneOf($account, $file) ?? throw $this->createNotFoundException();
        $pattern->files = array_values(array_diff($pattern->files, [$file]));
        $known->removedAt = $this->clock->now();
        $this->entities->flush();
        $this->toast->say(
            '“{file}” is taken out.',
            ['file' => $known->name],
            $this->generateUrl('pattern_file_restore', ['id' => $id, 'file' => $file]),
        );

        return $this->redirectToRoute('pattern', ['id' => $id]);
    }

    #[Route('/{file}/restore', name: 'pattern_file_restore', methods: ['POST'])]
    public function restore(string $id, string $file, #[CurrentUser] Account $account): Response
    {
        $pattern = $this->patterns->hereOf($account, $id) ?? throw $this->createNotFoundException();
        $known = $this->shelf->oneOf($account, $file) ?? throw $this->createNotFoundException();
        $pattern->files = array_values(array_unique([...$pattern->files, $file]));
        $known->removedAt = null;
        $this->entities->flush();

        return $this->redirectToRoute('pattern', ['id' => $id]);
    }
}

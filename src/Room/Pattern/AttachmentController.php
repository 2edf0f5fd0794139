<?php

declare(strict_types=1);

namespace Octavum\Room\Pattern;

use Octavum\Account\Account;
use Octavum\Account\Mine;
use Octavum\Core\Measure\Unreadable;
use Octavum\Files\FileRecord;
use Octavum\Files\FileShelf;
use Octavum\Files\Intake;
use Octavum\Page\Toast;
use Octavum\Store\Change\ChangeLog;
use Octavum\Store\Change\Notice;
use Octavum\Store\Pattern\PatternRecord;
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
        private readonly FileShelf $shelf,
        private readonly ChangeLog $changes,
        private readonly ClockInterface $clock,
        private readonly Toast $toast,
    ) {
    }

    #[Route('', name: 'pattern_file', methods: ['POST'])]
    public function add(
        #[Mine] PatternRecord $pattern,
        Request $request,
        Intake $intake,
        PatternPresenter $page,
        #[CurrentUser] Account $account,
    ): Response {
        if (\count($pattern->files) >= self::MOST) {
            $this->toast->say('Twenty files are kept with a pattern at most: take one out first.');

            return $this->redirectToRoute('pattern', ['id' => $pattern->id]);
        }
        try {
            $file = $intake->attachment($request->files->get('file'), $account);
        } catch (Unreadable $unreadable) {
            return $page->show($pattern, $unreadable->sentence);
        }
        $make = static function () use ($pattern, $file): void {
            $pattern->files = [...$pattern->files, $file->id];
        };

        return $this->commit([$pattern], $make, '“{file}” is kept with {pattern}.', $pattern, $file);
    }

    #[Route('/{file}/remove', name: 'pattern_file_remove', methods: ['POST'])]
    public function remove(#[Mine] PatternRecord $pattern, string $file, #[CurrentUser] Account $account): Response
    {
        $known = $this->shelf->oneOf($account, $file) ?? throw $this->createNotFoundException();
        $make = function () use ($pattern, $known): void {
            $pattern->files = array_values(array_diff($pattern->files, [$known->id]));
            $known->removedAt = $this->clock->now();
        };

        return $this->commit([$pattern, $known], $make, '“{file}” is taken out.', $pattern, $known);
    }

    /** @param list<object> $touched */
    private function commit(array $touched, \Closure $make, string $says, PatternRecord $pattern, FileRecord $file): Response
    {
        $here = $this->generateUrl('pattern', ['id' => $pattern->id]);
        $this->changes->commit($touched, $make, new Notice($says, ['file' => $file->name, 'pattern' => $pattern->title], $here));

        return $this->redirect($here);
    }
}

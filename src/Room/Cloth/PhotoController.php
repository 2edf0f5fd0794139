<?php

declare(strict_types=1);

namespace Octavum\Room\Cloth;

use Octavum\Account\Account;
use Octavum\Account\Mine;
use Octavum\Core\Measure\Unreadable;
use Octavum\Files\FileShelf;
use Octavum\Files\Intake;
use Octavum\Input\Entry;
use Octavum\Store\Change\ChangeLog;
use Octavum\Store\Change\Notice;
use Octavum\Store\Cloth\ClothRecord;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\Clock\ClockInterface;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** The photo of a cloth, and the colours found in it. */
#[Route('/cloth/{id}')]
final class PhotoController extends AbstractController
{
    public function __construct(
        private readonly ClothPresenter $page,
        private readonly FileShelf $shelf,
        private readonly ChangeLog $changes,
        private readonly ClockInterface $clock,
    ) {
    }

    #[Route('/photo', name: 'photo', methods: ['POST'])]
    public function take(
        #[Mine] ClothRecord $cloth,
        Request $request,
        Intake $intake,
        Entry $entry,
        #[CurrentUser] Account $account,
    ): Response {
        try {
            $file = $intake->photo($request->files->get('photo'), $account);
        } catch (Unreadable $unreadable) {
            $entry->fault('photo', $unreadable->sentence);

            return $this->page->show($cloth, $entry);
        }

        return $this->change($cloth, $file->id, 'The photo of {cloth} is kept, without what the camera wrote into it.');
    }

    #[Route('/photo/remove', name: 'photo_remove', methods: ['POST'])]
    public function remove(#[Mine] ClothRecord $cloth): Response
    {
        return $this->change($cloth, null, 'The photo of {cloth} is taken off.');
    }

    /** Takes the colours found in the photo for those of the cloth. */
    #[Route('/colours', name: 'photo_colours', methods: ['POST'])]
    public function colours(#[Mine] ClothRecord $cloth, Request $request): Response
    {
        preg_match_all('/#[0-9a-f]{6}/', $request->query->getString('are'), $colours);
        $make = static function () use ($cloth, $colours): void {
            $cloth->colours = \array_slice($colours[0], 0, 6);
        };
        $here = $this->generateUrl('cloth', ['id' => $cloth->id]);
        $this->changes->commit([$cloth], $make, new Notice('The colours of {cloth} are changed.', ['cloth' => $cloth->name], $here));

        return $this->redirect($here);
    }

    private function change(ClothRecord $cloth, ?string $file, string $says): Response
    {
        $both = array_values(array_filter([$cloth->photo, $file], static fn (?string $id): bool => null !== $id));
        $files = $this->shelf->these($cloth->account, $both);
        $make = function () use ($cloth, $file, $files): void {
            foreach ($files as $known) {
                $known->removedAt = $known->id === $file ? null : $this->clock->now();
            }
            $cloth->photo = $file;
        };
        $here = $this->generateUrl('cloth', ['id' => $cloth->id]);
        $this->changes->commit([$cloth, ...$files], $make, new Notice($says, ['cloth' => $cloth->name], $here));

        return $this->redirect($here);
    }
}

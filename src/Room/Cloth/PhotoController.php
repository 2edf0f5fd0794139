<?php

declare(strict_types=1);

namespace Octavum\Room\Cloth;

use Doctrine\ORM\EntityManagerInterface;
use Octavum\Account\Account;
use Octavum\Core\Measure\Unreadable;
use Octavum\Files\FileShelf;
use Octavum\Files\Intake;
use Octavum\Input\Entry;
use Octavum\Page\Toast;
use Octavum\Store\ClothRecord;
use Octavum\Store\ClothRepository;
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
        private readonly ClothRepository $cloths,
        private readonly ClothController $page,
        private readonly FileShelf $shelf,
        private readonly EntityManagerInterface $entities,
        private readonly ClockInterface $clock,
        private readonly Toast $toast,
    ) {
    }

    #[Route('/photo', name: 'photo', methods: ['POST'])]
    public function take(string $id, Request $request, Intake $intake, #[CurrentUser] Account $account): Response
    {
        $cloth = $this->cloths->hereOf($account, $id) ?? throw $this->createNotFoundException();
        try {
            $file = $intake->photo($request->files->get('photo'), $account);
        } catch (Unreadable $unreadable) {
            $entry = new Entry($request->request->all());
            $entry->fault('photo', $unreadable->sentence);

            return $this->page->page($cloth, $account, $entry, $this->clock->now()->format('Y-m-d'));
        }

        return $this->change($cloth, $file->id, 'The photo of {cloth} is kept, without what the camera wrote into it.');
    }

    #[Route('/photo/remove', name: 'photo_remove', methods: ['POST'])]
    public function remove(string $id, #[CurrentUser] Account $account): Response
    {
        $cloth = $this->cloths->hereOf($account, $id) ?? throw $this->createNotFoundException();

        return $this->change($cloth, null, 'The photo of {cloth} is taken off.');
    }

    /** Puts back a photo, or none. */
    #[Route('/photo/{file}/use', name: 'photo_use', methods: ['POST'])]
    public function use(string $id, string $file, #[CurrentUser] Account $account): Response
    {
        $cloth = $this->cloths->hereOf($account, $id) ?? throw $this->createNotFoundException();
        $known = 'none' === $file ? null : $this->shelf->oneOf($account, $file) ?? throw $this->createNotFoundException();

        return $this->change($cloth, $known?->id, 'The photo of {cloth} is as it was before.');
    }

    /** Takes the colours found in the photo for those of the cloth, or puts the former ones back. */
    #[Route('/colours', name: 'photo_colours', methods: ['POST'])]
    public function colours(string $id, Request $request, #[CurrentUser] Account $account): Response
    {
        $cloth = $this->cloths->hereOf($account, $id) ?? throw $this->createNotFoundException();
        $before = implode('', $cloth->colours);
        preg_match_all('/#[0-9a-f]{6}/', $request->query->getString('are'), $colours);
        $cloth->colours = \array_slice($colours[0], 0, 6);
        $this->entities->flush();
        $this->toast->say(
            'The colours of {cloth} are changed.',
            ['cloth' => $cloth->name],
            $this->generateUrl('photo_colours', ['id' => $id, 'are' => $before]),
        );

        return $this->redirectToRoute('cloth', ['id' => $id]);
    }

    private function change(ClothRecord $cloth, ?string $file, string $says): Response
    {
        $former = $cloth->photo;
        $both = array_values(array_filter([$former, $file], static fn (?string $id): bool => null !== $id));
        foreach ($this->shelf->these($cloth->account, $both) as $known) {
            $known->removedAt = $known->id === $file ? null : $this->clock->now();
        }
        $cloth->photo = $file;
        $this->entities->flush();
        $this->toast->say(
            $says,
            ['cloth' => $cloth->name],
            $this->generateUrl('photo_use', ['id' => $cloth->id, 'file' => $former ?? 'none']),
        );

        return $this->redirectToRoute('cloth', ['id' => $cloth->id]);
    }
}

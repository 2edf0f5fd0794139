<?php

declare(strict_types=1);

namespace Octavum\Room\Season;

use Octavum\Account\Account;
use Octavum\Store\Plan\LaySettler;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** Tells a page whether the pieces that it asked for have been laid in the background. */
final class SettledController extends AbstractController
{
    #[Route('/settled', name: 'settled', methods: ['GET'])]
    public function settled(LaySettler $settler, #[CurrentUser] Account $account): JsonResponse
    {
        return new JsonResponse(['settled' => !$settler->isAtWork($account)]);
    }
}

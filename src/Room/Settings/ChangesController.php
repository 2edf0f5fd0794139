<?php

declare(strict_types=1);

namespace Octavum\Room\Settings;

use Octavum\Account\Account;
use Octavum\Store\Change\ChangeLog;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** What changed: the last hundred changes, each with its undo. */
final class ChangesController extends AbstractController
{
    #[Route('/changes', name: 'changes', methods: ['GET'])]
    public function show(ChangeLog $changes, #[CurrentUser] Account $account): Response
    {
        return $this->render('account/changes.html.twig', ['changes' => $changes->newest($account)]);
    }
}

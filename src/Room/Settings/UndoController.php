<?php

declare(strict_types=1);

namespace Octavum\Room\Settings;

use Octavum\Page\ReturnPath;
use Octavum\Page\Toast;
use Octavum\Store\Change\ChangeLog;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** Undoes one change and goes back to where it was made. */
final class UndoController extends AbstractController
{
    #[Route('/undo/{key}', name: 'undo', methods: ['POST'])]
    public function undo(string $key, Request $request, ChangeLog $changes, Toast $toast): Response
    {
        $back = $changes->undo($key);
        $toast->say($back->message, $back->with);

        return ReturnPath::to($request, '/');
    }
}

<?php

declare(strict_types=1);

namespace Octavum\Page;

use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** Every address that leads nowhere, so that whoever is signed in keeps the bar and finds the way back. */
final class NowhereController extends AbstractController
{
    #[Route('/{path}', name: 'nowhere', requirements: ['path' => '(?!assets/|_).+'], methods: ['GET'], priority: -1000)]
    public function nowhere(): Response
    {
        throw $this->createNotFoundException();
    }
}

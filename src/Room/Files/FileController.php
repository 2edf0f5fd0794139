<?php

declare(strict_types=1);

namespace Octavum\Room\Files;

use Octavum\Account\Account;
use Octavum\Files\FileKind;
use Octavum\Files\FileShelf;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\BinaryFileResponse;
use Symfony\Component\HttpFoundation\HeaderUtils;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** Hands out an account's own files, to that account only. */
final class FileController extends AbstractController
{
    #[Route('/file/{id}', name: 'file', methods: ['GET'])]
    #[Route('/file/{id}/small', name: 'file_small', defaults: ['small' => true], methods: ['GET'])]
    public function show(string $id, FileShelf $shelf, #[CurrentUser] Account $account, bool $small = false): Response
    {
        $file = $shelf->oneOf($account, $id) ?? throw $this->createNotFoundException();
        if ($small && FileKind::Picture !== $file->kind) {
            throw $this->createNotFoundException();
        }
        $response = new BinaryFileResponse($shelf->path($file, $small), headers: ['Content-Type' => $file->kind->mime()], public: false);
        $response->setPrivate()->setMaxAge(31_536_000)->setImmutable();
        if (FileKind::Document === $file->kind) {
            $response->headers->set(
                'Content-Disposition',
                HeaderUtils::makeDisposition(
                    HeaderUtils::DISPOSITION_ATTACHMENT,
                    $file->name,
                    preg_replace('/[^\x20-\x7e]|%/', '_', $file->name) ?? 'file.pdf',
                ),
            );
        }

        return $response;
    }
}

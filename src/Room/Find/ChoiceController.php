<?php

declare(strict_types=1);

namespace Octavum\Room\Find;

use Octavum\Account\Account;
use Octavum\Files\FileKind;
use Octavum\Files\FileRecord;
use Octavum\Files\FileShelf;
use Octavum\Input\Entry;
use Octavum\Input\FromQuery;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** Answers a field in which a cut or a version is chosen (assets/scripts/chooser.js), while one types. */
#[Route('/choose')]
final class ChoiceController extends AbstractController
{
    /** Of a pattern: its front and its back. */
    private const PICTURES = 2;

    public function __construct(private readonly ChoiceFinder $finder, private readonly FileShelf $shelf)
    {
    }

    #[Route('/cut', name: 'choose_cut', methods: ['GET'])]
    public function cut(#[FromQuery] Entry $entry, #[CurrentUser] Account $account): Response
    {
        return $this->render('find/_choices.html.twig', [
            'choices' => $this->finder->cuts($account, $entry->text('q', 120), $entry->boolean('measured')),
            'pictures' => [],
        ]);
    }

    #[Route('/version', name: 'choose_version', methods: ['GET'])]
    public function version(#[FromQuery] Entry $entry, #[CurrentUser] Account $account): Response
    {
        $choices = $this->finder->versions($account, $entry->text('q', 120));
        $files = array_merge(...array_map(static fn (Choice $choice): array => $choice->version->files ?? [], $choices));
        $isPicture = static fn (FileRecord $file): bool => FileKind::Picture === $file->kind;
        $ids = array_column(array_filter($this->shelf->these($account, $files), $isPicture), 'id');

        return $this->render('find/_choices.html.twig', [
            'choices' => $choices,
            'pictures' => array_map(
                static fn (Choice $choice): array => \array_slice(
                    array_values(array_intersect($choice->version->files ?? [], $ids)),
                    0,
                    self::PICTURES,
                ),
                $choices,
            ),
        ]);
    }
}

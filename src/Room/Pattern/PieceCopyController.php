<?php

declare(strict_types=1);

namespace Octavum\Room\Pattern;

use Octavum\Account\Account;
use Octavum\Account\Mine;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Piece\Piece;
use Octavum\Input\ChosenName;
use Octavum\Input\Entry;
use Octavum\Store\Pattern\Library;
use Octavum\Store\Pattern\VersionRecord;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** Pieces of another version or size, a little larger or smaller. */
final class PieceCopyController extends AbstractController
{
    public function __construct(private readonly VersionPieces $pieces)
    {
    }

    #[Route('/versions/{id}/pieces/copy', name: 'pieces_copy', methods: ['GET', 'POST'])]
    public function copy(
        #[Mine] VersionRecord $version,
        Request $request,
        Library $library,
        Entry $entry,
        #[CurrentUser] Account $account,
    ): Response {
        $names = $library->names($account);
        if ($request->isMethod('POST')) {
            $name = ChosenName::read($entry, 'from', array_keys($names)) ?? '';
            [, $from] = $library->version($account, $names[$name] ?? '') ?? [null, null];
            $size = $entry->text('fromSize', 20);
            $sizes = $entry->texts('toSizes', 20);
            $along = $entry->integer('along', 50, 200) ?? 100;
            $across = $entry->integer('across', 50, 200) ?? 100;
            if (null === $from) {
                $entry->fault(
                    'from',
                    new Sentence('There is no version called “{text}” in the library: choose one from the list.', [
                        'text' => mb_substr($entry->raw('from'), 0, 60),
                    ]),
                );
            } elseif ([] === $from->pieces->ofSize($size)) {
                $entry->fault(
                    'fromSize',
                    new Sentence('That version has no pieces in size {size}: it has them in {sizes}.', [
                        'size' => '' === $size ? '–' : $size,
                        'sizes' => [] === $from->pieces->marks ? 'none' : implode(', ', array_keys($from->pieces->marks)),
                    ]),
                );
            }
            $this->pieces->checkSizes($sizes, $version, $entry, 'toSizes');
            $this->pieces->checkRoom($version, array_column($from?->pieces->all() ?? [], 'name'), $entry, 'fromSize');
            if ($entry->isSound() && null !== $from) {
                $graded = array_values(
                    array_filter(
                        array_map(
                            static fn (Piece $piece): ?Piece => $piece->graded($size, $sizes, $along / 100, $across / 100),
                            $from->pieces->all(),
                        ),
                    ),
                );
                $this->pieces->join($version, $graded, '{count, plural, one {One piece is} other {# pieces are}} copied.');

                return $this->redirectToRoute('pieces', ['id' => $version->id, 'size' => $sizes[0] ?? '']);
            }
        }

        return $this->render(
            'pattern/copy.html.twig',
            [
                'pattern' => $version->pattern,
                'version' => $version,
                'values' => $entry->typed + ['along' => '100', 'across' => '100'],
                'faults' => $entry->faults(),
            ],
            new Response(status: $entry->status()),
        );
    }
}

<?php

declare(strict_types=1);

namespace Octavum\Room\Pattern;

use Octavum\Account\Account;
use Octavum\Account\AccountSettings;
use Octavum\Account\Mine;
use Octavum\Core\Measure\System;
use Octavum\Core\Piece\Draft;
use Octavum\Core\Piece\Piece;
use Octavum\Core\Piece\Shape;
use Octavum\Core\Workroom\Settings;
use Octavum\Input\Entry;
use Octavum\Input\Revision;
use Octavum\Page\Toast;
use Octavum\Store\Pattern\PatternMapper;
use Octavum\Store\Pattern\VersionRecord;
use Octavum\Strip\PieceDrawing;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** The pieces of a version: measured, or drawn from measurements. */
final class PieceController extends AbstractController
{
    public function __construct(
        private readonly PatternMapper $mapper,
        private readonly PieceForm $form,
        private readonly VersionPieces $pieces,
        private readonly AccountSettings $settings,
        private readonly Toast $toast,
    ) {
    }

    #[Route('/versions/{id}/pieces', name: 'pieces', methods: ['GET'])]
    public function list(#[Mine] VersionRecord $version, Request $request): Response
    {
        $pieces = $this->pieces->list($version);
        $size = $this->size($version, $request->query->getString('size'));
        $drawn = [];
        $tallest = 1.0;
        foreach ($pieces as $piece) {
            $shape = $piece->in($size);
            $tallest = max(
                $tallest,
                null === $shape ? 0 : max($shape->cutOut($piece->onFold)->length(), $shape->cutOut($piece->onFold)->width() * 0.7),
            );
        }
        foreach ($pieces as $at => $piece) {
            $shape = $piece->in($size);
            $drawn[] = [
                'at' => $at,
                'piece' => $piece,
                'drawing' => null === $shape ? null : PieceDrawing::of($piece, [$shape], 210 / $tallest),
            ];
        }

        return $this->render('pattern/pieces.html.twig', [
            'pattern' => $version->pattern,
            'version' => $version,
            'pieces' => $drawn,
            'size' => $size,
        ]);
    }

    #[Route('/versions/{id}/pieces/new', name: 'piece_new', methods: ['GET', 'POST'])]
    public function new(#[Mine] VersionRecord $version, Request $request, #[CurrentUser] Account $account): Response
    {
        return $this->page(
            $version,
            null,
            $this->form->blank(Draft::tryFrom($request->query->getString('draft')) ?? Draft::Box),
            $request,
            $account,
        );
    }

    #[Route('/versions/{id}/pieces/{at}', name: 'piece_edit', requirements: ['at' => '\d{1,3}'], methods: ['GET', 'POST'])]
    public function edit(
        #[Mine] VersionRecord $version,
        int $at,
        Request $request,
        #[CurrentUser] Account $account,
    ): Response {
        return $this->page($version, $at, $this->pieces->list($version)[$at] ?? throw $this->createNotFoundException(), $request, $account);
    }

    /** By its name, of which there is one among a version's pieces: what is said twice takes out no other. */
    #[Route('/versions/{id}/pieces/remove', name: 'piece_remove', methods: ['POST'])]
    public function remove(#[Mine] VersionRecord $version, Request $request): Response
    {
        $pieces = $this->pieces->list($version);
        $name = $request->request->getString('piece');
        $at = $this->place($pieces, $name);
        if (null === $at) {
            $this->toast->say('There is no piece “{piece}” any more.', ['piece' => mb_substr($name, 0, 120)]);
        } else {
            unset($pieces[$at]);
            $this->pieces->store($version, array_values($pieces), '{piece} is taken out.', ['piece' => $name]);
        }

        return $this->redirectToRoute('pieces', ['id' => $version->id]);
    }

    /** Draws a piece as typed; nothing is saved. */
    #[Route('/pieces/draw', name: 'piece_draw', methods: ['POST'])]
    public function draw(Entry $entry, Settings $settings): Response
    {
        return $this->render('pattern/_drawing.html.twig', [
            'drawing' => $this->drawing($entry, $settings->system),
            'faults' => array_filter(
                $entry->faults(),
                static fn (string $field): bool => str_starts_with($field, 'shapes') && '' !== $entry->raw($field),
                \ARRAY_FILTER_USE_KEY,
            ),
        ]);
    }

    private function page(VersionRecord $version, ?int $at, Piece $piece, Request $request, Account $account): Response
    {
        $system = $this->settings->load($account)->system;
        $entry = new Entry($request->request->all());
        $was = $request->request->getString('was', null === $at ? '' : $piece->name);
        $others = array_filter($this->pieces->list($version), static fn (Piece $other): bool => $other->name !== $was);
        $revision = $this->mapper->pieceSet($version)->revision;
        $typed = $entry->typed;
        if ($request->isMethod('POST')) {
            $changed = $this->form->read(
                $entry,
                $version->sizes,
                array_map(static fn (Piece $other): string => $other->name, array_values($others)),
                $system,
            );
            if (!$entry->boolean('redraw') && !$entry->boolean('more')) {
                if (null === $this->place($this->pieces->list($version), $was)) {
                    $this->pieces->checkRoom($version, [$entry->raw('pieceName')], $entry, 'pieceName');
                }
                Revision::check($entry, $revision, null === $at ? [] : $this->form->values($piece, $system));
                if ($entry->isSound()) {
                    $all = $this->pieces->list($version);
                    $all[$this->place($all, $was) ?? \count($all)] = $changed;
                    $this->pieces->store($version, array_values($all), '{piece} is saved.', ['piece' => $changed->name]);

                    return $entry->boolean('another')
                        ? $this->redirectToRoute('piece_new', ['id' => $version->id, 'draft' => $entry->raw('draft')])
                        : $this->redirectToRoute('pieces', ['id' => $version->id, 'size' => $changed->shapes[0]->sizes[0] ?? '']);
                }
            } else {
                $typed = $this->redrawn($typed, $entry, $system);
                $entry = new Entry($typed);
            }
        }
        $values = [] !== $typed ? $typed : match ($at) {
            null => $this->form->usual($piece->shapes[0]->drafted->draft ?? Draft::Box, $system),
            default => $this->form->values($piece, $system),
        };
        $draft = Draft::tryFrom(\is_string($values['draft'] ?? null) ? $values['draft'] : '');

        return $this->render(
            'pattern/piece.html.twig',
            [
                'pattern' => $version->pattern,
                'version' => $version,
                'at' => $at,
                'revision' => $revision,
                'was' => $was,
                'values' => $values,
                'draft' => $draft,
                'faults' => $entry->faults(),
                'drawing' => $this->drawing(new Entry($values), $system),
            ],
            new Response(status: $entry->status()),
        );
    }

    /**
     * The fields for another shape, or with one more column: what was typed is kept, and the rest filled as usual.
     *
     * @param array<mixed> $typed
     *
     * @return array<mixed>
     */
    private function redrawn(array $typed, Entry $entry, System $system): array
    {
        $draft = Draft::tryFrom($entry->raw('draft')) ?? Draft::Box;
        $usual = $this->form->usual($draft, $system);
        $shapes = \is_array($typed['shapes'] ?? null) ? array_values($typed['shapes']) : [];
        if ($entry->boolean('more')) {
            $last = $shapes[\count($shapes) - 1] ?? [];
            $shapes[] = ['sizes' => ''] + (\is_array($last) ? $last : []);
        } else {
            $typed =
                ['pair' => $usual['pair'], 'onFold' => $usual['onFold'], 'quantity' => $usual['quantity'], 'grain' => $usual['grain']]
                + $typed;
            if ('' === $entry->raw('pieceName')) {
                $typed['pieceName'] = ucfirst(Draft::Box === $draft ? '' : $draft->value);
            }
        }
        $first = \is_array($usual['shapes']) ? $usual['shapes'][0] ?? [] : [];
        $measures = \is_array($first) && \is_array($first['m'] ?? null) ? $first['m'] : [];
        $typed['shapes'] = array_map(
            static fn (mixed $shape): array => \is_array($shape)
                ? [
                    'm' => array_intersect_key(\is_array($shape['m'] ?? null) && $entry->boolean('more') ? $shape['m'] : [], $measures)
                        + $measures,
                ] + $shape
                : [],
            $shapes,
        );

        return $typed;
    }

    /** As typed; null while a measurement is missing. */
    private function drawing(Entry $entry, System $system): ?PieceDrawing
    {
        $piece = $this->form->read($entry, [], [], $system);
        foreach (array_keys($entry->faults()) as $field) {
            if (str_contains($field, '.m.') && '' === $entry->raw($field)) {
                return null;
            }
        }

        return [] === $piece->shapes ? null : PieceDrawing::of($piece, $piece->shapes, 0, 300);
    }

    /** @param list<Piece> $pieces */
    private function place(array $pieces, string $name): ?int
    {
        $at = array_search($name, array_map(static fn (Piece $piece): string => $piece->name, $pieces), true);

        return false === $at ? null : $at;
    }

    private function size(VersionRecord $version, string $asked): string
    {
        $marked = array_map(strval(...), array_keys($version->marks));
        $all = [] === $version->sizes ? $marked : $version->sizes;

        return \in_array($asked, $all, true) ? $asked : $marked[intdiv(\count($marked), 2)] ?? ($all[intdiv(\count($all), 2)] ?? '');
    }
}

<?php

declare(strict_types=1);

namespace Octavum\Room\Pattern;

use Doctrine\ORM\EntityManagerInterface;
use Octavum\Account\Account;
use Octavum\Account\AccountSettings;
use Octavum\Core\Lay\Grain;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Measure\System;
use Octavum\Core\Piece\Draft;
use Octavum\Core\Piece\Piece;
use Octavum\Core\Piece\PieceSet;
use Octavum\Core\Piece\Role;
use Octavum\Core\Piece\Shape;
use Octavum\Core\Shape\Outline;
use Octavum\Core\Svg\Drawing;
use Octavum\Core\Svg\SvgReader;
use Octavum\Document\Node;
use Octavum\Document\OutlineCodec;
use Octavum\Document\PieceCodec;
use Octavum\Input\Entry;
use Octavum\Input\Revision;
use Octavum\Page\Toast;
use Octavum\Store\Library;
use Octavum\Store\PatternMapper;
use Octavum\Store\PatternRepository;
use Octavum\Store\TakeBack;
use Octavum\Store\VersionRecord;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\File\UploadedFile;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** The pieces of a version: measured, drawn from measurements, taken from an SVG file, or copied with a grade. */
final class PieceController extends AbstractController
{
    public function __construct(
        private readonly PatternRepository $patterns,
        private readonly PatternMapper $mapper,
        private readonly PieceForm $form,
        private readonly PieceCodec $pieces,
        private readonly OutlineCodec $outlines,
        private readonly AccountSettings $settings,
        private readonly EntityManagerInterface $entities,
        private readonly Toast $toast,
        private readonly TakeBack $takeBack,
    ) {
    }

    #[Route('/versions/{id}/pieces', name: 'pieces', methods: ['GET'])]
    public function list(string $id, Request $request, #[CurrentUser] Account $account): Response
    {
        $version = $this->own($account, $id);
        $pieces = $this->pieces($version);
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
    public function new(string $id, Request $request, #[CurrentUser] Account $account): Response
    {
        return $this->page(
            $this->own($account, $id),
            null,
            $this->form->blank(Draft::tryFrom($request->query->getString('draft')) ?? Draft::Box),
            $request,
            $account,
        );
    }

    #[Route('/versions/{id}/pieces/{at}', name: 'piece_edit', requirements: ['at' => '\d{1,3}'], methods: ['GET', 'POST'])]
    public function edit(string $id, int $at, Request $request, #[CurrentUser] Account $account): Response
    {
        $version = $this->own($account, $id);

        return $this->page($version, $at, $this->pieces($version)[$at] ?? throw $this->createNotFoundException(), $request, $account);
    }

    /** By its name, of which there is one among a version's pieces: what is said twice takes out no other. */
    #[Route('/versions/{id}/pieces/remove', name: 'piece_remove', methods: ['POST'])]
    public function remove(string $id, Request $request, #[CurrentUser] Account $account): Response
    {
        $version = $this->own($account, $id);
        $pieces = $this->pieces($version);
        $name = $request->request->getString('piece');
        $at = $this->place($pieces, $name);
        if (null === $at) {
            $this->toast->say('There is no piece “{piece}” any more.', ['piece' => mb_substr($name, 0, 120)]);
        } else {
            unset($pieces[$at]);
            $undo = $this->store($version, array_values($pieces));
            $this->toast->say('{piece} is taken out.', ['piece' => $name], $undo);
        }

        return $this->redirectToRoute('pieces', ['id' => $id]);
    }

    /** Takes one change to the pieces back, and their marks with it. */
    #[Route('/versions/{id}/pieces/undo/{key}', name: 'pieces_undo', methods: ['POST'])]
    public function undo(string $id, string $key, #[CurrentUser] Account $account): Response
    {
        $version = $this->own($account, $id);
        if ($this->takeBack->undo($key)) {
            $this->mapper->storePieces(
                PieceSet::of(
                    $this->pieces->read(Node::stored($this->mapper->pieceSet($version)->pieces, 'pieces of version '.$id)),
                    $version->sizes,
                ),
                $version,
                $this->mapper->pieceSet($version),
            );
            $this->entities->flush();
            $this->toast->say('That is undone; what was written since stays.');
        }

        return $this->redirectToRoute('pieces', ['id' => $id]);
    }

    /** Draws a piece as typed; nothing is saved. */
    #[Route('/pieces/draw', name: 'piece_draw', methods: ['POST'])]
    public function draw(Request $request, #[CurrentUser] Account $account): Response
    {
        $entry = new Entry($request->request->all());

        return $this->render('pattern/_drawing.html.twig', [
            'drawing' => $this->drawing($this->form->read($entry, [], [], $this->settings->of($account)->system)),
            'faults' => array_filter(
                $entry->faults(),
                static fn (string $field): bool => str_starts_with($field, 'shapes'),
                \ARRAY_FILTER_USE_KEY,
            ),
        ]);
    }

    /** Pieces of another version or size, a little larger or smaller. */
    #[Route('/versions/{id}/pieces/copy', name: 'pieces_copy', methods: ['GET', 'POST'])]
    public function copy(string $id, Request $request, Library $library, #[CurrentUser] Account $account): Response
    {
        $version = $this->own($account, $id);
        $entry = new Entry($request->request->all());
        $names = $library->names($account);
        if ($request->isMethod('POST')) {
            [, $from] = $library->version($account, $names[$entry->raw('from')] ?? '') ?? [null, null];
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
            } elseif ([] === array_filter($from->pieces->all(), static fn (Piece $piece): bool => null !== $piece->in($size))) {
                $entry->fault(
                    'fromSize',
                    new Sentence('That version has no pieces in size {size}: it has them in {sizes}.', [
                        'size' => '' === $size ? '–' : $size,
                        'sizes' => [] === $from->pieces->marks ? 'none' : implode(', ', array_keys($from->pieces->marks)),
                    ]),
                );
            }
            foreach ($sizes as $one) {
                if ([] !== $version->sizes && !\in_array($one, $version->sizes, true)) {
                    $entry->fault(
                        'toSizes',
                        new Sentence('Size {size} is not in the table of this version: it has {sizes}.', [
                            'size' => $one,
                            'sizes' => implode(', ', $version->sizes),
                        ]),
                    );
                }
            }
            if ($entry->isSound() && null !== $from) {
                $graded = array_values(
                    array_filter(
                        array_map(
                            static fn (Piece $piece): ?Piece => $piece->graded($size, $sizes, $along / 100, $across / 100),
                            $from->pieces->all(),
                        ),
                    ),
                );
                $undo = $this->store($version, $this->joined($this->pieces($version), $graded));
                $this->toast->say(
                    '{count, plural, one {One piece is} other {# pieces are}} copied.',
                    ['count' => (string) \count($graded)],
                    $undo,
                );

                return $this->redirectToRoute('pieces', ['id' => $id, 'size' => $sizes[0] ?? '']);
            }
        }

        return $this->render(
            'pattern/copy.html.twig',
            [
                'pattern' => $version->pattern,
                'version' => $version,
                'names' => array_keys($names),
                'values' => $entry->typed + ['along' => '100', 'across' => '100'],
                'faults' => $entry->faults(),
            ],
            new Response(status: $entry->status()),
        );
    }

    /** Step one reads the file and shows what is in it; step two takes what is ticked, at the scale confirmed. */
    #[Route('/versions/{id}/pieces/import', name: 'pieces_import', methods: ['GET', 'POST'])]
    public function import(string $id, Request $request, #[CurrentUser] Account $account): Response
    {
        $version = $this->own($account, $id);
        $entry = new Entry($request->request->all());
        $drawing = null;
        $found = [];
        if ($entry->boolean('taking')) {
            $found = $this->outlines($entry);
            $pieces = $this->taken($entry, $found, $version, $account);
            if ($entry->isSound()) {
                $undo = $this->store($version, $this->joined($this->pieces($version), $pieces));
                $this->toast->say(
                    '{count, plural, one {One piece is} other {# pieces are}} taken from the file.',
                    ['count' => (string) \count($pieces)],
                    $undo,
                );

                return $this->redirectToRoute('pieces', ['id' => $id]);
            }
        } elseif ($request->isMethod('POST')) {
            $file = $request->files->get('file');
            if (!($file instanceof UploadedFile) || !$file->isValid()) {
                $entry->fault(
                    'file',
                    new Sentence('Choose a file first: an SVG file ends in .svg. A file of more than 5 MB does not arrive.'),
                );
            } else {
                $drawing = $entry->attempt('file', static fn (): Drawing => (new SvgReader())->read($file->getContent()));
                $found = $drawing->outlines ?? [];
            }
        }

        return $this->render(
            'pattern/import.html.twig',
            [
                'pattern' => $version->pattern,
                'version' => $version,
                'drawing' => $drawing,
                'found' => array_map(
                    fn (array $one): array => [
                        'name' => $one[0],
                        'outline' => json_encode($this->outlines->write($one[1]), \JSON_THROW_ON_ERROR),
                        'drawing' => PieceDrawing::of(new Piece($one[0]), [new Shape([], $one[1]->turned(270))], 0, 130),
                    ],
                    $found,
                ),
                'largest' => $this->largest($found),
                'values' => $entry->typed,
                'faults' => $entry->faults(),
            ],
            new Response(status: $entry->status()),
        );
    }

    private function page(VersionRecord $version, ?int $at, Piece $piece, Request $request, Account $account): Response
    {
        $system = $this->settings->of($account)->system;
        $entry = new Entry($request->request->all());
        $was = $request->request->getString('was', null === $at ? '' : $piece->name);
        $others = array_filter($this->pieces($version), static fn (Piece $other): bool => $other->name !== $was);
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
                Revision::check($entry, $revision, null === $at ? [] : $this->form->values($piece, $system));
                if ($entry->isSound()) {
                    $all = $this->pieces($version);
                    $all[$this->place($all, $was) ?? \count($all)] = $changed;
                    $this->toast->say('{piece} is saved.', ['piece' => $changed->name], $this->store($version, array_values($all)));

                    return $this->redirectToRoute('pieces', ['id' => $version->id, 'size' => $changed->shapes[0]->sizes[0] ?? '']);
                }
            } else {
                $typed = $this->redrawn($typed, $entry, $system);
                $entry = new Entry($typed);
            }
        }
        $values = $typed + ([] === $typed ? $this->form->values($piece, $system) : []);
        $draft = Draft::tryFrom(\is_string($values['draft'] ?? null) ? $values['draft'] : '');
        $quiet = new Entry($values);

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
                'drawing' => $this->drawing($this->form->read($quiet, [], [], $system)),
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
        $usual = $this->form->values($this->form->blank($draft), $system);
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

    private function drawing(Piece $piece): ?PieceDrawing
    {
        return [] === $piece->shapes ? null : PieceDrawing::of($piece, $piece->shapes, 0, 300);
    }

    /** @return list<array{string, Outline}> as the first step showed them */
    private function outlines(Entry $entry): array
    {
        $found = [];
        foreach ($entry->rows('found') as $i) {
            $shape =
                $this->pieces->read(
                    Node::typed([['name' => '-', 'shapes' => [['outline' => json_decode($entry->raw('found.'.$i.'.outline'), true)]]]]),
                )[0]->shapes[0] ?? null;
            if (null !== $shape) {
                $found[] = [$entry->text('found.'.$i.'.name', 60), $shape->drawn];
            }
        }

        return $found;
    }

    /**
     * @param list<array{string, Outline}> $found
     *
     * @return list<Piece>
     */
    private function taken(Entry $entry, array $found, VersionRecord $version, Account $account): array
    {
        $pieces = [];
        $names = [];
        $known = $this->largest($found);
        $length = $entry->length('known', $this->settings->of($account)->system->widthUnit());
        $scale = null === $length || null === $known ? 1.0 : $length->millimetres() / max(1, $known[1]);
        if ($scale < 0.05 || $scale > 20) {
            $entry->fault(
                'known',
                new Sentence('That would make everything {factor} times as large: check the length and its unit.', [
                    'factor' => (string) round($scale, 2),
                ]),
            );
        }
        $sizes = $entry->texts('sizes', 20);
        foreach ($sizes as $size) {
            if ([] !== $version->sizes && !\in_array($size, $version->sizes, true)) {
                $entry->fault(
                    'sizes',
                    new Sentence('Size {size} is not in the table of this version: it has {sizes}.', [
                        'size' => $size,
                        'sizes' => implode(', ', $version->sizes),
                    ]),
                );
            }
        }
        $allowance = \in_array($entry->raw('allowance'), ['', '0'], true)
            ? null
            : $entry->length('allowance', $this->settings->of($account)->system->widthUnit());
        foreach ($entry->rows('found') as $j => $i) {
            if (!$entry->boolean('found.'.$i.'.take') || !isset($found[$j])) {
                continue;
            }
            $name = $entry->name('found.'.$i.'.name', 60);
            if (isset($names[mb_strtolower($name)])) {
                $entry->fault(
                    'found.'.$i.'.name',
                    new Sentence('There is a piece “{name}” already: give this one another name, such as “{name} 2”.', ['name' => $name]),
                );
            }
            $names[mb_strtolower($name)] = true;
            $onFold = $entry->boolean('found.'.$i.'.onFold');
            $quantity = $entry->integer('found.'.$i.'.quantity', 1, 60) ?? 1;
            $pair = $entry->boolean('found.'.$i.'.pair');
            if ($pair && 0 !== $quantity % 2) {
                $entry->fault(
                    'found.'.$i.'.quantity',
                    new Sentence('A left and a right make an even number: type 2, 4 …, or take the tick from “left and right”.'),
                );
            }
            $outline = PieceForm::placed($found[$j][1]->scaled($scale, $scale), 'across' !== $entry->raw('grain'), $onFold);
            if (null === $outline) {
                $entry->fault(
                    'found.'.$i.'.onFold',
                    new Sentence('“{name}” has no straight edge along the grain that could lie on the fold.', ['name' => $name]),
                );
                continue;
            }
            $pieces[] = new Piece(
                $name,
                $entry->choice('found.'.$i.'.role', Role::class) ?? Role::Main,
                $quantity,
                $pair,
                $onFold,
                Grain::Along,
                [],
                [new Shape($sizes, $outline, $allowance)],
            );
        }
        if ([] === $pieces && $entry->isSound()) {
            $entry->fault('found', new Sentence('Nothing is ticked: tick the outlines that are pieces of this version.'));
        }

        return $pieces;
    }

    /**
     * The outline by which the scale is confirmed.
     *
     * @param list<array{string, Outline}> $found
     *
     * @return ?array{string, float} its name, and the longer side of its box
     */
    private function largest(array $found): ?array
    {
        $largest = null;
        foreach ($found as [$name, $outline]) {
            $side = max($outline->length(), $outline->width());
            $largest = null === $largest || $side > $largest[1] ? [$name, $side] : $largest;
        }

        return $largest;
    }

    /**
     * New shapes join the piece of the same name, in the place of what it had for those sizes.
     *
     * @param list<Piece> $pieces
     * @param list<Piece> $new
     *
     * @return list<Piece>
     */
    private function joined(array $pieces, array $new): array
    {
        foreach ($new as $piece) {
            $at = null;
            foreach ($pieces as $i => $known) {
                $at = mb_strtolower($known->name) === mb_strtolower($piece->name) ? $i : $at;
            }
            if (null === $at) {
                $pieces[] = $piece;
            } else {
                $pieces[$at] = $pieces[$at]->with($piece->shapes);
            }
        }

        return array_values($pieces);
    }

    /** @return list<Piece> */
    private function pieces(VersionRecord $version): array
    {
        return $this->mapper->version($version)->pieces->all();
    }

    /**
     * @param list<Piece> $pieces
     *
     * @return string the address that undoes it
     */
    private function store(VersionRecord $version, array $pieces): string
    {
        $stored = $this->mapper->pieceSet($version);
        $before = $this->takeBack->state([$stored]);
        $this->mapper->storePieces(PieceSet::of($pieces, $version->sizes), $version, $stored);
        $this->entities->flush();

        return $this->generateUrl('pieces_undo', ['id' => $version->id, 'key' => $this->takeBack->keep($before, [$stored])]);
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

    private function own(Account $account, string $id): VersionRecord
    {
        $record = $this->patterns->versionOf($account, $id);

        return null !== $record && null === $record->removedAt ? $record : throw $this->createNotFoundException();
    }
}

<?php

declare(strict_types=1);

namespace Octavum\Room\Pattern;

use Octavum\Account\Mine;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Piece\Piece;
use Octavum\Core\Piece\Shape;
use Octavum\Core\Svg\Drawing;
use Octavum\Core\Svg\SvgReader;
use Octavum\Core\Workroom\Settings;
use Octavum\Document\Codec\OutlineCodec;
use Octavum\Input\Entry;
use Octavum\Store\Pattern\VersionRecord;
use Octavum\Strip\PieceDrawing;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\File\UploadedFile;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** Pieces out of an SVG file. */
final class PieceImportController extends AbstractController
{
    public function __construct(
        private readonly VersionPieces $pieces,
        private readonly PieceImport $import,
        private readonly OutlineCodec $outlines,
    ) {
    }

    /** Step one reads the file and shows what is in it; step two takes what is ticked, at the scale confirmed. */
    #[Route('/versions/{id}/pieces/import', name: 'pieces_import', methods: ['GET', 'POST'])]
    public function import(#[Mine] VersionRecord $version, Request $request, Entry $entry, Settings $settings): Response
    {
        $drawing = null;
        $found = [];
        if ($entry->boolean('taking')) {
            $found = $this->import->outlines($entry);
            $pieces = $this->import->taken($entry, $found, $version, $settings->system);
            if ($entry->isSound()) {
                $says = '{count, plural, one {One piece is} other {# pieces are}} taken from the file.';
                $this->pieces->join($version, $pieces, $says);

                return $this->redirectToRoute('pieces', ['id' => $version->id]);
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
                'largest' => $this->import->largest($found),
                'values' => $entry->typed,
                'faults' => $entry->faults(),
            ],
            new Response(status: $entry->status()),
        );
    }
}

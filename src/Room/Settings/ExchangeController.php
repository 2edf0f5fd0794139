<?php

declare(strict_types=1);

namespace Octavum\Room\Settings;

use Octavum\Account\Account;
use Octavum\Core\Measure\Sentence;
use Octavum\Document\Json\Refused;
use Octavum\Document\WorkroomReader;
use Octavum\Document\WorkroomWriter;
use Octavum\Files\PictureArchive;
use Octavum\Input\Entry;
use Octavum\Page\Toast;
use Octavum\Store\Workroom\Replaced;
use Octavum\Store\Workroom\Workrooms;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\BinaryFileResponse;
use Symfony\Component\HttpFoundation\File\UploadedFile;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpFoundation\ResponseHeaderBag;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** The whole workroom as one file, out and in. */
final class ExchangeController extends AbstractController
{
    public function __construct(
        private readonly Workrooms $workrooms,
        private readonly WorkroomReader $reader,
        private readonly Toast $toast,
    ) {
    }

    #[Route('/settings/export', name: 'export', methods: ['GET'])]
    public function export(WorkroomWriter $writer, #[CurrentUser] Account $account): Response
    {
        return new Response(
            $writer->write($this->workrooms->load($account)),
            headers: [
                'Content-Type' => 'application/json',
                'Content-Disposition' => 'attachment; filename="octavum-workroom.json"',
            ],
        );
    }

    /** The same with the pictures and files, in one archive. */
    #[Route('/settings/export/pictures', name: 'export_pictures', methods: ['GET'])]
    public function exportPictures(WorkroomWriter $writer, PictureArchive $archive, #[CurrentUser] Account $account): Response
    {
        $path = $archive->write($account, $writer->write($this->workrooms->load($account)));

        return (new BinaryFileResponse($path, headers: ['Content-Type' => 'application/x-tar'], public: false))
            ->setContentDisposition(ResponseHeaderBag::DISPOSITION_ATTACHMENT, 'octavum-workroom.tar')
            ->deleteFileAfterSend();
    }

    #[Route('/settings/import', name: 'import', methods: ['POST'])]
    public function import(
        Request $request,
        SettingsPage $page,
        PictureArchive $archive,
        Entry $entry,
        #[CurrentUser] Account $account,
    ): Response {
        $file = $request->files->get('document');
        if (!$file instanceof UploadedFile) {
            $entry->fault('document', new Sentence('Choose a file first: one that was exported from here ends in .json or .tar.'));
        } elseif (!$file->isValid() || ($file->getSize() > WorkroomReader::MOST_BYTES && !PictureArchive::isOne($file->getPathname()))) {
            $entry->fault('document', new Sentence('This file is larger than 20 MB, or did not arrive whole. Nothing has been changed.'));
        }
        if (!$entry->isSound() || !($file instanceof UploadedFile)) {
            return $page->show($account, $entry);
        }
        $files = [];
        try {
            [$document, $files] = PictureArchive::isOne($file->getPathname())
                ? $archive->read($file->getPathname(), $account)
                : [$file->getContent(), []];
            $workroom = $this->reader->read($document, bounded: true);
            $kept = $this->workrooms->replace($account, $workroom, $entry->boolean('replace'));
        } catch (Refused $refused) {
            $archive->discard($files);

            return $page->show($account, $entry, $refused->faults);
        }
        $this->toast->say(
            0 === $workroom->unjudged
                ? 'The workroom “{name}” is imported.'
                : 'The workroom “{name}” is imported. {count, plural, one {One lay was} other {# lays were}} not judged yet: open each on the table and save it, then it counts.',
            ['name' => $workroom->name, 'count' => (string) $workroom->unjudged],
            null === $kept ? null : $this->generateUrl('import_undo', ['key' => $kept]),
        );

        return $this->redirectToRoute('season');
    }

    /** Puts back what an import has replaced; what is there now is kept in turn, with all that was written since. */
    #[Route('/settings/import/undo/{key}', name: 'import_undo', methods: ['POST'])]
    public function undo(string $key, Replaced $replaced, #[CurrentUser] Account $account): Response
    {
        $workroom = $replaced->workroom($account, $key) ?? throw $this->createNotFoundException();
        $kept = $this->workrooms->replace($account, $this->reader->read($workroom, own: true));
        // only now that it stands in its place again
        $replaced->forget($account, $key);
        $this->toast->say(
            'The workroom is as it was before the import.',
            [],
            null === $kept ? null : $this->generateUrl('import_undo', ['key' => $kept]),
        );

        return $this->redirectToRoute('season');
    }
}

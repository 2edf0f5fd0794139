<?php

declare(strict_types=1);

namespace Octavum\Console;

use Octavum\Account\AccountRepository;
use Octavum\Document\Json\Refused;
use Octavum\Document\WorkroomWriter;
use Octavum\Files\PictureArchive;
use Octavum\Store\Workroom\Workrooms;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Attribute\Option;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Style\SymfonyStyle;
use Symfony\Component\Filesystem\Filesystem;

#[AsCommand('octavum:export', 'Prints an account’s workroom as a document')]
final readonly class ExportCommand
{
    public function __construct(
        private WorkroomWriter $writer,
        private Workrooms $workrooms,
        private AccountRepository $accounts,
        private DocumentFile $documents,
        private PictureArchive $archive,
        private Filesystem $disk,
    ) {
    }

    public function __invoke(
        SymfonyStyle $io,
        #[Option('E-mail address of the account; the demo workroom when left out')] ?string $account = null,
        #[Option('Write an archive with the pictures to this path, instead of printing the document')] ?string $pictures = null,
    ): int {
        try {
            $owner = $this->accounts->named($account);
        } catch (Refused $refused) {
            $this->documents->explain($refused, $io);

            return Command::INVALID;
        }
        $document = $this->writer->write($this->workrooms->load($owner));
        if (null !== $pictures) {
            $this->disk->rename($this->archive->write($owner, $document), $pictures, true);
        } else {
            $io->write($document, false, SymfonyStyle::OUTPUT_RAW);
        }

        return Command::SUCCESS;
    }
}

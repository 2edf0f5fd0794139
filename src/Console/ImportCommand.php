<?php

declare(strict_types=1);

namespace Octavum\Console;

use Octavum\Account\AccountRepository;
use Octavum\Document\Json\Refused;
use Octavum\Document\WorkroomReader;
use Octavum\Files\PictureArchive;
use Octavum\Store\Workroom\Workrooms;
use Symfony\Component\Console\Attribute\Argument;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Attribute\Option;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Style\SymfonyStyle;

#[AsCommand('octavum:import', 'Puts a document into an account’s workroom, or says everything that is wrong with it')]
final readonly class ImportCommand
{
    public function __construct(
        private WorkroomReader $reader,
        private Workrooms $workrooms,
        private AccountRepository $accounts,
        private DocumentFile $documents,
        private PictureArchive $archive,
    ) {
    }

    public function __invoke(
        SymfonyStyle $io,
        #[Argument('An octavum-workroom document, or an archive with its pictures')] string $file,
        #[Option('E-mail address of the account')] string $account = '',
        #[Option('Take the place of what is in the workroom')] bool $replace = false,
    ): int {
        $files = [];
        try {
            $owner = $this->accounts->named($account);
            [$document, $files] = is_file($file) && PictureArchive::isOne($file)
                ? $this->archive->read($file, $owner)
                : [$this->documents->contents($file), []];
            $workroom = $this->reader->read($document);
            if (!$replace && !$this->workrooms->isEmpty($owner)) {
                throw Refused::because(
                    'There is something in this workroom; say --replace to put the document in its place. Nothing has been changed.',
                );
            }
            $this->workrooms->replace($owner, $workroom, $replace);
        } catch (Refused $refused) {
            $this->archive->discard($files);
            $this->documents->explain($refused, $io);

            return Command::INVALID;
        }
        $io->writeln(
            \sprintf(
                'Imported: %d cloths, %d patterns, %d seasons, %d projects.',
                \count($workroom->cloths),
                \count($workroom->patterns),
                \count($workroom->seasons),
                \count($workroom->projects),
            ),
        );

        return Command::SUCCESS;
    }
}

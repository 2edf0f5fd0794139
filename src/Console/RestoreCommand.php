<?php

declare(strict_types=1);

namespace Octavum\Console;

use Octavum\Backup\Backups;
use Octavum\Backup\Damaged;
use Symfony\Component\Console\Attribute\Argument;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Attribute\Option;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Style\SymfonyStyle;

#[AsCommand('octavum:restore', 'Says what an archive holds; with --replace it takes the place of all data, which is kept beside it')]
final readonly class RestoreCommand
{
    public function __construct(private Backups $backups)
    {
    }

    public function __invoke(
        SymfonyStyle $io,
        #[Argument('An archive that bin/octavum backup has made')] string $archive,
        #[Option('Put it in the place of what is there')] bool $replace = false,
    ): int {
        try {
            $io->writeln('The archive was '.$this->backups->look($archive)->sentence().'.', SymfonyStyle::OUTPUT_RAW);
            if (!$replace) {
                $io->writeln('Nothing has been changed. Stop Octavum, and say --replace to put it in the place of what is there.');

                return Command::SUCCESS;
            }
            $io->writeln('It is in its place. What was there is kept in '.$this->backups->restore($archive).'.', SymfonyStyle::OUTPUT_RAW);
            $io->writeln('Start Octavum again: everybody signs in as before the backup.');
        } catch (Damaged $fault) {
            $io->getErrorStyle()->writeln('Nothing has been changed. '.$fault->getMessage(), SymfonyStyle::OUTPUT_RAW);

            return Command::FAILURE;
        }

        return Command::SUCCESS;
    }
}

<?php

declare(strict_types=1);

namespace Octavum\Console;

use Octavum\Backup\Backups;
use Psr\Clock\ClockInterface;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Attribute\Option;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Style\SymfonyStyle;
use Symfony\Component\Filesystem\Filesystem;

#[AsCommand('octavum:backup', 'Makes an archive of all data while people go on writing, and reads it back before it is called good')]
final readonly class BackupCommand
{
    public function __construct(private Backups $backups, private Filesystem $disk, private ClockInterface $clock)
    {
    }

    public function __invoke(
        SymfonyStyle $io,
        #[Option('The folder it is put into; the folder backups among the data when left out')] ?string $to = null,
        #[Option('Only when the last good one is a day old; older ones are thinned out')] bool $daily = false,
    ): int {
        $folder = $to ?? $this->backups->folder();
        if ($daily && ($this->backups->last()[0] ?? null) > $this->clock->now()->modify('-24 hours')) {
            return Command::SUCCESS;
        }
        try {
            $this->disk->mkdir($folder, 0o700);
            [$path, $contents] = $this->backups->make($folder);
        } catch (\RuntimeException $fault) {
            $io->getErrorStyle()->writeln('No backup was made: '.$fault->getMessage(), SymfonyStyle::OUTPUT_RAW);

            return Command::FAILURE;
        }
        if ($daily) {
            $this->backups->thin($folder);
        }
        $io->writeln($path.', '.$contents->sentence().'.', SymfonyStyle::OUTPUT_RAW);

        return Command::SUCCESS;
    }
}

<?php

declare(strict_types=1);

namespace Octavum\Console;

use Octavum\Store\Workroom\Purge;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Style\SymfonyStyle;

#[AsCommand('octavum:purge', 'Ends what was taken out a year ago and is named by nothing any more')]
final readonly class PurgeCommand
{
    public function __construct(private Purge $purge)
    {
    }

    public function __invoke(SymfonyStyle $io): int
    {
        $purged = $this->purge->purge();
        if ($purged > 0) {
            $io->writeln(\sprintf('%d that were taken out a year ago are gone.', $purged));
        }

        return Command::SUCCESS;
    }
}

<?php

declare(strict_types=1);

namespace Octavum\Console;

use Octavum\Account\AccountRepository;
use Octavum\Document\Refused;
use Octavum\Document\WorkroomWriter;
use Octavum\Store\Workrooms;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Attribute\Option;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Style\SymfonyStyle;

#[AsCommand('octavum:export', 'Prints an account’s workroom as a document')]
final readonly class ExportCommand
{
    public function __construct(
        private WorkroomWriter $writer,
        private Workrooms $workrooms,
        private AccountRepository $accounts,
        private DocumentFile $documents,
    ) {
    }

    public function __invoke(
        SymfonyStyle $io,
        #[Option('E-mail address of the account; the demo workroom when left out')] ?string $account = null,
    ): int {
        try {
            $owner = $this->accounts->named($account);
        } catch (Refused $refused) {
            $this->documents->explain($refused, $io);

            return Command::INVALID;
        }
        $io->write($this->writer->write($this->workrooms->load($owner)), false, SymfonyStyle::OUTPUT_RAW);

        return Command::SUCCESS;
    }
}

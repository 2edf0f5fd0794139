<?php

declare(strict_types=1);

namespace Octavum\Console;

use Doctrine\ORM\EntityManagerInterface;
use Octavum\Account\Account;
use Octavum\Account\AccountRepository;
use Octavum\Exchange\WorkroomReader;
use Octavum\Exchange\Workrooms;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Style\SymfonyStyle;
use Symfony\Component\DependencyInjection\Attribute\Autowire;

#[AsCommand('octavum:demo', 'Loads the demo workroom into a database that has no account yet')]
final readonly class DemoCommand
{
    public function __construct(
        private WorkroomReader $reader,
        private Workrooms $workrooms,
        private AccountRepository $accounts,
        private EntityManagerInterface $entities,
        #[Autowire('%kernel.project_dir%/fixtures/demo-workroom.json')] private string $fixture,
    ) {
    }

    public function __invoke(SymfonyStyle $io): int
    {
        if (null !== $this->accounts->findOneBy([])) {
            return Command::SUCCESS;
        }
        $account = new Account('ottoline@demo.invalid', 'Ottoline Varga-Brandt');
        $account->demo = true;
        $this->entities->persist($account);
        $this->entities->flush();
        $this->workrooms->replace($account, $this->reader->read((string) file_get_contents($this->fixture)));
        $io->writeln('The demo workroom is loaded.');

        return Command::SUCCESS;
    }
}

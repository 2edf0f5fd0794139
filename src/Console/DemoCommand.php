<?php

declare(strict_types=1);

namespace Octavum\Console;

use Doctrine\ORM\EntityManagerInterface;
use Octavum\Account\Account;
use Octavum\Account\AccountRepository;
use Octavum\Core\Workroom\Settings;
use Octavum\Core\Workroom\Workroom;
use Octavum\Document\WorkroomReader;
use Octavum\Store\Workroom\Replaced;
use Octavum\Store\Workroom\Workrooms;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Attribute\Option;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Style\SymfonyStyle;
use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Component\PasswordHasher\Hasher\UserPasswordHasherInterface;

/** Into a database without accounts the demo that everyone opens; or an account of one's own, as it would be at the start. */
#[AsCommand('octavum:demo', 'Loads the demo workroom into a database that has no account yet, or into an account of its own')]
final readonly class DemoCommand
{
    public function __construct(
        private WorkroomReader $reader,
        private Workrooms $workrooms,
        private Replaced $replaced,
        private AccountRepository $accounts,
        private EntityManagerInterface $entities,
        private UserPasswordHasherInterface $hasher,
        #[Autowire('%kernel.project_dir%/fixtures/demo-workroom.json')] private string $fixture,
    ) {
    }

    public function __invoke(
        SymfonyStyle $io,
        #[Option('E-mail address of an account: made when it is not there, and all it holds is replaced')] ?string $account = null,
        #[Option('Its password, when it is made')] string $password = '',
        #[Option('Leave it empty')] bool $empty = false,
    ): int {
        if (null === $account) {
            if (null === $this->accounts->findOneBy([])) {
                $demo = new Account('ottoline@demo.invalid', 'Ottoline Varga-Brandt');
                $demo->demo = true;
                $this->fill($demo);
                $io->writeln('The demo workroom is loaded.');
            }

            return Command::SUCCESS;
        }
        $own = $this->accounts->findOneBy(['email' => $account]);
        if (null === $own) {
            $own = new Account($account, 'Maud');
            $own->password = $this->hasher->hashPassword($own, $password);
        }
        $this->fill($own, $empty ? new Workroom('Maud', new Settings()) : null);
        $io->writeln(\sprintf('%s is as at the start.', $account));

        return Command::SUCCESS;
    }

    private function fill(Account $account, ?Workroom $workroom = null): void
    {
        $this->entities->persist($account);
        $this->entities->flush();
        $this->workrooms->replace($account, $workroom ?? $this->reader->read((string) file_get_contents($this->fixture)));
        $this->replaced->forget($account);
        $account->filters = [];
        $this->entities->flush();
    }
}

<?php

declare(strict_types=1);

namespace Octavum\Console;

use Octavum\Account\AccountRepository;
use Octavum\Account\DialectListener;
use Octavum\Room\Table\LaySearch;
use Octavum\Work\Jobs;
use Symfony\Component\Console\Attribute\Argument;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Attribute\Option;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Security\Core\Authentication\Token\Storage\TokenStorageInterface;
use Symfony\Component\Security\Core\Authentication\Token\UsernamePasswordToken;

#[AsCommand('octavum:lay-job', 'Lays by machine what a page has asked for; begun by the page itself', hidden: true)]
final readonly class LayJobCommand
{
    public function __construct(
        private AccountRepository $accounts,
        private TokenStorageInterface $tokens,
        private DialectListener $dialect,
        private Jobs $jobs,
        private LaySearch $machine,
    ) {
    }

    public function __invoke(#[Argument('Of the page')] string $job, #[Option('E-mail address of the account')] string $account = ''): int
    {
        $owner = $this->accounts->named($account);
        $this->tokens->setToken(new UsernamePasswordToken($owner, 'main', $owner->getRoles()));
        $this->dialect->speak();
        $this->jobs->run(
            $owner,
            $job,
            fn (string $asked, \Closure $say, \Closure $goOn) => $this->machine->run($owner, $asked, $say, $goOn),
        );

        return Command::SUCCESS;
    }
}

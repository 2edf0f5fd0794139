<?php

declare(strict_types=1);

namespace Octavum\Console;

use Octavum\Account\AccountRepository;
use Octavum\Store\Plan\LaySettler;
use Octavum\Work\Jobs;
use Symfony\Component\Console\Attribute\Argument;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Attribute\Option;
use Symfony\Component\Console\Command\Command;

#[AsCommand('octavum:settle-lays', 'Lays the pieces of short projects once; begun by the pages themselves', hidden: true)]
final readonly class SettleLaysCommand
{
    public function __construct(private AccountRepository $accounts, private Jobs $jobs, private LaySettler $settler)
    {
    }

    public function __invoke(#[Argument('Of the page')] string $job, #[Option('E-mail address of the account')] string $account = ''): int
    {
        $owner = $this->accounts->named($account);
        $this->jobs->run($owner, $job, function (string $asked, \Closure $say, \Closure $goOn) use ($owner): void {
            $this->settler->settle($owner, $goOn);
        });

        return Command::SUCCESS;
    }
}

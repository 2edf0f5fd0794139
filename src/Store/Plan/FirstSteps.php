<?php

declare(strict_types=1);

namespace Octavum\Store\Plan;

use Doctrine\DBAL\Connection;
use Octavum\Account\Account;

/** Which of the first four things a new account has entered. */
final readonly class FirstSteps
{
    public function __construct(private Connection $connection)
    {
    }

    /** @return array<string, bool> cloth, pattern, person, project; empty once all are there, or when the account has closed them */
    public function find(Account $account): array
    {
        if ($account->firstStepsClosed) {
            return [];
        }
        $there = static fn (string $from): string => 'EXISTS (SELECT 1 FROM '.$from.'account_id = :account)';
        /** @var array<string, int> $steps */
        $steps = $this->connection->fetchAssociative(
            'SELECT '.$there('cloth WHERE ').' AS cloth, '.$there('pattern WHERE ').' AS pattern, '
            .$there('person WHERE ').' AS person, '.$there('project p JOIN season s ON s.id = p.season_id WHERE s.').' AS project',
            ['account' => $account->id],
        );

        return \in_array(0, $steps, true) ? array_map(static fn (int $there): bool => 1 === $there, $steps) : [];
    }
}

<?php

declare(strict_types=1);

namespace Octavum\Database;

use Doctrine\DBAL\Connection;

/** Rows of an account whose key is a ULID, of which only the newest few are kept. */
final readonly class Newest
{
    public function __construct(private Connection $connection)
    {
    }

    public function keepOnly(int $most, string $table, string $account): void
    {
        $newest = \sprintf('SELECT "key" FROM %s WHERE account_id = :account ORDER BY "key" DESC LIMIT %d', $table, $most);
        $this->connection->executeStatement(
            \sprintf('DELETE FROM %s WHERE account_id = :account AND "key" NOT IN (%s)', $table, $newest),
            ['account' => $account],
        );
    }
}

<?php

declare(strict_types=1);

namespace Octavum\Store\Change;

use Doctrine\DBAL\Connection;

/**
 * Stands for all that the pages of an account show: another after each request that may have changed something, each lay made in the
 * background, an import and a mended row. Drawn by chance, not counted: a backup that is restored brings back the state of that day.
 */
final readonly class PageState
{
    public function __construct(private Connection $connection)
    {
    }

    public function renew(string $account): void
    {
        $this->connection->executeStatement('UPDATE account SET page_state = lower(hex(randomblob(8))) WHERE id = ?', [$account]);
    }
}

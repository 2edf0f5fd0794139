<?php

declare(strict_types=1);

namespace Octavum\Database;

use Doctrine\Bundle\DoctrineBundle\Attribute\AsMiddleware;
use Doctrine\DBAL\Driver;
use Doctrine\DBAL\Driver\Connection;
use Doctrine\DBAL\Driver\Middleware;
use Doctrine\DBAL\Driver\Middleware\AbstractConnectionMiddleware;
use Doctrine\DBAL\Driver\Middleware\AbstractDriverMiddleware;

/**
 * Opens SQLite the way several people at once need it: write-ahead log, foreign keys kept, patience when busy. A transaction
 * takes the right to write when it begins: one that reads first and then finds that another has written since would be
 * refused at once, whatever its patience.
 */
#[AsMiddleware(priority: 200)]
final class Sqlite implements Middleware
{
    public function wrap(Driver $driver): Driver
    {
        return new class($driver) extends AbstractDriverMiddleware {
            public function connect(#[\SensitiveParameter] array $params): Connection
            {
                $connection = parent::connect($params);
                foreach (['busy_timeout = 15000', 'journal_mode = WAL', 'synchronous = NORMAL', 'foreign_keys = ON'] as $pragma) {
                    $connection->exec('PRAGMA '.$pragma);
                }

                return new class($connection) extends AbstractConnectionMiddleware {
                    public function beginTransaction(): void
                    {
                        parent::beginTransaction();
                        // a write that changes nothing, since PDO cannot say BEGIN IMMEDIATE
                        $this->exec('PRAGMA user_version = 0');
                    }
                };
            }
        };
    }
}

<?php

declare(strict_types=1);

namespace Octavum\Database;

use Doctrine\Bundle\DoctrineBundle\Attribute\AsMiddleware;
use Doctrine\DBAL\Driver;
use Doctrine\DBAL\Driver\Connection;
use Doctrine\DBAL\Driver\Exception;
use Doctrine\DBAL\Driver\Middleware;
use Doctrine\DBAL\Driver\Middleware\AbstractConnectionMiddleware;
use Doctrine\DBAL\Driver\Middleware\AbstractDriverMiddleware;
use Doctrine\DBAL\Driver\Middleware\AbstractStatementMiddleware;
use Doctrine\DBAL\Driver\Statement;
use Doctrine\DBAL\ParameterType;
use Octavum\Document\Json\Plain;

/**
 * Opens SQLite the way several people at once need it: write-ahead log, foreign keys kept, patience when busy. A transaction
 * takes the right to write when it begins: one that reads first and then finds that another has written since would be
 * refused at once, whatever its patience. What is acknowledged is on the disk, also after a power cut (synchronous FULL),
 * and no text is stored that another program could not read.
 */
#[AsMiddleware(priority: 200)]
final class Sqlite implements Middleware
{
    public function wrap(Driver $driver): Driver
    {
        return new class($driver) extends AbstractDriverMiddleware {
            public function connect(#[\SensitiveParameter] array $params): Connection
            {
                $connection = $this->opened(
                    $params['path'] ?? null,
                    fn (?string $path): Connection => parent::connect(null === $path ? $params : ['path' => $path] + $params),
                );
                foreach (['busy_timeout = 15000', 'synchronous = FULL', 'foreign_keys = ON'] as $pragma) {
                    $connection->exec('PRAGMA '.$pragma);
                }

                return new class($connection) extends AbstractConnectionMiddleware {
                    public function beginTransaction(): void
                    {
                        parent::beginTransaction();
                        // a write that changes nothing, since PDO cannot say BEGIN IMMEDIATE
                        $this->exec('PRAGMA user_version = 0');
                    }

                    public function prepare(string $sql): Statement
                    {
                        return new class(parent::prepare($sql)) extends AbstractStatementMiddleware {
                            public function bindValue(int|string $param, mixed $value, ParameterType $type = ParameterType::STRING): void
                            {
                                if (ParameterType::STRING === $type && \is_string($value)) {
                                    Plain::guard($value);
                                }
                                parent::bindValue($param, $value, $type);
                            }
                        };
                    }
                };
            }

            /**
             * Even to read, the write-ahead log asks for a little room on the disk. When there is none, and nothing waits in the
             * log, the file is read as it lies there.
             *
             * @param \Closure(?string): Connection $connect to another path than the usual one
             */
            private function opened(?string $path, \Closure $connect): Connection
            {
                try {
                    $connection = $connect(null);
                    $connection->exec('PRAGMA journal_mode = WAL');
                    $connection->query('SELECT 1 FROM sqlite_master');

                    return $connection;
                } catch (Exception $unwritable) {
                    if (null === $path || !is_file($path) || 0 < (int) @filesize($path.'-wal')) {
                        throw $unwritable;
                    }

                    return $connect('file:'.str_replace('%2F', '/', rawurlencode($path)).'?immutable=1');
                }
            }
        };
    }
}

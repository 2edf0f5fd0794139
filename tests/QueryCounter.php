<?php

declare(strict_types=1);

namespace Octavum\Tests;

use Doctrine\Bundle\DoctrineBundle\Attribute\AsMiddleware;
use Doctrine\DBAL\Driver;
use Doctrine\DBAL\Driver\Connection;
use Doctrine\DBAL\Driver\Middleware;
use Doctrine\DBAL\Driver\Middleware\AbstractConnectionMiddleware;
use Doctrine\DBAL\Driver\Middleware\AbstractDriverMiddleware;
use Doctrine\DBAL\Driver\Result;
use Doctrine\DBAL\Driver\Statement;

/** Counts the statements sent to the database. */
#[AsMiddleware(priority: -100)]
final class QueryCounter implements Middleware
{
    public static int $sent = 0;

    public static function during(\Closure $do): int
    {
        $before = self::$sent;
        $do();

        return self::$sent - $before;
    }

    public function wrap(Driver $driver): Driver
    {
        return new class($driver) extends AbstractDriverMiddleware {
            public function connect(#[\SensitiveParameter] array $params): Connection
            {
                return new class(parent::connect($params)) extends AbstractConnectionMiddleware {
                    public function prepare(string $sql): Statement
                    {
                        ++QueryCounter::$sent;

                        return parent::prepare($sql);
                    }

                    public function query(string $sql): Result
                    {
                        ++QueryCounter::$sent;

                        return parent::query($sql);
                    }
                };
            }
        };
    }
}

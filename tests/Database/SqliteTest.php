<?php

declare(strict_types=1);

namespace Octavum\Tests\Database;

use Doctrine\DBAL\Connection as Database;
use Doctrine\DBAL\Driver;
use Doctrine\DBAL\Driver\AbstractException;
use Doctrine\DBAL\Driver\Connection;
use Doctrine\ORM\EntityManagerInterface;
use Octavum\Account\Account;
use Octavum\Database\Sqlite;
use Octavum\Tests\PageTestCase;
use PHPUnit\Framework\Attributes\DataProvider;

final class SqliteTest extends PageTestCase
{
    public function testWhatIsAcknowledgedIsOnTheDisk(): void
    {
        $connection = $this->service(Database::class);
        self::assertSame(
            [2, 'wal', 1],
            [
                $connection->fetchOne('PRAGMA synchronous'),
                $connection->fetchOne('PRAGMA journal_mode'),
                $connection->fetchOne('PRAGMA foreign_keys'),
            ],
        );
    }

    public function testWhereNothingCanBeWrittenTheFileIsReadAsItLiesThere(): void
    {
        $file = (string) tempnam(sys_get_temp_dir(), 'octavum');
        $paths = [];
        $driver = self::createStub(Driver::class);
        $driver->method('connect')->willReturnCallback(static function (array $params) use (&$paths): Connection {
            $paths[] = $params['path'];
            $connection = self::createStub(Connection::class);
            $connection
                ->method('exec')
                ->willReturnCallback(
                    static fn (string $sql): int => 1 < \count($paths) || !str_contains($sql, 'WAL')
                        ? 0
                        : throw new class('disk is full') extends AbstractException {},
                );

            return $connection;
        });
        (new Sqlite())->wrap($driver)->connect(['path' => $file]);
        self::assertSame([$file, 'file:'.$file.'?immutable=1'], $paths);
        $paths = [];
        file_put_contents($file.'-wal', 'what waits in the log');
        $this->expectExceptionMessage('disk is full');
        (new Sqlite())->wrap($driver)->connect(['path' => $file]);
    }

    /** @param \Closure(Account): mixed $change */
    #[DataProvider('broken')]
    public function testATextThatBreaksOtherProgramsIsNeverStored(\Closure $change): void
    {
        $change($this->demo());
        $this->expectException(\UnexpectedValueException::class);
        $this->expectExceptionMessage('is never stored');
        $this->service(EntityManagerInterface::class)->flush();
    }

    /** @return iterable<string, array{\Closure(Account): mixed}> */
    public static function broken(): iterable
    {
        yield 'half a character' => [static fn (Account $account): string => ($account->name = "\xa2 zip")];
        yield 'a control character' => [static fn (Account $account): string => ($account->name = "zip\x1b")];
        yield 'one behind an escape of JSON' => [static fn (Account $account): array => ($account->filters = ['a' => "words=\0"])];
        yield 'one in a name within JSON' => [static fn (Account $account): array => ($account->filters = ["a\x01" => ''])];
    }
}

<?php

declare(strict_types=1);

namespace Octavum\Tests\Database;

use Doctrine\DBAL\Connection;
use Doctrine\ORM\EntityManagerInterface;
use Octavum\Account\Account;
use Octavum\Tests\PageTestCase;
use PHPUnit\Framework\Attributes\DataProvider;

final class SqliteTest extends PageTestCase
{
    public function testWhatIsAcknowledgedIsOnTheDisk(): void
    {
        $connection = $this->service(Connection::class);
        self::assertSame([2, 'wal', 1], [$connection->fetchOne('PRAGMA synchronous'), $connection->fetchOne('PRAGMA journal_mode'), $connection->fetchOne('PRAGMA foreign_keys')]);
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
        yield 'half a character' => [static fn (Account $account): string => $account->name = "\xa2 zip"];
        yield 'a control character' => [static fn (Account $account): string => $account->name = "zip\x1b"];
        yield 'one behind an escape of JSON' => [static fn (Account $account): array => $account->filters = ['a' => "words=\0"]];
        yield 'one in a name within JSON' => [static fn (Account $account): array => $account->filters = ["a\x01" => '']];
    }
}

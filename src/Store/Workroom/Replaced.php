<?php

declare(strict_types=1);

namespace Octavum\Store\Workroom;

use Doctrine\DBAL\Connection;
use Octavum\Account\Account;
use Octavum\Database\Newest;
use Symfony\Component\Uid\Ulid;

/** The last workrooms of an account that others were put in the place of, as exchange documents. */
final readonly class Replaced
{
    private const MOST = 3;

    public function __construct(private Connection $connection, private Newest $newest)
    {
    }

    /** @return string the key by which it is put back */
    public function keep(Account $account, string $workroom): string
    {
        $key = (string) new Ulid();
        $this->connection->insert('replaced', ['"key"' => $key, 'account_id' => $account->id, 'workroom' => $workroom]);
        $this->newest->keepOnly(self::MOST, 'replaced', $account->id);

        return $key;
    }

    /** @return array<string, \DateTimeImmutable> key → when it was replaced, the last first */
    public function find(Account $account): array
    {
        $kept = [];
        $keys = 'SELECT "key" FROM replaced WHERE account_id = ? ORDER BY "key" DESC';
        foreach ($this->connection->fetchFirstColumn($keys, [$account->id]) as $key) {
            $kept[\is_string($key) ? $key : ''] = Ulid::fromString(\is_string($key) ? $key : '')->getDateTime();
        }

        return $kept;
    }

    public function workroom(Account $account, string $key): ?string
    {
        $workroom = $this->connection->fetchOne('SELECT workroom FROM replaced WHERE "key" = ? AND account_id = ?', [$key, $account->id]);

        return \is_string($workroom) ? $workroom : null;
    }

    /** @param ?string $key one of them; all when left out */
    public function forget(Account $account, ?string $key = null): void
    {
        $this->connection->delete('replaced', ['account_id' => $account->id] + (null === $key ? [] : ['"key"' => $key]));
    }
}

<?php

declare(strict_types=1);

namespace Octavum\Tools\Trial;

/** What the server's database holds of one account, read past the server. */
final readonly class Stored
{
    private function __construct(private string $file, private string $account)
    {
    }

    public static function ofNewestAccount(Server $server): self
    {
        $file = $server->data.'/octavum.sqlite';

        return new self($file, (new self($file, ''))->value('SELECT MAX(id) FROM account'));
    }

    public function rows(): StoredRows
    {
        return StoredRows::read($this->open(), $this->account);
    }

    /** The key of the newest change that can be undone, or was; empty for none. */
    public function newestUndo(): string
    {
        return $this->value('SELECT MAX("key") FROM undo WHERE account_id = ?', $this->account);
    }

    public function isUndone(string $key): bool
    {
        return '1' === $this->value('SELECT undone FROM undo WHERE "key" = ?', $key);
    }

    private function value(string $query, string ...$with): string
    {
        $found = $this->open()->prepare($query);
        $found->execute($with);
        $value = $found->fetchColumn();

        return \is_scalar($value) ? (string) $value : '';
    }

    /** Anew each time: a connection must not be carried into another process. */
    private function open(): \PDO
    {
        return new \PDO('sqlite:'.$this->file, options: [\PDO::ATTR_TIMEOUT => 20]);
    }
}

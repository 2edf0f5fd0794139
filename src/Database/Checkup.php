<?php

declare(strict_types=1);

namespace Octavum\Database;

use Doctrine\DBAL\Connection;
use Octavum\Document\Json\Plain;

/** Looks through every stored text, and what SQLite itself says of its file. */
final readonly class Checkup
{
    /** Bytes, not texts. */
    private const BYTES = ['visit.data', 'undo.changes'];

    public function __construct(private Connection $connection)
    {
    }

    /** @return list<string> a sentence for each fault of the file, none when it is whole */
    public function file(): array
    {
        $faults = [];
        foreach ($this->connection->fetchFirstColumn('PRAGMA integrity_check') as $said) {
            if ('ok' !== $said) {
                $faults[] = 'The database is damaged: '.(\is_string($said) ? $said : '?').'.';
            }
        }
        foreach ($this->connection->fetchAllAssociative('PRAGMA foreign_key_check') as $row) {
            $faults[] = \sprintf(
                'A row of %s refers to one of %s that is not there.',
                self::text($row['table'] ?? ''),
                self::text($row['parent'] ?? ''),
            );
        }

        return $faults;
    }

    /**
     * @param bool $mend take out what cannot be kept; what is left is what people would have seen anyway
     *
     * @return list<string> a sentence for each value that no other program could read
     */
    public function texts(bool $mend): array
    {
        $faults = [];
        $tables = "SELECT name FROM sqlite_master WHERE type = 'table' AND name NOT LIKE 'sqlite_%'";
        foreach ($this->connection->fetchFirstColumn($tables) as $table) {
            $table = self::text($table);
            foreach ($this->connection->executeQuery('SELECT rowid AS _row, * FROM "'.$table.'"')->iterateAssociative() as $row) {
                foreach ($row as $column => $value) {
                    if (!\is_string($value) || \in_array($table.'.'.$column, self::BYTES, true)) {
                        continue;
                    }
                    $plain = self::plain($value);
                    if ($plain === $value) {
                        continue;
                    }
                    $faults[] = \sprintf(
                        '%s %s, %s: bytes that are no text%s.',
                        $table,
                        self::text($row['id'] ?? $row['_row']),
                        $column,
                        $mend ? ', taken out' : '',
                    );
                    if ($mend) {
                        $this->connection->executeStatement('UPDATE "'.$table.'" SET "'.$column.'" = ? WHERE rowid = ?', [
                            $plain,
                            $row['_row'],
                        ]);
                    }
                }
            }
        }

        return $faults;
    }

    /** As it can be kept. */
    private static function plain(string $value): string
    {
        $isJson = 1 === preg_match('/^[\[{].*[\]}]$/sD', $value);
        $read = $isJson ? json_decode($value, true, 512, \JSON_INVALID_UTF8_SUBSTITUTE) : null;
        if (\is_array($read)) {
            $plain = Plain::all($read);

            return $plain === $read && Plain::is($value)
                ? $value
                : json_encode($plain, \JSON_THROW_ON_ERROR | \JSON_PRESERVE_ZERO_FRACTION);
        }

        return Plain::is($value) ? $value : Plain::of($value);
    }

    private static function text(mixed $value): string
    {
        return \is_scalar($value) ? (string) $value : '';
    }
}

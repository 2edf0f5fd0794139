<?php

declare(strict_types=1);

namespace Octavum\Store\Workroom;

use Doctrine\DBAL\Connection;
use Doctrine\DBAL\ParameterType;
use Doctrine\ORM\EntityManagerInterface;
use Doctrine\ORM\Mapping\ClassMetadata;
use Doctrine\ORM\Mapping\FieldMapping;
use Octavum\Account\Account;
use Octavum\Document\Json\Plain;
use Octavum\Store\Change\PageState;
use Psr\Clock\ClockInterface;

/**
 * Makes a row readable again: of each column only what cannot be read is taken out, entry by entry where it is a list, and what was
 * there before is kept whole in the table "mended" and, shortened, among the row's notes.
 */
final readonly class RowMend
{
    private const NOTED = 400;

    /** Of longer lists nothing is tried entry by entry. */
    private const MOST_ENTRIES = 2_000;

    public function __construct(
        private EntityManagerInterface $entities,
        private Connection $connection,
        private RowCheck $check,
        private ClockInterface $clock,
    ) {
    }

    /** @return list<string> the columns that were mended; none when the row cannot be made readable, which then is as it was */
    public function mend(Account $account, string $table, string $id): array
    {
        $metadata = $this->metadata($table);
        $row = $this->connection->fetchAssociative('SELECT * FROM '.$table.' WHERE id = ?', [$id]);
        if (null === $metadata || false === $row) {
            return [];
        }
        $harmless = [];
        foreach ($metadata->fieldMappings as $field) {
            if (!\in_array($field->fieldName, ['id', 'revision', 'removedAt', 'changes'], true)) {
                $harmless[$field->columnName] = $this->harmless($field, $row[$field->columnName]);
            }
        }

        return $this->connection->transactional(function () use ($account, $table, $id, $row, $harmless): array {
            $this->set($table, $id, $harmless);
            if (!$this->isReadable($account, $id)) {
                $this->set($table, $id, array_intersect_key($row, $harmless));

                return [];
            }
            $mended = [];
            foreach (array_keys($harmless) as $column) {
                $this->set($table, $id, [$column => $row[$column]]);
                if ($this->isReadable($account, $id)) {
                    continue;
                }
                $this->set($table, $id, [$column => $harmless[$column]]);
                $this->keepEntries($account, $table, $id, $column, $row[$column]);
                $this->put($table, $id, $column, $row[$column]);
                $mended[] = $column;
            }
            $this->note($table, $id, array_intersect_key($row, array_flip($mended)));
            (new PageState($this->connection))->renew($account->id);

            return $mended;
        });
    }

    /** Of a list or a map every entry that can be read. */
    private function keepEntries(Account $account, string $table, string $id, string $column, mixed $value): void
    {
        $entries = \is_string($value) ? json_decode($value, true, 512, \JSON_INVALID_UTF8_SUBSTITUTE) : null;
        if (!\is_array($entries)) {
            return;
        }
        $kept = \count($entries, \COUNT_RECURSIVE) > self::MOST_ENTRIES
            ? []
            : $this->readable($entries, fn (array $with): bool => $this->holds($account, $table, $id, $column, $with));
        $this->set($table, $id, [$column => json_encode($kept, \JSON_THROW_ON_ERROR | \JSON_PRESERVE_ZERO_FRACTION)]);
    }

    /**
     * @param array<mixed>                 $entries
     * @param \Closure(array<mixed>): bool $holds   whether they can be read
     *
     * @return array<mixed> those of the entries that can, and of one that cannot what can be read of it
     */
    private function readable(array $entries, \Closure $holds): array
    {
        $kept = [];
        $isList = array_is_list($entries);
        foreach ($entries as $key => $entry) {
            $with = static fn (mixed $one): array => $isList ? [...$kept, $one] : [...$kept, $key => $one];
            if ($holds($with($entry))) {
                $kept = $with($entry);
            } elseif (\is_array($entry)) {
                $part = $this->readable($entry, static fn (array $some): bool => $holds($with($some)));
                $kept = $holds($with($part)) ? $with($part) : $kept;
            }
        }

        return $kept;
    }

    /** @param array<mixed> $value */
    private function holds(Account $account, string $table, string $id, string $column, array $value): bool
    {
        $this->set($table, $id, [$column => json_encode($value, \JSON_THROW_ON_ERROR | \JSON_PRESERVE_ZERO_FRACTION)]);

        return $this->isReadable($account, $id);
    }

    private function isReadable(Account $account, string $id): bool
    {
        return [] === $this->check->find($account, $id);
    }

    /** What a column holds when nothing is known. */
    private function harmless(FieldMapping $field, mixed $value): mixed
    {
        $enum = $field->enumType;

        return match (true) {
            true === $field->nullable => null,
            null !== $enum && is_subclass_of($enum, \BackedEnum::class) => $enum::cases()[0]->value,
            'json' === $field->type => '[]',
            str_starts_with($field->type, 'datetime'), str_starts_with($field->type, 'date') => $this->clock->now()->format('Y-m-d H:i:s'),
            \in_array($field->type, ['integer', 'bigint', 'boolean', 'smallint'], true) => 'weeks' === $field->fieldName ? 13 : 0,
            \in_array($field->fieldName, ['name', 'title'], true) => '…',
            default => \is_string($value) ? Plain::of($value) : '',
        };
    }

    /** @param array<string, mixed> $values by column */
    private function set(string $table, string $id, array $values): void
    {
        foreach ($values as $column => $value) {
            $this->connection->executeStatement(\sprintf('UPDATE %s SET "%s" = ? WHERE id = ?', $table, $column), [$value, $id]);
        }
    }

    private function put(string $table, string $id, string $column, mixed $value): void
    {
        $this->connection->insert(
            'mended',
            [
                'at' => $this->clock->now()->format('Y-m-d H:i:s'),
                'row_id' => $id,
                'place' => $table.'.'.$column,
                'was' => \is_scalar($value) ? (string) $value : '',
            ],
            ['was' => ParameterType::LARGE_OBJECT],
        );
    }

    /** @param array<string, mixed> $was by column */
    private function note(string $table, string $id, array $was): void
    {
        $columns = $this->connection->fetchFirstColumn('SELECT name FROM pragma_table_info(?)', [$table]);
        if ([] === $was || !\in_array('notes', $columns, true)) {
            return;
        }
        $notes = $this->connection->fetchOne('SELECT notes FROM '.$table.' WHERE id = ?', [$id]);
        $lines = [\is_string($notes) ? $notes : ''];
        foreach ($was as $column => $value) {
            $text = mb_substr(Plain::of(mb_scrub(\is_scalar($value) ? (string) $value : '', 'UTF-8')), 0, self::NOTED);
            $lines[] = \sprintf('Could not be read on %s (%s): %s', $this->clock->now()->format('Y-m-d'), $column, $text);
        }
        $this->set($table, $id, ['notes' => trim(implode("\n", $lines))]);
    }

    /** @return ?ClassMetadata<object> */
    private function metadata(string $table): ?ClassMetadata
    {
        foreach ($this->entities->getMetadataFactory()->getAllMetadata() as $metadata) {
            if ($metadata->getTableName() === $table) {
                return $metadata;
            }
        }

        return null;
    }
}

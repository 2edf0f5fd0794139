<?php

declare(strict_types=1);

namespace Octavum\Tools\Trial;

/**
 * What a visitor's workroom holds now, read in the database itself: table → id → its columns, without what is taken out and what belongs
 * to it. Counters of changes are left out; of the place in the list only the order is kept.
 */
final readonly class StoredRows
{
    /** Table → the column that names its owner, owners first. */
    private const OWNERS = [
        ...['cloth' => 'account_id', 'pattern' => 'account_id', 'person' => 'account_id', 'lay' => 'account_id', 'notion' => 'account_id'],
        ...['sewing_list' => 'account_id', 'season' => 'account_id', 'overrule' => 'account_id', 'file' => 'account_id'],
        ...['cut' => 'cloth_id', 'version' => 'pattern_id', 'piece_set' => 'version_id', 'project' => 'season_id'],
        ...['project_option' => 'project_id', 'project_copy' => 'option_id', 'claim' => 'option_id'],
    ];
    private const COUNTERS = ['revision' => true, 'changes' => true, 'removed_at' => true, 'place_in_rank' => true];

    /** @param array<string, array<string, array<mixed>>> $rows */
    private function __construct(private array $rows)
    {
    }

    public static function none(): self
    {
        return new self([]);
    }

    public static function read(\PDO $database, string $account): self
    {
        $kept = [$account => true];
        $rows = [];
        foreach (self::OWNERS as $table => $owner) {
            $order = 'project' === $table ? 'season_id, place_in_rank, id' : 'id';
            $found = $database->query('SELECT * FROM "'.$table.'" ORDER BY '.$order);
            $rows[$table] = [];
            foreach (false === $found ? [] : $found->fetchAll(\PDO::FETCH_ASSOC) as $row) {
                \assert(\is_array($row) && \is_string($row['id']));
                if (\is_string($row[$owner]) && isset($kept[$row[$owner]]) && !isset($row['removed_at'])) {
                    $kept[$row['id']] = true;
                    $rows[$table][$row['id']] = array_diff_key($row, self::COUNTERS);
                }
            }
        }

        return new self($rows);
    }

    /** @return list<string> */
    public function ids(string $table): array
    {
        return array_keys($this->rows[$table] ?? []);
    }

    public function column(string $table, string $id, string $column): string
    {
        $value = $this->rows[$table][$id][$column] ?? '';

        return \is_scalar($value) ? (string) $value : '';
    }

    public function hash(): string
    {
        return hash('xxh128', serialize($this->rows));
    }

    public function isAs(self $other): bool
    {
        return $this->rows === $other->rows;
    }

    /** The first value in which they differ, as a sentence for the report. */
    public function difference(self $after): string
    {
        foreach ($this->rows as $table => $rows) {
            foreach ($rows + $after->rows[$table] as $id => $row) {
                $now = $after->rows[$table][$id] ?? null;
                if (!isset($rows[$id]) || null === $now) {
                    return \sprintf('%s %s is %s', $table, $id, null === $now ? 'gone' : 'more');
                }
                foreach ($row as $column => $value) {
                    if ($now[$column] !== $value) {
                        return \sprintf('%s.%s of %s: %s | %s', $table, $column, $id, json_encode($value), json_encode($now[$column]));
                    }
                }
            }
            if (array_keys($rows) !== array_keys($after->rows[$table])) {
                return 'another order of '.$table;
            }
        }

        return 'nothing';
    }
}

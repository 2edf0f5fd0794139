<?php

declare(strict_types=1);

namespace Octavum\Input;

use Octavum\Core\Measure\Sentence;
use Octavum\Core\Reading\CsvTable;
use Octavum\Core\Reading\Headings;
use Octavum\Core\Reading\TableColumn;
use Symfony\Component\HttpFoundation\File\UploadedFile;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;

/**
 * A table that is brought from a spreadsheet: its file, carried on from preview to preview, and what each column is taken for.
 *
 * @template T of TableColumn
 */
final readonly class TableEntry
{
    private const MOST_BYTES = 3_000_000;

    /** @param array<int, ?T> $columns by position */
    private function __construct(public ?CsvTable $table, public array $columns, public string $text)
    {
    }

    /**
     * @template C of TableColumn
     *
     * @param class-string<C> $columns
     *
     * @return self<C> without a table before one is brought, and with a fault when it cannot be read
     */
    public static function of(Request $request, Entry $entry, string $columns): self
    {
        if (!$request->isMethod('POST')) {
            return new self(null, [], '');
        }
        $file = $request->files->get('file');
        $bytes =
            $file instanceof UploadedFile && $file->isValid() ? $file->getContent() : (string) base64_decode($entry->raw('text'), true);
        if ('' === $bytes || \strlen($bytes) > self::MOST_BYTES) {
            $entry->fault(
                'file',
                '' === $bytes
                    ? new Sentence('Choose a file first: a table saved as CSV.')
                    : new Sentence('This file is larger than 3 MB: split it.'),
            );

            return new self(null, [], '');
        }
        $table = $entry->attempt('file', static fn (): CsvTable => CsvTable::of($bytes));
        $chosen = null === $table ? [] : Headings::columns($table, $columns);
        foreach ($entry->rows('columns') as $i) {
            if (\array_key_exists((int) $i, $chosen)) {
                $chosen[(int) $i] = $columns::tryFrom($entry->raw('columns.'.$i));
            }
        }

        return new self($table, $chosen, null === $table ? '' : base64_encode($bytes));
    }

    /**
     * A row's cells by what their columns hold, several of a kind joined; what has no column stands in "notes" with its heading.
     *
     * @param list<string> $cells
     *
     * @return array<string, string>
     */
    public function values(array $cells): array
    {
        $values = [];
        foreach ($cells as $i => $cell) {
            if ('' === $cell || \in_array($cell, ['-', '–'], true)) {
                continue;
            }
            $column = $this->columns[$i] ?? null;
            $name = null === $column ? 'notes' : (string) $column->value;
            $heading = 'notes' === $name ? $this->table->headings[$i] ?? '' : '';
            $values[$name] = trim(
                ($values[$name] ?? '').('notes' === $name ? "\n" : ' ').('' === $heading ? '' : $heading.': ').$cell,
            );
        }

        return $values;
    }

    /**
     * The rows as they are shown before they are saved.
     *
     * @template R of object
     *
     * @param \Closure(list<string>): ?R  $read  a row's cells; null for a row that holds no thing, as a sum's
     * @param \Closure(R): bool           $there is it here already?
     * @param \Closure(R): list<string>   $cells what was understood
     * @param \Closure(R): list<Sentence> $says  what to look at
     *
     * @return array<int, TableRow<R>> by number in the file
     */
    public function rows(\Closure $read, \Closure $there, \Closure $cells, \Closure $says): array
    {
        $doubles = $this->table?->doubles() ?? [];
        $rows = [];
        foreach ($this->table->rows ?? [] as $number => $row) {
            $thing = $read($row);
            if (null !== $thing) {
                $state = isset($doubles[$number]) ? 'double' : ($there($thing) ? 'there' : 'new');
                $rows[$number] = new TableRow($thing, $state, $doubles[$number] ?? '', $cells($thing), $says($thing));
            }
        }

        return $rows;
    }

    /**
     * @template R of object
     *
     * @param array<int, TableRow<R>> $rows
     *
     * @return list<R> what is neither here already nor twice in the file
     */
    public static function fresh(array $rows): array
    {
        return array_values(
            array_map(
                static fn (TableRow $row): object => $row->thing,
                array_filter($rows, static fn (TableRow $row): bool => $row->isNew()),
            ),
        );
    }

    /**
     * Rows as a file that any spreadsheet opens; a cell that one would take for a formula is marked as text.
     *
     * @param list<string>           $headings
     * @param iterable<list<string>> $rows
     */
    public static function file(string $name, array $headings, iterable $rows): Response
    {
        return new Response(
            self::write($headings, $rows),
            headers: ['Content-Type' => 'text/csv; charset=UTF-8', 'Content-Disposition' => 'attachment; filename="'.$name.'"'],
        );
    }

    /**
     * @param list<string>           $headings
     * @param iterable<list<string>> $rows
     */
    private static function write(array $headings, iterable $rows): string
    {
        $stream = fopen('php://temp', 'r+');
        if (false === $stream) {
            throw new \RuntimeException('No memory for a table.');
        }
        fwrite($stream, "\xEF\xBB\xBF");
        fputcsv($stream, $headings, ',', '"', '');
        foreach ($rows as $row) {
            fputcsv($stream, array_map(CsvTable::marked(...), $row), ',', '"', '');
        }
        rewind($stream);

        return (string) stream_get_contents($stream);
    }
}

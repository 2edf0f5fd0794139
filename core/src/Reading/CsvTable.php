<?php

declare(strict_types=1);

namespace Octavum\Core\Reading;

use Octavum\Core\Measure\Unreadable;

/**
 * A table of separated values as it comes out of anybody's spreadsheet: with or without a byte order mark, in UTF-8, UTF-16 or
 * Windows-1252, separated by commas, semicolons, tabs or bars. The first row that is not empty holds the headings.
 */
final readonly class CsvTable
{
    public const MOST_ROWS = 5_000;
    private const MOST_COLUMNS = 200;

    /** Characters of a cell: as many as are kept of any notes. */
    public const LONGEST_CELL = 10_000;

    /** What a formula begins with, in signs of either width. */
    private const FORMULA = '[=+\-@＝＋－＠]';
    private const DELIMITERS = [';' => 'semicolons', ',' => 'commas', "\t" => 'tabs', '|' => 'bars'];

    /**
     * @param list<string>             $headings
     * @param array<int, list<string>> $rows     by number of their line in the file, counted from 1; empty ones left out
     */
    private function __construct(public array $headings, public array $rows, public string $delimiter, public string $encoding)
    {
    }

    /** A cell as it is written into a table: marked when a spreadsheet would take it for a formula. */
    public static function marked(string $cell): string
    {
        $isNumber = 1 === preg_match('/^[-+]?\d+(?:[.,]\d+)?$/D', $cell);

        return !$isNumber && 1 === preg_match('/^(?:\s*'.self::FORMULA.'|[\t\r])/u', $cell) ? "'".$cell : $cell;
    }

    /** @throws Unreadable when there is no table in it */
    public static function of(string $bytes): self
    {
        [$text, $encoding] = self::decoded($bytes);
        if ('' === trim($text)) {
            throw Unreadable::because('This file is empty.');
        }
        if (str_contains($text, "\0")) {
            throw Unreadable::because('This is not a table of separated values: save it from the spreadsheet as CSV.');
        }
        $delimiter = self::delimiter($text);
        $stream = fopen('php://temp', 'r+');
        if (false === $stream) {
            throw new \RuntimeException('No memory for a table.');
        }
        fwrite($stream, $text);
        rewind($stream);
        $headings = null;
        $rows = [];
        for ($number = 1; false !== ($cells = fgetcsv($stream, null, $delimiter, '"', '')); ++$number) {
            $cells = array_map(self::cell(...), $cells);
            if ('' === implode('', $cells)) {
                continue;
            }
            if (null === $headings) {
                if (\count($cells) > self::MOST_COLUMNS) {
                    throw Unreadable::because(
                        'This table has {count} columns; {most} can be read. Take out those that are not needed.',
                        ['count' => \count($cells), 'most' => self::MOST_COLUMNS],
                    );
                }
                $headings = $cells;
            } elseif (\count($rows) >= self::MOST_ROWS) {
                throw Unreadable::because('This table has more than {most} rows: split it.', ['most' => self::MOST_ROWS]);
            } else {
                $rows[$number] = \array_slice(array_pad($cells, \count($headings), ''), 0, max(\count($headings), \count($cells)));
            }
        }
        fclose($stream);
        if (null === $headings || [] === $rows) {
            throw Unreadable::because('There are no rows below the headings.');
        }

        return new self($headings, $rows, self::DELIMITERS[$delimiter], $encoding);
    }

    /** @return array<int, string> number of a row → that of the row it repeats */
    public function doubles(): array
    {
        $seen = $doubles = [];
        foreach ($this->rows as $number => $cells) {
            $key = mb_strtolower(serialize($cells));
            if (isset($seen[$key])) {
                $doubles[$number] = (string) $seen[$key];
            }
            $seen[$key] ??= $number;
        }

        return $doubles;
    }

    /** Without control characters, and without the mark by which a spreadsheet is told that a cell is a text and no formula. */
    private static function cell(?string $cell): string
    {
        // a soft hyphen and its like are seen by nobody, and would make a name of nothing
        $seen = preg_replace('/(?![\x{200C}\x{200D}])\p{Cf}/u', '', mb_substr((string) $cell, 0, self::LONGEST_CELL)) ?? '';
        $plain = trim(preg_replace('/[\s\p{Cc}]+/u', ' ', $seen) ?? '');

        return preg_replace('/^\'(?=\s*'.self::FORMULA.')/u', '', $plain) ?? $plain;
    }

    /** @return array{string, string} text and encoding */
    private static function decoded(string $bytes): array
    {
        foreach (["\xEF\xBB\xBF" => 'UTF-8', "\xFF\xFE" => 'UTF-16LE', "\xFE\xFF" => 'UTF-16BE'] as $mark => $encoding) {
            if (str_starts_with($bytes, $mark)) {
                $rest = substr($bytes, \strlen($mark));

                return ['UTF-8' === $encoding ? mb_scrub($rest) : mb_convert_encoding($rest, 'UTF-8', $encoding), $encoding];
            }
        }

        return mb_check_encoding($bytes, 'UTF-8')
            ? [$bytes, 'UTF-8']
            : [mb_convert_encoding($bytes, 'UTF-8', 'Windows-1252'), 'Windows-1252'];
    }

    /** The one that splits the first lines into the most cells, and into the same number. */
    private static function delimiter(string $text): string
    {
        $lines = \array_slice(
            array_values(array_filter(explode("\n", strtr($text, "\r", "\n")), static fn (string $line): bool => '' !== trim($line))),
            0,
            12,
        );
        $best = ',';
        $most = 0.0;
        foreach (array_keys(self::DELIMITERS) as $delimiter) {
            $counts = array_map(static fn (string $line): int => \count(str_getcsv($line, $delimiter, '"', '')), $lines);
            $score = match (true) {
                [] === $counts => 0.0,
                min($counts) > 1 => min($counts) + 1 / (1 + max($counts) - min($counts)),
                default => $counts[0] > 1 ? 0.5 * $counts[0] : 0.0,
            };
            if ($score > $most) {
                [$best, $most] = [$delimiter, $score];
            }
        }

        return $best;
    }
}

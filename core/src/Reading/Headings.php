<?php

declare(strict_types=1);

namespace Octavum\Core\Reading;

/** Tells what a column holds by the longest known word of its heading. */
final readonly class Headings
{
    /**
     * @param array<string, list<string>> $words by what they name
     *
     * @return ?string what it names
     */
    public static function guess(string $heading, array $words): ?string
    {
        $plain = trim(preg_replace('/[^\p{L}\d\/²]+/u', ' ', mb_strtolower($heading)) ?? '');
        $best = null;
        $longest = 0;
        foreach ($words as $names => $all) {
            foreach ($all as $word) {
                if (\strlen($word) > $longest && 1 === preg_match('~(?<!\p{L})'.preg_quote($word, '~').'(?!\p{L})~u', $plain)) {
                    [$best, $longest] = [$names, \strlen($word)];
                }
            }
        }

        return $best;
    }

    /**
     * Of a whole table; a second column of the same kind goes to the notes.
     *
     * @template T of TableColumn
     *
     * @param class-string<T> $columns
     *
     * @return array<int, ?T> by position
     */
    public static function columns(CsvTable $table, string $columns): array
    {
        $found = [];
        foreach ($table->headings as $heading) {
            $column = $columns::guess($heading);
            $found[] = null !== $column && $columns::notes() !== $column && \in_array($column, $found, true) ? $columns::notes() : $column;
        }

        return $found;
    }
}

<?php

declare(strict_types=1);

namespace Octavum\Core\Haul;

use Octavum\Core\Measure\Assumptions;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Measure\System;

/**
 * Reads the rows of a table as cloths. A row is put together as a line of a haul, each figure with the unit of its cell or of
 * its heading, so that a table and a line are understood by the same rules; what cannot be told is a doubt of that row.
 */
final readonly class CsvReader
{
    public function __construct(private HaulReader $reader = new HaulReader())
    {
    }

    /**
     * @param list<string>        $headings
     * @param list<string>        $cells
     * @param array<int, ?Column> $columns  by position
     */
    public function line(array $headings, array $cells, array $columns, System $system): HaulLine
    {
        $values = $notes = [];
        foreach ($cells as $i => $cell) {
            $column = $columns[$i] ?? null;
            if ('' === $cell || \in_array(mb_strtolower($cell), ['-', '–', 'n/a', 'na', 'unknown', '?'], true)) {
                continue;
            }
            if (null === $column || Column::Notes === $column) {
                $notes[] = trim(($headings[$i] ?? '').': '.$cell, ': ');
            } else {
                $values[$column->value] = trim(
                    ($values[$column->value] ?? '').' '.$this->withUnit($column, $cell, $headings[$i] ?? '', $system),
                );
            }
        }
        $name = $values['name'] ?? '';
        unset($values['name']);
        $state = mb_strtolower($values['state'] ?? '');
        $values['state'] = \in_array($state, ['yes', 'y', 'x', 'true', '1', 'ja'], true)
            ? 'washed'
            : (\in_array($state, ['no', 'n', 'false', '0', 'nein'], true)
                ? 'not washed'
                : $state);
        $count = $values['cuts'] ?? '';
        $cuts = 1 === preg_match('/^\d{1,2}$/', $count) && (int) $count > 1 ? $count.' cuts of ' : '';
        unset($values['cuts']);
        $order = ['length', 'width', 'fibres', 'type', 'weight', 'print', 'direction', 'colour', 'care', 'state', 'place', 'price'];
        $text =
            $cuts
            .implode(
                ', ',
                array_filter(
                    array_map(static fn (string $field): string => $values[$field] ?? '', $order),
                    static fn (string $part): bool => '' !== $part,
                ),
            );
        $line = $this->reader->read($text, $system);
        $fromName = '' === $name ? null : $this->reader->read($name, $system);

        $doubts = [];
        foreach (
            [
                'length' => $line->cuts->length,
                'width' => $line->width,
                'price' => $line->origin->price,
                'weight' => $line->material->weight,
            ] as $field => $read
        ) {
            if (null === $read && isset($values[$field]) && ('price' !== $field || null !== $line->cuts->length)) {
                $doubts[] = new Sentence('“{text}” in the column for {field} cannot be read: it is kept in the notes', [
                    'text' => $values[$field],
                    'field' => $field,
                ]);
            }
        }

        $noted = [] === $notes ? null : $this->reader->read(implode(', ', $notes), $system)->look->direction;

        if (mb_strlen($name) > HaulLine::LONGEST_NAME) {
            $notes = [$name, ...$notes];
            $name = mb_substr($name, 0, HaulLine::LONGEST_NAME);
        }

        return $line->named('' === $name ? $line->name : $name, $fromName, implode("\n", $notes), $doubts, $noted);
    }

    /**
     * Whether a row adds others up instead of being a cloth.
     *
     * @param list<string> $cells
     */
    public function isSum(array $cells): bool
    {
        $words = array_values(array_filter($cells, static fn (string $cell): bool => 1 === preg_match('/\p{L}/u', $cell)));

        return 1 === preg_match('/^(?:(?:sub|grand)[- ]?)?(?:totals?|sum|summe|gesamt|altogether)\b/iu', $words[0] ?? '')
            && \count($words) < 3;
    }

    /** By which a cloth that is there already is known again: name, width and the lengths of its cuts. */
    public function key(HaulLine $line): string
    {
        $cloth = $line->cloth(new Assumptions(), new \DateTimeImmutable('@0'));

        return self::keyOf(
            $cloth->name,
            $cloth->width?->full->micrometres,
            array_map(static fn ($cut): ?int => $cut->length?->micrometres, $cloth->cuts),
        );
    }

    /** @param list<?int> $lengths micrometres */
    public static function keyOf(string $name, ?int $width, array $lengths): string
    {
        sort($lengths);

        return serialize([mb_strtolower($name), $width, $lengths]);
    }

    private function withUnit(Column $column, string $cell, string $heading, System $system): string
    {
        $heading = mb_strtolower($heading);
        $bare = 1 === preg_match('~^[\d\s.,/½¼¾⅛⅜⅝⅞-]+$~u', $cell);
        $unit = match (true) {
            !$bare => '',
            1 === preg_match('~\bcm\b|centim~', $heading) => 'cm',
            1 === preg_match('~\b(?:in|inch|inches)\b|"~', $heading) => 'in',
            1 === preg_match('~\b(?:yd|yds|yard|yards|yardage)\b~', $heading) => 'yd',
            1 === preg_match('~\b(?:m|metres?|meters?)\b~', $heading) => 'm',
            Column::Width === $column => '',
            default => System::Metric === $system ? 'm' : 'yd',
        };

        return match ($column) {
            Column::Length => $cell
                .('' === $unit
                    ? (1 === preg_match('~\d\s?(?:cm|in|inch|inches|")$~i', $cell)
                        ? ' long'
                        : '')
                    : ' '
                        .('cm' === $unit || 'in' === $unit
                            ? $unit.' long'
                            : ((float) str_replace(',', '.', $cell) >= 40 && 'm' === $unit && !str_contains($heading, 'm)')
                                ? 'cm long'
                                : $unit.' long'))),
            Column::Width => (string) preg_replace('/\s*(?:wide|width)$/i', '', $cell)
                .('' === $unit ? '' : ' '.('m' === $unit && (float) str_replace(',', '.', $cell) > 10 ? 'cm' : $unit))
                .' wide',
            Column::Weight => $bare ? $cell.' gsm' : $cell,
            Column::Price => 1 === preg_match('~/|per|piece|total~i', $cell)
                ? $cell
                : preg_replace('/\s*(?:€|£|\$|eur|gbp|usd)\s*/i', '', $cell)
                    .(1 === preg_match('~yd|yard~', $heading)
                        ? '/yd'
                        : (1 === preg_match('~total|piece|paid~', $heading)
                            ? ' for the piece'
                            : '/m')),
            default => $cell,
        };
    }
}

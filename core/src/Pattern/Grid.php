<?php

declare(strict_types=1);

namespace Octavum\Core\Pattern;

use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Measure\System;
use Octavum\Core\Measure\Unit;
use Octavum\Core\Measure\Unreadable;
use Octavum\Core\Piece\Role;

/**
 * A requirement table as text, the way it is typed or pasted: nothing is judged yet and nothing is lost.
 */
final readonly class Grid
{
    /** More than any garment asks, in micrometres. Source: docs/rules.md. */
    private const MOST = 15_000_000;

    private const MOST_ROWS = 200;
    private const MOST_SIZES = 40;

    private const HEADINGS = '/^(role|fabrics?|cloths?|cloth width|fabric width|widths?|nap|sizes?|views?|versions?|)$/iu';

    private const ROLE_WORDS = [
        'contrast 2' => Role::Contrast2,
        'contrast 3' => Role::Contrast3,
        'contrast' => Role::Contrast,
        'underlining' => Role::Underlining,
        'lining' => Role::Lining,
        'interfacing' => Role::Interfacing,
        'ribbing' => Role::Ribbing,
        'rib' => Role::Ribbing,
        'pocketing' => Role::Pocketing,
        'pockets' => Role::Pocketing,
        'wadding' => Role::Wadding,
        'trim' => Role::Trim,
        'main' => Role::Main,
        'self' => Role::Main,
        'fabric' => Role::Main,
        'cloth' => Role::Main,
    ];

    /**
     * @param list<string>                                                               $sizes
     * @param list<array{role: string, width: string, nap: string, cells: list<string>}> $rows
     */
    public function __construct(public array $sizes, public array $rows)
    {
    }

    /**
     * Splits a table copied from a spreadsheet: lines, and cells between tabs. A first line of sizes is recognised by
     * its empty or heading cells; what stands left of the sizes in a line is its role, width and nap in any order, and
     * an empty role means the one above.
     *
     * @param list<string> $sizes those to keep when the text brings none
     */
    public static function ofPasted(string $text, array $sizes = []): self
    {
        $lines = array_values(array_filter(explode("\n", strtr($text, "\r", "\n")), static fn (string $line): bool => '' !== trim($line)));
        $table = array_map(self::cellsOf(...), \array_slice($lines, 0, self::MOST_ROWS));
        if ([] === $table) {
            return new self($sizes, []);
        }
        $leading = 0;
        while (isset($table[0][$leading]) && 1 === preg_match(self::HEADINGS, $table[0][$leading])) {
            ++$leading;
        }
        if ($leading > 0) {
            $sizes = array_values(
                array_filter(\array_slice($table[0], $leading, self::MOST_SIZES), static fn (string $size): bool => '' !== $size),
            );
            array_shift($table);
        } else {
            $leading = max(1, max(array_map(\count(...), $table)) - \count($sizes));
        }
        $role = Role::Main->value;
        $rows = [];
        foreach ($table as $cells) {
            $row = self::headOf(implode(' ', \array_slice($cells, 0, $leading)), $role);
            $role = $row['role'];
            $rows[] = $row + ['cells' => array_pad(\array_slice($cells, $leading, \count($sizes)), \count($sizes), '')];
        }

        return new self($sizes, $rows);
    }

    /** @param \Closure(Length, bool $small): string $write so that it can be read again */
    public static function of(RequirementTable $table, \Closure $write): self
    {
        return new self(
            $table->sizes,
            array_map(
                static fn (Requirement $row): array => [
                    'role' => $row->role->value,
                    'width' => $write($row->width, true),
                    'nap' => $row->nap->value,
                    'cells' => array_map(
                        static fn (string $size): string => $row->ranges[$size]
                            ?? (isset($row->cells[$size]) ? $write($row->cells[$size], false) : ''),
                        $table->sizes,
                    ),
                ],
                $table->rows,
            ),
        );
    }

    /**
     * Reads every cell; a bare number is metres or yards, a bare width centimetres or inches. Rows without anything in
     * them are passed over.
     *
     * @param \Closure(string $place, Sentence): void $fault hears of a cell that cannot be read, by "sizes", "row.field"
     *                                                       or "row.cells.column"
     */
    public function table(System $system, \Closure $fault): RequirementTable
    {
        $sizes = array_values(array_filter($this->sizes, static fn (string $size): bool => '' !== $size));
        if (\count(array_unique($sizes)) !== \count($sizes)) {
            $fault('sizes', new Sentence('A size stands here twice: each may have one column.'));
        }
        $read = static function (string $text, string $place, Unit $unit) use ($fault): ?Length {
            try {
                $length = Length::parse($text, $unit, larger: str_contains($place, '.cells.'));
                if (str_contains($place, '.cells.') && self::MOST < $length->micrometres) {
                    $fault(
                        $place,
                        new Sentence('“{text}” is more than 15 m for one garment: is the unit right? Type it with its unit.', [
                            'text' => $text,
                        ]),
                    );
                }

                return $length;
            } catch (Unreadable $unreadable) {
                $fault($place, $unreadable->sentence);

                return null;
            }
        };
        $rows = [];
        foreach ($this->rows as $i => $row) {
            $cells = $ranges = [];
            foreach ($this->sizes as $j => $size) {
                $text = $row['cells'][$j] ?? '';
                if (
                    '' !== $size
                    && !\in_array($text, ['', '-', '–', '—'], true)
                    && null !== ($length = $read($text, $i.'.cells.'.$j, $system->lengthUnit()))
                ) {
                    $cells[$size] = $length;
                    // of a range the smaller figure differs
                    if (!Length::parse($text, $system->lengthUnit())->equals($length)) {
                        $ranges[$size] = mb_substr($text, 0, 40);
                    }
                }
            }
            if ([] === $cells && '' === $row['width']) {
                continue;
            }
            $width = $read($row['width'], $i.'.width', $system->widthUnit());
            $role = Role::tryFrom($row['role']);
            if (null === $role) {
                $fault(
                    $i.'.role',
                    new Sentence('“{text}” is not a role: choose one from the list.', ['text' => mb_substr($row['role'], 0, 40)]),
                );
            }
            if (null !== $width && null !== $role) {
                $rows[] = new Requirement($role, $width, Nap::tryFrom($row['nap']) ?? Nap::Without, $cells, $ranges);
            }
        }

        return new RequirementTable($sizes, $rows, $system);
    }

    /** @return list<string> of a line, between tabs or, where there are none, semicolons or wide gaps */
    private static function cellsOf(string $line): array
    {
        return array_map(
            trim(...),
            explode("\t", str_contains($line, "\t") ? $line : preg_replace('/;| {2,}/', "\t", trim($line)) ?? $line),
        );
    }

    /** @return array{role: string, width: string, nap: string} */
    private static function headOf(string $text, string $role): array
    {
        $nap = match (1) {
            preg_match('~\bwith or without\b|\beither\b~iu', $text) => Nap::Either,
            preg_match('~\bwithout\b|\b(?:no|w/o) nap\b~iu', $text) => Nap::Without,
            preg_match('~\bwith\b|\bw/ nap\b|\bone[ -]way\b~iu', $text) => Nap::With,
            default => Nap::Without,
        };
        $rest =
            preg_replace(
                '~\bwith or without(?: nap)?\b|\b(?:with|without|no|w/o?) nap\b|\bwith(?:out)?\b|\beither\b|\bone[ -]way\b~iu',
                ' ',
                $text,
            ) ?? $text;
        foreach (self::ROLE_WORDS as $word => $named) {
            if (1 === preg_match('/\b'.$word.'\b/iu', $rest)) {
                $role = $named->value;
                $rest = preg_replace('/\b'.$word.'\b/iu', ' ', $rest, 1) ?? $rest;
                break;
            }
        }

        return ['role' => $role, 'width' => trim(preg_replace('/[\s,:]+/u', ' ', $rest) ?? $rest), 'nap' => $nap->value];
    }
}

<?php

declare(strict_types=1);

namespace Octavum\Core\Pattern;

use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\System;
use Octavum\Core\Piece\Role;

/** The table on the envelope: rows are role × cloth width (× nap), columns are sizes in the order printed. */
final readonly class RequirementTable
{
    /** Micrometres: 44/45 in and 110 to 115 cm, 54/55 and 137 to 140, 58/60 and 147 to 152. Source: docs/rules.md. */
    private const CLASSES = [[1_100_000, 1_150_000], [1_370_000, 1_400_000], [1_470_000, 1_524_000]];

    /**
     * @param list<string>      $sizes
     * @param list<Requirement> $rows
     * @param ?System           $printed the units of the envelope; null when nobody has said
     */
    public function __construct(public array $sizes, public array $rows, public ?System $printed = null)
    {
    }

    public function hasSize(string $size): bool
    {
        return \in_array($size, $this->sizes, true);
    }

    /** The later of two sizes in the order printed; cloth is worked out for the largest size used. */
    public function largest(string $size, ?string $gradedTo): string
    {
        return null !== $gradedTo && array_search($gradedTo, $this->sizes, true) > array_search($size, $this->sizes, true)
            ? $gradedTo
            : $size;
    }

    /**
     * What a row asks for a size, or for the sizes that are graded between: the largest figure of all columns between them.
     *
     * @return ?array{string, Length} the size that asks most, and its length; null when the larger size has no figure
     */
    public function most(Requirement $row, string $size, ?string $gradedTo): ?array
    {
        $most = null;
        foreach ($this->between($size, $gradedTo) as $column) {
            $length = $row->cells[$column] ?? null;
            if (null !== $length && (null === $most || !$length->isLessThan($most[1]))) {
                $most = [$column, $length];
            }
        }

        return isset($row->cells[$this->largest($size, $gradedTo)]) ? $most : null;
    }

    /** @return list<string> */
    private function between(string $size, ?string $gradedTo): array
    {
        $from = array_search($size, $this->sizes, true);
        $to = null === $gradedTo ? $from : array_search($gradedTo, $this->sizes, true);

        return false === $from || false === $to ? [$size] : \array_slice($this->sizes, min($from, $to), abs($to - $from) + 1);
    }

    /** @return list<Role> in the order printed */
    public function roles(): array
    {
        $roles = [];
        foreach ($this->rows as $row) {
            $roles[$row->role->value] = $row->role;
        }

        return array_values($roles);
    }

    /**
     * The row to read for a cloth: the widest the cloth reaches, never a wider one; of rows at that width the one for
     * its direction. When the cloth reaches none that has the size, the narrowest row that has it, to be converted.
     *
     * @param Length $fullWidth of the cloth
     * @param Length $tolerance by which a cloth may miss a nominal width and still count
     */
    public function choose(Role $role, string $size, Length $fullWidth, bool $oneWay, Length $tolerance): ?RowChoice
    {
        $rows = array_values(
            array_filter($this->rows, static fn (Requirement $row): bool => $row->role === $role && isset($row->cells[$size])),
        );
        $preferred = $oneWay ? Nap::With : Nap::Without;
        $suits = static fn (Nap $nap): int => match ($nap) {
            $preferred => 2,
            Nap::Either => 1,
            default => 0,
        };
        usort(
            $rows,
            static fn (Requirement $a, Requirement $b): int => [$a->width->micrometres, $suits($a->nap)] <=> [
                $b->width->micrometres,
                $suits($b->nap),
            ],
        );
        $reached = array_values(
            array_filter($rows, static fn (Requirement $row): bool => self::reaches($fullWidth, $row->width, $tolerance)),
        );
        if ([] !== $reached) {
            $row = $reached[\count($reached) - 1];

            return new RowChoice($row, null, $rows[\count($reached)] ?? null);
        }
        $narrowest = array_filter($rows, static fn (Requirement $row): bool => $row->width->equals($rows[0]->width));
        $row = end($narrowest);

        $own = array_values(
            array_filter(
                $this->rows,
                static fn (Requirement $empty): bool => $empty->role === $role && self::reaches($fullWidth, $empty->width, $tolerance),
            ),
        );
        usort($own, static fn (Requirement $a, Requirement $b): int => $b->width->micrometres <=> $a->width->micrometres);

        return false === $row ? null : new RowChoice($row, $own[0] ?? $row, null);
    }

    /** Rows are nominal widths, as counters sell them: a little narrower, or of one class, a cloth still has that width. */
    private static function reaches(Length $cloth, Length $row, Length $tolerance): bool
    {
        foreach (self::CLASSES as [$least, $most]) {
            if (min($cloth->micrometres, $row->micrometres) >= $least && max($cloth->micrometres, $row->micrometres) <= $most) {
                return true;
            }
        }

        return !$cloth->plus($tolerance)->isLessThan($row);
    }
}

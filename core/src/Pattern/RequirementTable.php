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
        $read = $wider = $narrowest = $empty = null;
        foreach ($this->rows as $row) {
            if ($row->role !== $role) {
                continue;
            }
            $reaches = self::reaches($fullWidth, $row->width, $tolerance);
            if (!isset($row->cells[$size])) {
                $empty = $reaches && (null === $empty || $empty->width->isLessThan($row->width)) ? $row : $empty;
            } elseif ($reaches) {
                $read = null === $read || self::place($row, $oneWay) >= self::place($read, $oneWay) ? $row : $read;
            } else {
                $wider = null === $wider || self::place($row, $oneWay) < self::place($wider, $oneWay) ? $row : $wider;
                $narrowest = match (true) {
                    null === $narrowest, $row->width->isLessThan($narrowest->width) => $row,
                    $row->width->equals($narrowest->width) && self::place($row, $oneWay) >= self::place($narrowest, $oneWay) => $row,
                    default => $narrowest,
                };
            }
        }
        if (null !== $read) {
            return new RowChoice($read, null, $wider);
        }

        return null === $narrowest ? null : new RowChoice($narrowest, $empty ?? $narrowest, null);
    }

    /** Where a row stands among the others: by its width, and of one width by how well it suits the direction of the cloth. */
    private static function place(Requirement $row, bool $oneWay): int
    {
        return 4 * $row->width->micrometres + match ($row->nap) {
            $oneWay ? Nap::With : Nap::Without => 2,
            Nap::Either => 1,
            default => 0,
        };
    }

    /** Rows are nominal widths, as counters sell them: a little narrower, or of one class, a cloth still has that width. */
    private static function reaches(Length $cloth, Length $row, Length $tolerance): bool
    {
        if (!$cloth->plus($tolerance)->isLessThan($row)) {
            return true;
        }
        foreach (self::CLASSES as [$least, $most]) {
            if (min($cloth->micrometres, $row->micrometres) >= $least && max($cloth->micrometres, $row->micrometres) <= $most) {
                return true;
            }
        }

        return false;
    }
}

<?php

declare(strict_types=1);

namespace Octavum\Core\Pattern;

use Octavum\Core\Measure\Length;

/** The table on the envelope: rows are role × cloth width (× nap), columns are sizes in the order printed. */
final readonly class RequirementTable
{
    /**
     * @param list<string>      $sizes
     * @param list<Requirement> $rows
     */
    public function __construct(public array $sizes, public array $rows)
    {
    }

    public function hasSize(string $size): bool
    {
        return \in_array($size, $this->sizes, true);
    }

    /** The later of two sizes in the order printed; cloth is worked out for the largest size used. */
    public function largest(string $size, ?string $gradedTo): string
    {
        return null !== $gradedTo && array_search($gradedTo, $this->sizes, true) > array_search($size, $this->sizes, true) ? $gradedTo : $size;
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
     * its direction. When the cloth reaches none, the narrowest row, to be converted.
     *
     * @param Length $fullWidth of the cloth
     * @param Length $tolerance by which a cloth may miss a nominal width and still count
     */
    public function choose(Role $role, string $size, Length $fullWidth, bool $oneWay, Length $tolerance): ?RowChoice
    {
        $rows = array_values(array_filter($this->rows, static fn (Requirement $row): bool => $row->role === $role && isset($row->cells[$size])));
        $preferred = $oneWay ? Nap::With : Nap::Without;
        $suits = static fn (Nap $nap): int => match ($nap) {
            $preferred => 2,
            Nap::Either => 1,
            default => 0,
        };
        usort($rows, static fn (Requirement $a, Requirement $b): int => [$a->width->micrometres, $suits($a->nap)] <=> [$b->width->micrometres, $suits($b->nap)]);
        $reached = array_values(array_filter($rows, static fn (Requirement $row): bool => !$fullWidth->plus($tolerance)->isLessThan($row->width)));
        if ([] !== $reached) {
            $row = $reached[\count($reached) - 1];

            return new RowChoice($row, false, $rows[\count($reached)] ?? null);
        }
        $narrowest = array_filter($rows, static fn (Requirement $row): bool => $row->width->equals($rows[0]->width));
        $row = end($narrowest);

        return false === $row ? null : new RowChoice($row, true, null);
    }
}

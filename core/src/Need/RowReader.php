<?php

declare(strict_types=1);

namespace Octavum\Core\Need;

use Octavum\Core\Measure\Assumptions;
use Octavum\Core\Measure\Length;
use Octavum\Core\Pattern\Nap;
use Octavum\Core\Pattern\Requirement;
use Octavum\Core\Pattern\RequirementTable;
use Octavum\Core\Pattern\RowChoice;
use Octavum\Core\Pattern\Version;

/**
 * Reads the requirement table of a version for one cloth. For one-way cloth that reaches a row with nap and a wider one without,
 * the lesser counts: the row with nap, or the wider one with its addition. Source: docs/rules.md.
 */
final readonly class RowReader
{
    public function __construct(private Assumptions $assumptions, private Conversion $conversion = new Conversion())
    {
    }

    /** @return ?RowReading null where no row has a length for the size */
    public function read(NeedRequest $wanted, Version $version, CuttingCloth $on, Length $width): ?RowReading
    {
        $choice = $this->choose($version->table, $wanted, $on, $width);
        $read = null === $choice ? null : $this->reading($wanted, $version, $on, $width, $choice);
        if (!$on->oneWay || null === $read || $choice->isConverted() || Nap::Without !== $choice->row->nap) {
            return $read;
        }
        $withNap = array_values(array_filter($version->table->rows, static fn (Requirement $row): bool => Nap::Without !== $row->nap));
        $other = $this->choose(new RequirementTable($version->table->sizes, $withNap), $wanted, $on, $width);
        $lesser = null === $other || $other->isConverted() ? null : $this->reading($wanted, $version, $on, $width, $other);

        return null === $lesser || $read->amount->isLessThan($lesser->amount) ? $read : $lesser;
    }

    private function choose(RequirementTable $table, NeedRequest $wanted, CuttingCloth $on, Length $width): ?RowChoice
    {
        return $table->choose($wanted->role, $wanted->largestSize(), $width, $on->oneWay, $this->assumptions->rowTolerance);
    }

    private function reading(NeedRequest $wanted, Version $version, CuttingCloth $on, Length $width, RowChoice $choice): RowReading
    {
        return new RowReading(
            $wanted,
            $version,
            $on,
            width: $width,
            choice: $choice,
            assumptions: $this->assumptions,
            conversion: $this->conversion,
        );
    }
}

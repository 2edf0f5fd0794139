<?php

declare(strict_types=1);

namespace Octavum\Core\Pattern;

/** Which row of a requirement table is read for a cloth. */
final readonly class RowChoice
{
    /**
     * @param ?Requirement $instead of: the row of the cloth's own width, which has no length for the size, or the row itself
     *                              where the cloth is narrower than every row; null when the row is read as it stands
     * @param ?Requirement $wider   the next row, which the cloth does not reach
     */
    public function __construct(public Requirement $row, public ?Requirement $instead, public ?Requirement $wider)
    {
    }

    public function isConverted(): bool
    {
        return null !== $this->instead;
    }

    /** The table has a row for the cloth, but no length in it. */
    public function isForEmptyCell(): bool
    {
        return null !== $this->instead && $this->instead !== $this->row;
    }
}

<?php

declare(strict_types=1);

namespace Octavum\Core\Pattern;

/** Which row of a requirement table is read for a cloth. */
final readonly class RowChoice
{
    /**
     * @param bool         $converted the cloth is narrower than every row
     * @param ?Requirement $wider     the next row, which the cloth does not reach
     */
    public function __construct(public Requirement $row, public bool $converted, public ?Requirement $wider)
    {
    }
}

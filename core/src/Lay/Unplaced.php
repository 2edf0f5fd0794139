<?php

declare(strict_types=1);

namespace Octavum\Core\Lay;

use Octavum\Core\Lay\Way\Fault;

/** A copy of a piece that a lay has no place for. */
final readonly class Unplaced
{
    /**
     * @param string      $piece   its id
     * @param list<Fault> $reasons one a way of laying that was tried
     */
    public function __construct(public string $piece, public int $copy, public array $reasons)
    {
    }
}

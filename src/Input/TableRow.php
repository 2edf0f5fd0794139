<?php

declare(strict_types=1);

namespace Octavum\Input;

use Octavum\Core\Measure\Sentence;

/**
 * A row of a table that is brought, as it is shown before anything is saved.
 *
 * @template T of object
 */
final readonly class TableRow
{
    /**
     * @param T              $thing what was read from it
     * @param string         $state new · double · there
     * @param string         $of    of a double: the row it repeats
     * @param list<string>   $cells what was understood, as it is shown
     * @param list<Sentence> $says  what to look at
     */
    public function __construct(public object $thing, public string $state, public string $of, public array $cells, public array $says)
    {
    }

    public function isNew(): bool
    {
        return 'new' === $this->state;
    }
}

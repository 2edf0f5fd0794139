<?php

declare(strict_types=1);

namespace Octavum\Core\Season;

/** Someone who is sewn for. */
final readonly class Person
{
    public function __construct(public string $id, public string $name, public bool $child = false, public string $notes = '')
    {
    }
}

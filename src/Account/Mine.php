<?php

declare(strict_types=1);

namespace Octavum\Account;

/**
 * Marks an argument of a controller: the record whose id stands in the route, where it is open to whoever is signed in; else the
 * page is not found, which says nothing about whether it exists.
 */
#[\Attribute(\Attribute::TARGET_PARAMETER)]
final readonly class Mine
{
    public function __construct(public string $parameter = 'id')
    {
    }
}

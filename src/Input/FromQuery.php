<?php

declare(strict_types=1);

namespace Octavum\Input;

/** Marks an Entry that is read from the address, as filters are; without it, it is read from the form that was sent. */
#[\Attribute(\Attribute::TARGET_PARAMETER)]
final readonly class FromQuery
{
}

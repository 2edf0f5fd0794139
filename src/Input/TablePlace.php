<?php

declare(strict_types=1);

namespace Octavum\Input;

/** Where a page of a table stands. */
final readonly class TablePlace
{
    /**
     * @param string $room the room that is lit in the bar
     * @param string $out  the route of what is here as a table
     * @param string $back the route back
     */
    public function __construct(public string $room, public string $out, public string $back)
    {
    }
}

<?php

declare(strict_types=1);

namespace Octavum\Core\Reading;

/** What a column of a table may hold; the enum's value names it. */
interface TableColumn extends \BackedEnum
{
    /** By its heading; null when it says nothing known. */
    public static function guess(string $heading): ?self;

    /** For what has no column of its own. */
    public static function notes(): self;
}

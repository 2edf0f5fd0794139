<?php

declare(strict_types=1);

namespace Octavum\Core\Reading;

/** Of an enum of columns with a case Notes and, in WORDS, the words of headings by value. */
trait ByHeading
{
    public static function guess(string $heading): ?self
    {
        return self::tryFrom(Headings::guess($heading, self::WORDS) ?? '');
    }

    public static function notes(): self
    {
        return self::Notes;
    }
}

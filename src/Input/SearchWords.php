<?php

declare(strict_types=1);

namespace Octavum\Input;

/** The words of a text that is searched for. */
final readonly class SearchWords
{
    /** @return list<string> */
    public static function of(string $text): array
    {
        $words = preg_split('/\s+/u', $text, -1, \PREG_SPLIT_NO_EMPTY);

        return false === $words ? [] : $words;
    }
}

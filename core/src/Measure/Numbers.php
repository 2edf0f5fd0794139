<?php

declare(strict_types=1);

namespace Octavum\Core\Measure;

/** Small numbers as people write them out, in figures. */
final readonly class Numbers
{
    public const WORDS = [
        'one' => '1',
        'two' => '2',
        'three' => '3',
        'four' => '4',
        'five' => '5',
        'six' => '6',
        'seven' => '7',
        'eight' => '8',
        'nine' => '9',
        'ten' => '10',
    ];

    /** The words, as alternatives of a regular expression. */
    public static function alternatives(): string
    {
        return implode('|', array_keys(self::WORDS));
    }
}

<?php

declare(strict_types=1);

namespace Octavum\Core\Haul;

use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Measure\Unit;
use Octavum\Core\Measure\Unreadable;
use Octavum\Core\Reading\Chip;
use Octavum\Core\Reading\Spoken;

/**
 * One line while it is read: what is left of it, and what has been understood and doubted so far. What is taken leaves a bar in
 * its place, so that what stood beside it does not grow together.
 *
 * @internal to the readers of a haul
 */
final class HaulCursor
{
    public const NUMBER = '(?:\d+[ -]\d+/\d+|\d+/\d+|\d+(?:[.,]\d+)?\s?[½¼¾⅛⅜⅝⅞⅓⅔]|\d+(?:[.,]\d+)?|\.\d+|[½¼¾⅛⅜⅝⅞⅓⅔])';
    public const UNIT = '(?:mm|cms?|centimet(?:re|er)s?|met(?:re|er)s?|mtrs?|mts?|m|inch(?:es)?|ins?'
        .'|"|″|”|\'\'|yards?|yds?|y|feet|foot|ft)';
    public const SPOKEN = '(?:(?:half|three[ -]quarters?|a quarter|quarter|one|two|three|four|five|six|a)(?: and a (?:half|quarter))?'
        .'(?: of)?(?: an?)?[ -](?:metres?|meters?|yards?)(?: and a (?:half|quarter))?)';
    public const WORD_END = '(?![\p{L}\d])';

    /** What nobody has read yet, in small letters. */
    public string $rest;

    /** The same, with known words left in that belong into the name, too. */
    public string $named;

    /** @var list<Chip> */
    public array $chips = [];

    /** @var list<Sentence> */
    public array $doubts = [];

    public function __construct(string $line)
    {
        $spoken = new Spoken();
        $this->rest = $this->named = ' '.$spoken->plain(mb_strtolower(strtr($line, ['’' => "'", '×' => 'x', '|' => ',']))).' ';
        foreach ($spoken->ranges as $range) {
            $this->doubt(new Sentence('{said} is a range: the smaller is taken until it is measured', ['said' => trim($range)]));
        }
    }

    public function chip(Chip $chip): void
    {
        $this->chips[] = $chip;
    }

    public function doubt(Sentence $doubt): void
    {
        $this->doubts[] = $doubt;
    }

    /**
     * Takes the first match out of the line.
     *
     * @param bool $known a word that belongs into the name, too
     *
     * @return ?array<int|string, string>
     */
    public function take(string $pattern, bool $known = false): ?array
    {
        if (1 !== preg_match('~'.$pattern.'~u', $this->rest, $found, \PREG_OFFSET_CAPTURE)) {
            return null;
        }
        [$match, $at] = $found[0];
        $gap = str_repeat('|', \strlen($match));
        $this->rest = substr_replace($this->rest, $gap, $at, \strlen($match));
        if (!$known) {
            $this->named = substr_replace($this->named, $gap, $at, \strlen($match));
        }

        return array_map(static fn (array $part): string => $part[0], $found);
    }

    /**
     * @template T
     *
     * @param array<string, T> $words
     *
     * @return ?T
     */
    public function word(array $words, string $kind): mixed
    {
        $said = $this->said(array_keys($words));
        if (null === $said) {
            return null;
        }
        $this->chip(new Chip($kind, new Sentence('{word}', ['word' => $said[0]]), $said[1]));

        return $words[$said[0]];
    }

    /**
     * The first of some words in the line, with whether a question mark follows it.
     *
     * @param list<string> $words
     *
     * @return ?array{string, bool}
     */
    public function said(array $words): ?array
    {
        $found = $this->take('(?<![\p{L}\d-])('.$this->alternatives($words).')(?![\p{L}\d])(\s?\?)?', true);

        return null === $found ? null : [$found[1], '' !== ($found[2] ?? '')];
    }

    /** @param list<string> $words */
    public function alternatives(array $words): string
    {
        usort($words, static fn (string $a, string $b): int => \strlen($b) <=> \strlen($a));

        return implode('|', array_map(static fn (string $word): string => preg_quote($word, '~'), $words));
    }

    public function length(string $text, Unit $unit): ?Length
    {
        try {
            return Length::parse($text, $unit);
        } catch (Unreadable $unreadable) {
            $this->doubt($unreadable->sentence);

            return null;
        }
    }
}

<?php

declare(strict_types=1);

namespace Octavum\Core\Reading;

use Octavum\Core\Measure\Numbers;

/**
 * Brings the figures of a line into one form before they are read: "2m40" is 2.40m, "two and three quarter yards" 2 3/4 yards,
 * 44/45" 44", since of a range what is owned is the smaller. Everything else stays as it was typed.
 */
final class Spoken
{
    private const PARTS = ['half' => '1/2', 'quarter' => '1/4', 'three quarter' => '3/4', 'third' => '1/3', 'two third' => '2/3'];
    private const TENS = [
        'ten' => 10,
        'fifteen' => 15,
        'twenty' => 20,
        'thirty' => 30,
        'forty' => 40,
        'fifty' => 50,
        'sixty' => 60,
        'seventy' => 70,
        'eighty' => 80,
        'ninety' => 90,
    ];
    private const FIGURE = '\d{1,2}(?:[.,]\d{1,2})?';
    private const LONG = '(met(?:re|er)s?|m|yards?|yds?)';

    /** @var list<string> lengths of which only the smaller was taken */
    public array $ranges = [];

    /** @param string $line in small letters */
    public function plain(string $line): string
    {
        $line = $this->spelt($line);
        $line =
            preg_replace(
                [
                    '~(?<![\d.,])(\d{1,3}),(\d{3})(?=\s?mm)~u',
                    '~(?<![\d.,\p{L}])(\d{1,2})\s?m(\d{2})(?:\s?cm)?(?![\d\p{L}%]|[.,]\d)~u',
                    '~(?<![\d.,\p{L}])(\d{1,2})\s?met(?:re|er)s?\s(\d{2})(?:\s?cm(?![\p{L}]))?(?!\s?(?:%|"|in(?:ch(?:es)?|s)?\b|wide|width|x\s|by\s|gsm|g\b|oz)|[\d.,])~u',
                    '~(?<![\d.,\p{L}])(\d{1,2})\s?m\s(\d{2})\s?cm(?![\p{L}])(?!\s?wide)~u',
                    '~(?<![\d.,\p{L}])(\d{1,2})\s?m\s(\d{2})(?=\s?(?:x|by)\s?\d{2,3}\s?cm)~u',
                    '~(?<![\d.,\p{L}])(\d{1,2})\s?(yds?|ft)(?=\d{1,2}\s?(?:ins?|")(?!\p{L}))~u',
                    '~(?<![\p{L}\d.,])(half|\d{1,2})-(?=(?:met(?:re|er)s?|yards?)(?!\p{L}))~u',
                    '~(?<=\d)\s?\((mm|cm|m|in|yds?)\)~u',
                    // of two bounds the smaller, as of any range of what is owned
                    '~(?<!\p{L})between\s('.
                    self::FIGURE.
                    ')(?:\s?'.
                    self::LONG.
                    ')?\s(?:and|to|&)\s('.
                    self::FIGURE.
                    ')\s?'.
                    self::LONG.
                    '(?![\p{L}])~u',
                ],
                ['$1$2', '$1.$2m', '$1.$2m', '$1.$2m', '$1.$2m', '$1 $2 ', '$1 ', ' $1', '$1-$3 $4'],
                $line,
            ) ?? $line;
        $line = $this->settled($line);
        $line = $this->smaller($line, '\d{2,3}(?:[.,]\d)?', '(?:"|″|”|in(?:ch(?:es)?|s)?\b|cm|mm|wide|width)', false);

        return $this->smaller($line, '\d{1,2}(?:[.,]\d{1,2})?', self::LONG.'(?![\p{L}\d²])', true);
    }

    /** Numbers in words, before a part of a metre or yard, in figures; ranges are left as they are. */
    public function spelt(string $line): string
    {
        $number = '(?<![\p{L}\d])('.Numbers::alternatives().'|a|\d{1,2})';
        $part = '(three[ -]quarters?|two[ -]thirds?|half|quarter|third)';
        $figure = static fn (string $word): string => Numbers::WORDS[$word] ?? ('a' === $word ? '1' : $word);
        $share = static fn (string $word): string => self::PARTS[rtrim(strtr($word, '-', ' '), 's')];
        $line =
            preg_replace_callback(
                '~'.
                    $number.
                    '\smet(?:re|er)s?\s(?:and\s)?('.
                    implode('|', array_keys(self::TENS)).
                    ')(?:[ -]('.
                    Numbers::alternatives().
                    '))?(?![\p{L}])~u',
                static fn (array $m): string => \sprintf(
                    '%s.%02dm',
                    $figure($m[1]),
                    self::TENS[$m[2]] + (int) (Numbers::WORDS[$m[3] ?? ''] ?? 0),
                ),
                $line,
            ) ?? $line;
        $line =
            preg_replace_callback(
                '~(?<![\p{L}\d])(?:a\s|one\s)?(two[ -]thirds?|third)\s(?:of\s)?(?:an?\s)?'.self::LONG.'(?![\p{L}])~u',
                static fn (array $m): string => $share($m[1]).' '.$m[2],
                $line,
            ) ?? $line;
        $line =
            preg_replace_callback(
                '~'.$number.'\s(?:and\s)(?:an?\s|one\s)?'.$part.'\s(?:of\san?\s)?'.self::LONG.'(?![\p{L}])~u',
                static fn (array $m): string => $figure($m[1]).' '.$share($m[2]).' '.$m[3],
                $line,
            ) ?? $line;

        return preg_replace_callback(
            '~'.$number.'\s'.self::LONG.'\sand\s(?:an?\s|one\s)?'.$part.'(?![\p{L}])(?!\san?\s(?:m|y))~u',
            static fn (array $m): string => $figure($m[1]).' '.$share($m[3]).' '.$m[2],
            $line,
        ) ?? $line;
    }

    /** Of a length with what the wash or the iron left of it, "3 m (2.85 after washing)", what was left. */
    private function settled(string $line): string
    {
        return preg_replace_callback(
            '~(?<![\d.,])'.self::FIGURE.'\s?'.self::LONG.'\s?[(,]\s?('.self::FIGURE.')\s?(?:'.self::LONG.')?\s(?:left\s)?'
                .'after\s(?:the\s|a\s)?(?:(?<wash>(?:pre-?)?wash(?:ing)?)|steam(?:ing)?)(?![\p{L}])\)?~u',
            static fn (array $m): string => $m[2].' '.$m[1].('' === ($m['wash'] ?? '') ? '' : ', washed,'),
            $line,
        ) ?? $line;
    }

    /** Two figures near each other with a slash or a dash between them. */
    private function smaller(string $line, string $number, string $before, bool $lengths): string
    {
        return preg_replace_callback(
            '~(?<![\d.,/\p{L}-])('.
                $number.
                ')(?:\s?(?:"|cm|in))?\s?(/|-|–|—|\sto\s)\s?('.
                $number.
                ')(?=\s?'.
                $before.
                ')(?![/\d])~u',
            function (array $m) use ($lengths): string {
                [$from, $to] = [(float) strtr($m[1], ',', '.'), (float) strtr($m[3], ',', '.')];
                $fraction = '/' === $m[2] && \in_array($m[3], ['2', '3', '4', '8', '16'], true);
                if ($fraction || $from <= 0 || $to <= $from || $to > 1.5 * $from) {
                    return $m[0];
                }
                if ($lengths) {
                    $this->ranges[] = $m[0];
                }

                return $m[1];
            },
            $line,
        ) ?? $line;
    }
}

<?php

declare(strict_types=1);

namespace Octavum\Core\Measure;

/**
 * Reads a length as people write it: decimals with point or comma, vulgar fractions in any spelling, unit names and
 * marks, terms of falling units ("1 yd 4 in", "1 m 20", "2m40"), ranges ("44/45 in", "2.8-3"), and the words of the shop
 * ("half a metre", "a yard and a half"). Two lengths in one unit are two cuts and are never added up; an area is no length.
 * Source: docs/rules.md.
 */
final readonly class LengthReader
{
    private const FRACTIONS = [
        '½' => '1/2',
        '¼' => '1/4',
        '¾' => '3/4',
        '⅛' => '1/8',
        '⅜' => '3/8',
        '⅝' => '5/8',
        '⅞' => '7/8',
        '⅓' => '1/3',
        '⅔' => '2/3',
        '⅙' => '1/6',
        '⅚' => '5/6',
        '⅕' => '1/5',
        '⅖' => '2/5',
        '⅗' => '3/5',
        '⅘' => '4/5',
    ];

    private const UNITS = [
        'mm' => Unit::Millimetre,
        'millimetre' => Unit::Millimetre,
        'millimeter' => Unit::Millimetre,
        'cm' => Unit::Centimetre,
        'cms' => Unit::Centimetre,
        'centimetre' => Unit::Centimetre,
        'centimeter' => Unit::Centimetre,
        'm' => Unit::Metre,
        'mtr' => Unit::Metre,
        'mtrs' => Unit::Metre,
        'metre' => Unit::Metre,
        'meter' => Unit::Metre,
        'in' => Unit::Inch,
        'ins' => Unit::Inch,
        'inch' => Unit::Inch,
        'inche' => Unit::Inch,
        '"' => Unit::Inch,
        'ft' => Unit::Foot,
        'foot' => Unit::Foot,
        'feet' => Unit::Foot,
        "'" => Unit::Foot,
        'yd' => Unit::Yard,
        'yds' => Unit::Yard,
        'y' => Unit::Yard,
        'yard' => Unit::Yard,
    ];

    private const NUMBERS = ['a' => '1', 'an' => '1'] + Numbers::WORDS;

    /** Taken off what is "just under" a figure, micrometres; a need takes the whole. */
    public const JUST_UNDER = 20_000;

    /** The words for it, in a regular expression. */
    public const UNDER = '(?:(?:just|a bit|bit|slightly|a little) (?:under|less than|short of)'
        .'|(?<!no )(?<!not )less than|not quite|nearly|almost|barely)';
    private const LONGEST_TEXT = 100;
    private const EXAMPLES = '1.4 m, 140 cm, 1 5/8 yd or 62 in';
    /** What a fraction may be of: any other figure with a slash is a range, or nothing. */
    private const PARTS = [2, 3, 4, 5, 6, 8, 16];
    /** Two figures of a range are so near each other, in per cent. */
    private const NEAR = 150;

    /** @param bool $larger of a range the larger figure is taken, else the smaller */
    public function __construct(private bool $larger = false)
    {
    }

    /**
     * @param Unit $default the unit of a bare number
     *
     * @throws Unreadable
     */
    public function read(string $text, Unit $default): Length
    {
        if (\strlen($text) > self::LONGEST_TEXT) {
            throw Unreadable::because('This is too long for a length: type one such as {examples}.', ['examples' => self::EXAMPLES]);
        }
        $plain = $this->plain($text);
        if (1 === preg_match('/\d\s?(?:mm|cm|m|in|ft|yd)(?:²|2(?!\d))|\b(?:square|sq)\b/u', $plain)) {
            throw Unreadable::because('“{text}” is an area, not a length: type the length alone, such as {examples}.', [
                'text' => mb_substr(trim($text), 0, 60),
                'examples' => self::EXAMPLES,
            ]);
        }
        if (1 === preg_match('/\d\s?m\d(?!\d)/', $plain)) {
            throw $this->unreadable($text);
        }
        if (1 === preg_match('/^\d{1,2}\s?(?:x|×|lengths? of|cuts? of|pieces? of)\s/u', $plain)) {
            throw $this->several($text);
        }
        if ('' === $plain) {
            throw Unreadable::because('A length is missing here: type one such as {examples}.', ['examples' => self::EXAMPLES]);
        }
        if (str_starts_with($plain, '-') || str_starts_with($plain, '−')) {
            throw Unreadable::because('“{text}” is below zero: a length is always more than nothing. Type one such as {examples}.', [
                'text' => trim($text),
                'examples' => self::EXAMPLES,
            ]);
        }
        $under = preg_replace('/^'.self::UNDER.' /', '', $plain) ?? $plain;
        $less = $under === $plain || $this->larger ? 0 : self::JUST_UNDER;
        $length = Length::ofMicrometres($this->sum($under, $text, $default) - $less);
        if ($length->micrometres <= 0) {
            throw Unreadable::because(
                '“{text}” is no length: type more than zero. Leave the field empty if it is not known.',
                ['text' => trim($text)],
            );
        }
        if ($length->micrometres > Length::LONGEST) {
            throw $this->tooLong($text);
        }

        return $length;
    }

    private function plain(string $text): string
    {
        $plain = mb_strtolower(trim(preg_replace('/\s+/u', ' ', $text) ?? ''));
        $plain = strtr($plain, ['″' => '"', '”' => '"', '“' => '"', "''" => '"', '′' => "'", '’' => "'", '⁄' => '/']);
        foreach (self::FRACTIONS as $sign => $fraction) {
            $plain = str_replace($sign, ' '.$fraction.' ', $plain);
        }
        $plain = preg_replace('/(?<![\d.,])(\d{1,3}),(\d{3})(?=\s?mm)/', '$1$2', $plain) ?? $plain;
        $plain = preg_replace('/(?<=\d),(?=\d)/', '.', $plain) ?? $plain;
        $plain = $this->range(trim($plain));

        return trim($this->words($plain));
    }

    /** "44/45 in" and "2.8 - 3 m" as the one figure that is taken of them. */
    private function range(string $plain): string
    {
        $number = '(\d{1,4}(?:\.\d{1,4})?)';
        if (
            1 !== preg_match('~^'.$number.'\s?(?:[a-z"\']+)?\s?(/|-|–|—|to)\s?'.$number.'\s?([a-z"\']*)\.?$~u', $plain, $found)
            || ('/' === $found[2] && self::isFraction((int) $found[1], (int) $found[3]))
        ) {
            return $plain;
        }
        [$from, $to] = [(float) $found[1], (float) $found[3]];

        return $from <= 0 || $to <= $from || 100 * $to > self::NEAR * $from
            ? $plain
            : trim(($this->larger ? $found[3] : $found[1]).' '.$found[4]);
    }

    private static function isFraction(int $numerator, int $denominator): bool
    {
        return $numerator < $denominator && \in_array($denominator, self::PARTS, true);
    }

    /** Turns the words of the shop into figures: "half a metre" into "1/2 metre". */
    private function words(string $plain): string
    {
        $names = implode('|', array_keys(self::NUMBERS));
        $plain = preg_replace('/\b('.$names.'|\d+) and (?=(a )?(half|quarter|three[ -]quarters?)\b)/', '$1 ', $plain) ?? $plain;
        $plain = preg_replace('/\b(\w+) ([a-z]+?)s? and a (half|quarter)\b/', '$1 $2 $3 $2', $plain) ?? $plain;
        $plain =
            preg_replace(
                [
                    '/\bthree[ -]quarters?( of an?)?\b/',
                    '/\btwo[ -]thirds?( of an?)?\b/',
                    '/\b(a )?third( of)?( an?)?\b/',
                    '/\b(a )?half( of)?( an?)?\b/',
                    '/\b(a )?quarter( of)?( an?)?\b/',
                ],
                ['3/4', '2/3', '1/3', '1/2', '1/4'],
                $plain,
            ) ?? $plain;
        $plain = preg_replace('/ (and|plus|&|\+) /', ' ', $plain) ?? $plain;

        return preg_replace_callback('/\b('.$names.')\b(?=[ \d]+)/', static fn (array $m): string => self::NUMBERS[$m[1]], $plain) ??
            $plain;
    }

    /** @throws Unreadable */
    private function sum(string $plain, string $text, Unit $default): int
    {
        $total = 0;
        $previous = null;
        while ('' !== $plain) {
            if (
                1 !==
                preg_match(
                    '~^(?:(\d{1,9})[ -]+(\d{1,4})/(\d{1,4})|(\d{1,4})/(\d{1,4})|(\d{0,9})\.(\d{1,6})|(\d{1,12}))\s*([a-z]+|["\'])?\.?[\s,+]*~',
                    $plain,
                    $part,
                    \PREG_UNMATCHED_AS_NULL,
                )
            ) {
                throw $this->unreadable($text);
            }
            $plain = substr($plain, \strlen($part[0]));
            [$numerator, $denominator] = match (true) {
                null !== $part[1] => [(int) $part[1] * (int) $part[3] + (int) $part[2], (int) $part[3]],
                null !== $part[4] => [(int) $part[4], (int) $part[5]],
                null !== $part[7] => [(int) ($part[6].$part[7]), 10 ** \strlen($part[7])],
                default => [(int) $part[8], 1],
            };
            $unit = $this->unit($part[9], $part[8], $previous, '' === $plain, $default);
            if (
                null === $unit
                || (null !== $part[1]
                    ? !self::isFraction((int) $part[2], (int) $part[3])
                    : null !== $part[4] && !\in_array((int) $part[5], self::PARTS, true))
            ) {
                throw $this->unreadable($text);
            }
            if ($unit === $previous && null === $part[4]) {
                throw $this->several($text);
            }
            if ($numerator > 10 ** 10) {
                throw $this->tooLong($text);
            }
            $total += Rounding::Nearest->divide($numerator * $unit->value, $denominator);
            $previous = $unit;
        }

        return $total;
    }

    /** The unit of one term; a bare number of one or two figures after metres counts centimetres ("1 m 20"). */
    private function unit(?string $name, ?string $whole, ?Unit $previous, bool $last, Unit $default): ?Unit
    {
        if (null !== $name) {
            return self::UNITS[$name] ?? (self::UNITS[rtrim($name, 's')] ?? null);
        }
        if (null === $previous) {
            return $last ? $default : null;
        }

        return $last && Unit::Metre === $previous && null !== $whole && \strlen($whole) <= 2 ? Unit::Centimetre : null;
    }

    private function unreadable(string $text): Unreadable
    {
        return Unreadable::because('“{text}” cannot be read as a length: type one such as {examples}.', [
            'text' => mb_substr(trim($text), 0, 60),
            'examples' => self::EXAMPLES,
        ]);
    }

    private function several(string $text): Unreadable
    {
        return Unreadable::because('“{text}” is more than one length: cuts are never added up. Enter each cut for itself.', [
            'text' => mb_substr(trim($text), 0, 60),
        ]);
    }

    private function tooLong(string $text): Unreadable
    {
        return Unreadable::because('“{text}” is longer than any bolt: lengths up to 500 m can be kept. Is the unit right?', [
            'text' => trim($text),
        ]);
    }
}

<?php

declare(strict_types=1);

namespace Octavum\Core\PatternLine;

/** Sizes as they stand on an envelope. */
final readonly class SizesReader
{
    private const LETTERS = ['XXXS', 'XXS', 'XS', 'S', 'M', 'L', 'XL', 'XXL', 'XXXL', '4XL', '5XL', '6XL'];

    /**
     * "8-20", "8 10 12", "S–XL", "size 34 to 46", "one size".
     *
     * @param bool $range whether only a range will do
     *
     * @return list<string>
     */
    public function read(string $part, bool $range = false): array
    {
        $plain = mb_strtoupper(trim(preg_replace('/^sizes?:?\s+/iu', '', $part) ?? $part));
        if ('ONE SIZE' === $plain) {
            return ['one size'];
        }
        if (1 === preg_match('/^(\d{1,3})\s*(?:-|–|TO)\s*(\d{1,3})$/u', $plain, $ends)) {
            [$from, $to] = [(int) $ends[1], (int) $ends[2]];
            $step = $from >= 50 && $from <= 200 && 0 === ($to - $from) % 6 ? 6 : (0 === $from % 2 && 0 === $to % 2 ? 2 : 1);

            return $to > $from && ($to - $from) / $step <= 20 ? array_map(strval(...), range($from, $to, $step)) : [];
        }
        if (1 === preg_match('/^(\d{1,2})\s?W\s*(?:-|–|TO)\s*(\d{1,2})\s?W$/u', $plain, $ends) && $ends[2] > $ends[1]) {
            return array_map(static fn (int $size): string => $size.'W', range((int) $ends[1], (int) $ends[2], 2));
        }
        if (
            1 ===
            preg_match(
                '/^(\d{1,2})\s?(M|MO|MOS|MONTHS?|Y|YR|YRS|YEARS?)?\s*(?:-|–|TO)\s*(\d{1,2})\s?(M|MO|MOS|MONTHS?|Y|YR|YRS|YEARS?)$/u',
                $plain,
                $ends,
            )
        ) {
            return self::ages((int) $ends[1], '' === $ends[2] ? $ends[4] : $ends[2], (int) $ends[3], $ends[4]);
        }
        $plain =
            preg_replace_callback('/\b([23])X(?=L|S)/u', static fn (array $m): string => str_repeat('X', (int) $m[1]), $plain) ?? $plain;
        $letters = implode('|', array_reverse(self::LETTERS));
        if (1 === preg_match('/^('.$letters.')\s*(?:-|–|TO)\s*('.$letters.')$/u', $plain, $ends)) {
            [$from, $to] = [(int) array_search($ends[1], self::LETTERS, true), (int) array_search($ends[2], self::LETTERS, true)];

            return $to > $from ? \array_slice(self::LETTERS, $from, $to - $from + 1) : [];
        }
        $listed = $range
            ? []
            : array_values(array_filter(explode(' ', strtr($plain, '/', ' ')), static fn (string $one): bool => '' !== $one));
        $each = array_filter($listed, static fn (string $one): bool => 1 === preg_match('/^(?:\d{1,3}|'.$letters.')$/u', $one));

        return [] !== $listed && \count($each) === \count($listed) && (\count($listed) > 1 || 1 === preg_match('/^sizes?/iu', $part))
            ? array_values(array_unique($each))
            : [];
    }

    /**
     * From months to years: by three months up to a year, by six up to two, then a year each.
     *
     * @return list<string>
     */
    private static function ages(int $from, string $fromUnit, int $to, string $toUnit): array
    {
        $months = static fn (int $number, string $unit): int => str_starts_with($unit, 'M') ? $number : 12 * $number;
        [$at, $end] = [$months($from, $fromUnit), $months($to, $toUnit)];
        $ages = [];
        while ($at <= $end && \count($ages) < 24) {
            $ages[] = $at < 24 && (str_starts_with($fromUnit, 'M') || 0 !== $at % 12) ? $at.' months' : intdiv($at, 12).' years';
            $at += $at < 12 ? 3 : ($at < 24 ? 6 : 12);
        }

        return \count($ages) > 1 ? $ages : [];
    }
}

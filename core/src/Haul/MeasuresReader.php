<?php

declare(strict_types=1);

namespace Octavum\Core\Haul;

use Octavum\Core\Cloth\Cut;
use Octavum\Core\Measure\Figure;
use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\LengthReader;
use Octavum\Core\Measure\Numbers;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Measure\System;
use Octavum\Core\Measure\Unit;
use Octavum\Core\Measure\Width;

/** Length and width, and how many cuts of it. */
final readonly class MeasuresReader
{
    /** In micrometres: from here on a figure is likely to be a width. */
    private const WIDE = 600_000;

    public function __construct(private HaulCursor $line)
    {
    }

    /**
     * @param bool $inShop the length is still to be found: a figure alone is the width
     *
     * @return array{int, ?Length, ?Length, list<Length>} cuts, length, width, and further cuts of other lengths
     */
    public function measures(System $system, bool $inShop = false): array
    {
        [$n, $u] = [HaulCursor::NUMBER, HaulCursor::UNIT];
        $count = 1;
        $length = $width = null;
        $this->converted();
        $this->line->take('(?<![\d.,])'.$n.'\s?mm (?:thick|pile)'.HaulCursor::WORD_END, true);
        $gone = $this->line->take('(?<!\p{L})(?:used|cut off|gave away)\s('.$n.'\s?'.$u.')'.HaulCursor::WORD_END);
        if (null !== $gone) {
            $this->line->doubt(new Sentence('{said}: type the length that is left', ['said' => trim($gone[0])]));
        }
        $isUnder = null !== $this->line->take('(?<!\p{L})'.LengthReader::UNDER.'(?=\s(?:'.$n.'|'.HaulCursor::SPOKEN.'))');
        $found = $this->line->take('(?<=[\s,])(?:(\d{1,2}|'.self::words().')\s?(?:x\s?)?)?fat quarters?'.HaulCursor::WORD_END);
        if (null !== $found) {
            $count = $this->count($found[1] ?? '1');
            [$length, $width] = [Length::of('50', Unit::Centimetre), Length::of('55', Unit::Centimetre)];
            $this->line->doubt(new Sentence('a fat quarter is counted as 50 × 55 cm: measure it when it is tight'));
        }
        $found =
            $this->line->take('(?<![\d.,])('.$n.')\s?('.$u.')?\s?(?:wide|width|w)'.HaulCursor::WORD_END) ??
            $this->line->take('(?<!\p{L})(?:width|wide|w)[:=]?\s?('.$n.')\s?('.$u.')?'.HaulCursor::WORD_END);
        if (null !== $found) {
            $width = $this->width($found[1], $found[2] ?? '');
        }
        $found = $this->line->take('(?<!\p{L})(?:folded(?: to| at)?|tub(?:e|ular),?\s2\s?x)\s('.$n.'\s?'.$u.')'.HaulCursor::WORD_END);
        $half = null === $found ? null : $this->line->length($found[1], Unit::Centimetre);
        if (null !== $half) {
            $width ??= $half->times(2);
            $this->line->doubt(new Sentence('{half} folded: twice that is taken for the width', ['half' => Figure::exact($half)]));
        }
        $found =
            $this->line->take('(?<![\d.,])('.$n.'\s?'.$u.')\s?(?:long|length|drop)'.HaulCursor::WORD_END) ??
            $this->line->take('(?<![\d.,])(\d{2,3})\s?(?:long|drop)'.HaulCursor::WORD_END) ??
            $this->line->take('(?<!\p{L})(?:length|long|l)[:=]?\s?('.$n.'\s?'.$u.'|\d{2,3}(?![.,]\d))'.HaulCursor::WORD_END);
        $length = null === $found ? $length : $this->line->length($found[1], ctype_digit($found[1]) ? Unit::Centimetre : Unit::Metre);
        $number = '(?<![\d.,/\p{L}-])([1-9]|1[0-2]|'.self::words().')';
        $found =
            $this->line->take(
                $number.
                    '\s?(?:x|of|pieces? of|cuts? of|lengths? of|lots of)\s?(?=(?:'.
                    $n.
                    ')\s?(?:metres?|meters?|mtrs?|m|yards?|yds?|y|cms?)'.
                    HaulCursor::WORD_END.
                    '|'.
                    HaulCursor::SPOKEN.
                    ')',
            ) ??
            $this->line->take($number.'\s(?=half (?:metres|meters|yards)'.HaulCursor::WORD_END.')') ??
            $this->line->take($number.'\s(?='.$n.'\s?'.$u.'\s(?:long\s)?(?:lengths?|cuts?|pieces?|remnants?)'.HaulCursor::WORD_END.')') ??
            $this->line->take('(?<=^\s)([1-9]|1[0-2])\s(?:pieces? of|cuts? of|lengths? of|lots of)\s(?='.$n.'(?:\s|$))');
        if (null !== $found) {
            $count = $this->count($found[1]);
            $ambiguous =
                1 === preg_match('~^[\s|]*(\d[.,]\d+)\s?m'.HaulCursor::WORD_END.'~u', $this->line->rest, $next)
                && (float) str_replace(',', '.', $next[1]) >= 1.1
                && (float) str_replace(',', '.', $next[1]) <= 1.6
                && str_contains($found[0], 'x')
                && null === $width
                && 1 !== preg_match('~\d\s?(?:cm|"|in)~u', $this->line->rest);
            if ($ambiguous) {
                $this->line->doubt(
                    new Sentence('read as {count} cuts; if it is {count} m long and {width} m wide, type {count}m {width}m wide', [
                        'count' => $count,
                        'width' => $next[1],
                    ]),
                );
            }
        }
        $named = $this->line->take($number.'\s(?:cuts?|pieces?|lengths?|remnants?)(?:\s?[:,]|\s)(?=.*\d)');
        $row = null === $length && 1 === $count ? $this->row(null !== $named) : [];
        $cuts = null === $named ? 1 : (int) (Numbers::WORDS[$named[1]] ?? $named[1]);
        if ($cuts > 1 && [] === $row && null === $length) {
            $count = $cuts;
            if (null === $this->line->take('(?<!\p{L})each'.HaulCursor::WORD_END)) {
                $this->line->doubt(
                    new Sentence('read as {count} cuts of one length; of several lengths type such as 1.2 m + 80 cm', ['count' => $cuts]),
                );
            }
        } elseif ($cuts > 1 && $cuts !== \count($row)) {
            $this->line->doubt(
                new Sentence('{said}: type the length of each, such as 1.2 m + 80 cm', ['said' => trim($named[0] ?? '', ' ,:')]),
            );
        }
        $length ??= array_shift($row);
        $others = $row;
        if (null === $length && null === $width) {
            [$length, $width] = $this->sides();
        }
        if (
            $count > 1
            && null === $length
            && null !==
                ($found = $this->line->take(
                    '(?<=^\s)[\s|]*\|[\s|]*('.$n.')(?=\s[\p{L}\d]|\s$)(?!\s?'.$u.HaulCursor::WORD_END.')',
                ))
        ) {
            $length = $this->line->length(trim($found[1]), $system->lengthUnit());
            $this->line->doubt(
                Unit::Metre === $system->lengthUnit()
                    ? new Sentence('{said} has no unit: metres are assumed', ['said' => $found[1]])
                    : new Sentence('{said} has no unit: yards are assumed', ['said' => $found[1]]),
            );
        }
        $found = $this->line->take('(?<![\d.,])(?:'.$number.'\s)?('.$n.'\s?'.$u.')\s(?:squares?|sq)'.HaulCursor::WORD_END);
        if (null !== $found) {
            $count = '' === $found[1] ? $count : $this->count($found[1]);
            $length = $width = $this->line->length($found[2], Unit::Centimetre);
        }
        if ($inShop && null === $length && null === $width) {
            $width = $this->alone();
        }
        [$length, $width] = $this->loose($length, $width, $system, $inShop);
        if ($isUnder && null !== $length) {
            $length = Length::ofMicrometres(max(0, $length->micrometres - LengthReader::JUST_UNDER));
            $this->line->doubt(new Sentence('a little under: 2 cm less is counted until it is measured'));
        }

        // what is left is not guessed
        $length = null === $gone ? $length : null;

        return [$count, ...$this->believable($length, $width), $others];
    }

    /** The words for the numbers, as alternatives. */
    private static function words(): string
    {
        return implode('|', array_keys(Numbers::WORDS));
    }

    /** How many cuts a figure or a word says. */
    private function count(string $said): int
    {
        return max(1, min(20, (int) (Numbers::WORDS[$said] ?? $said)));
    }

    /** A figure in brackets that is the one before it in another unit says nothing new: "112 cm (44 in)". */
    private function converted(): void
    {
        $figure = '('.HaulCursor::NUMBER.')\s?('.HaulCursor::UNIT.')';
        while (1 === preg_match('~(?<![\d.,\p{L}])'.$figure.'\s?(\(\s?'.$figure.'\s?\))~u', $this->line->rest, $found)) {
            [$said, $again] = [
                $this->line->length($found[1].' '.$found[2], Unit::Metre),
                $this->line->length($found[4].' '.$found[5], Unit::Metre),
            ];
            $off = null === $said || null === $again ? \PHP_INT_MAX : abs($said->minus($again)->micrometres);
            if (50 * $off > ($said->micrometres ?? 0)) {
                return;
            }
            $this->line->take(preg_quote($found[3], '~'));
        }
    }

    /**
     * Lengths with "and" or a plus between them: each is a cut of its own, never a width.
     *
     * @param bool $isNamed "3 remnants", "scraps": then commas part them, too, which else part a length from a width
     *
     * @return list<Length>
     */
    private function row(bool $isNamed): array
    {
        [$n, $u] = [HaulCursor::NUMBER, HaulCursor::UNIT];
        $isNamed =
            $isNamed
            || 1 === preg_match('~(?<!\p{L})(?:scraps|remnants|offcuts|cuts|pieces|lengths)'.HaulCursor::WORD_END.'~u', $this->line->named);
        $joint = '\s?(?:\+|&|,?\s?(?:and|plus)\s(?:an?\s)?'.($isNamed ? '|,' : '').')\s?';
        $one = '(?:'.$n.')\s?(?:'.$u.')';
        $found = $this->line->take(
            '(?<![\d.,\p{L}/-])'.$one.'?(?:'.$joint.$one.'?)*'.$joint.$one.HaulCursor::WORD_END.
                '(?!\s?(?:wide|width|x\s?\d|by\s?\d))',
        );
        if (null === $found) {
            return [];
        }
        preg_match_all('~('.$n.')\s?('.$u.')?(?!\d|[.,]\d)~u', $found[0], $each, \PREG_SET_ORDER);
        $unit = '';
        $lengths = [];
        foreach (array_reverse($each) as $one) {
            $unit = '' === ($one[2] ?? '') ? $unit : $one[2];
            $lengths[] = $this->line->length($one[1].' '.$unit, Unit::Metre);
        }

        return array_values(array_filter(array_reverse($lengths)));
    }

    /**
     * The width of a cloth met in a shop: the only figure, from 80 to 180 cm or 32 to 70 in, with its unit or without. Centimetres and
     * inches outside that are asked about; another figure in metres or yards is a length.
     */
    private function alone(): ?Length
    {
        $figure =
            '(?<![\d.,\p{L}/-])(?:('.HaulCursor::NUMBER.')\s?('.HaulCursor::UNIT.')|(\d{2,3})(?:\s?[/–-]\s?(\d{2,3}))?)'
            .HaulCursor::WORD_END.'(?![.,/]\d|\s?(?:%|/|per|an?\s|gsm|g\b|oz|wale))';
        preg_match_all('~'.$figure.'~u', $this->line->rest, $all, \PREG_SET_ORDER | \PREG_UNMATCHED_AS_NULL);
        $read = [];
        foreach ($all as $i => $found) {
            [, $number, $unit, $bare, $to] = array_pad($found, 5, null);
            if (null === $to || (int) $to >= (int) $bare) {
                $read[$i] = null === $bare
                    ? $this->line->length($number.' '.$unit, Unit::Centimetre)
                    : $this->line->length($bare, (int) $bare > 72 ? Unit::Centimetre : Unit::Inch);
            }
        }
        $widths = array_filter($read, $this->isShopWidth(...));
        $withUnit = array_filter($all, static fn (array $found): bool => null !== $found[1]);
        if (1 === \count($widths) && [] === array_diff_key($withUnit, $widths)) {
            $said = $all[array_key_first($widths)][0] ?? '';
            $this->line->take('(?<![\d.,\p{L}/-])'.preg_quote($said, '~'));
            if ([] === $withUnit) {
                $this->line->doubt(new Sentence('{said} has no unit: it is taken for the width', ['said' => trim($said)]));
            }

            return reset($widths);
        }
        if (1 === \count($all) && $this->isSmall((string) $all[0][2])) {
            $this->line->take($figure);
            $this->line->doubt(
                new Sentence('{said}: is it the length or the width? Type “long” or “wide” behind it', [
                    'said' => trim($all[0][0]),
                ]),
            );
        }

        return null;
    }

    private function isShopWidth(?Length $width): bool
    {
        return null !== $width && $width->micrometres >= 800_000 && $width->micrometres <= 1_800_000;
    }

    /**
     * Length by width, units left out where they can be told: "2m x 140", "200 x 140", "45 x 110 cm".
     *
     * @return array{?Length, ?Length}
     */
    private function sides(): array
    {
        [$n, $u] = [HaulCursor::NUMBER, HaulCursor::UNIT];
        $found =
            $this->line->take(
                '(?<![\d.,])('.$n.')\s?('.$u.')?\s?(?:x|by|\*)\s?('.$n.')\s?('.$u.')'.HaulCursor::WORD_END,
            ) ??
            $this->line->take('(?<![\d.,])('.$n.')\s?('.$u.')\s?(?:x|by|\*)\s?(\d{2,3})(?![\d.,%]|\s?(?:gsm|g\b|oz))') ??
            $this->line->take('(?<![\d.,])(\d{2,3})()\s?(?:x|by|\*)\s?(\d{2,3})(?![\d.,%]|\s?(?:gsm|g\b|oz))') ??
            $this->line->take('(?<![\d.,])(\d?[.,]\d{1,2})(m?)\s?(?:x|by|\*)\s?(\d?[.,]\d{1,2})()(?![\d.,%]|\s?(?:gsm|g\b|oz))');
        if (null === $found) {
            return [null, null];
        }
        $second = $found[4] ?? 'cm';
        $second = '' === $second ? 'm' : $second;
        $first = '' === $found[2] ? $second : $found[2];
        [$length, $width] = [
            $this->line->length($found[1].$first, Unit::Metre),
            $this->line->length($found[3].$second, Unit::Centimetre),
        ];
        if (null === $length || null === $width) {
            return [null, null];
        }
        if ($this->isSmall($first) && !$this->isSmall($second)) {
            [$length, $width] = [$width, $length];
        } elseif ($this->isSmall($first) && $this->isEitherWay($length, $width)) {
            $this->line->doubt(
                new Sentence('{said}: read as {length} long and {width} wide', [
                    'said' => trim($found[0]),
                    'length' => Figure::width($length),
                    'width' => Figure::width($width),
                ]),
            );
        }

        return [$length, $width];
    }

    /** Both short, or the first is usual as a width and the second is not: 150 x 100, 150 x 300. */
    private function isEitherWay(Length $length, Length $width): bool
    {
        [$long, $wide] = [$length->micrometres, $width->micrometres];
        $isUsual = static fn (int $side): bool => $side >= 1_100_000 && $side <= 1_800_000;

        return max($long, $wide) < 1_300_000 || (!$isUsual($wide) && ($isUsual($long) || $wide > 1_800_000));
    }

    /**
     * What no cloth is, is asked and never computed with.
     *
     * @return array{?Length, ?Length}
     */
    private function believable(?Length $length, ?Length $width): array
    {
        if (null !== $width && !Width::isBelievable($width)) {
            $this->line->doubt(
                new Sentence('{width} is no width of a cloth: one is 20 to 330 cm wide', ['width' => Figure::exact($width)]),
            );
            $width = null;
        }
        if (null !== $length && $length->micrometres > Cut::LONGEST) {
            $this->line->doubt(new Sentence('{length} is longer than any cut: is the unit right?', ['length' => Figure::exact($length)]));
            $length = null;
        }

        return [$length, $width];
    }

    /**
     * Lengths without a word beside them: metres and yards are lengths, centimetres and inches widths if there is a length too.
     *
     * @return array{?Length, ?Length}
     */
    private function loose(?Length $length, ?Length $width, System $system, bool $inShop): array
    {
        $found =
            null === $length
                ? $this->line->take(
                    '(?<![\d.,/\p{L}-])\d{1,2}\s?(?:m\s?(?:\d{2}(?:\s?cm)?|\d\s?cm)(?!\s?(?:%|[\dx"]|[.,]\d))|(?:yards?|yds?|y)\s(?:[12]?\d|3[0-5])\s?(?:inch(?:es)?|ins?|")|(?:feet|foot|ft)\s?(?:\d|1[01])\s?(?:inch(?:es)?|ins?|"))'.
                        HaulCursor::WORD_END,
                )
                : null;
        $length = null === $found ? $length : $this->line->length($found[0], Unit::Metre);
        $found = null === $length ? $this->line->take('(?<![\d.,\p{L}])'.HaulCursor::SPOKEN.HaulCursor::WORD_END) : null;
        $length = null === $found ? $length : $this->line->length(trim($found[0]), Unit::Metre);
        if (
            null === $length
            && !$inShop
            && 1 !== preg_match('~(?<![\d.,\p{L}-])'.HaulCursor::NUMBER.'\s?(?:met|m(?!m)|y|f)~u', $this->line->rest)
            && null !==
                ($found = $this->line->take(
                    '(?<=^\s)('.HaulCursor::NUMBER.')(?=\s\p{L})(?!\s?'.HaulCursor::UNIT.HaulCursor::WORD_END.')',
                ))
        ) {
            $length = $this->line->length($found[1], $system->lengthUnit());
            if (null !== $length && $length->micrometres > 30_000_000) {
                $this->line->doubt(new Sentence('{said} has no unit: type such as {said} cm', ['said' => $found[1]]));
                $length = null;
            } elseif (null !== $length) {
                $this->line->doubt(
                    Unit::Metre === $system->lengthUnit()
                        ? new Sentence('{said} has no unit: metres are assumed', ['said' => $found[1]])
                        : new Sentence('{said} has no unit: yards are assumed', ['said' => $found[1]]),
                );
            }
        }

        $long = $short = [];
        while (
            null !==
            ($found = $this->line->take(
                '(?<![\d.,\p{L}-])('.HaulCursor::NUMBER.')\s?('.HaulCursor::UNIT.')'.HaulCursor::WORD_END,
            ))
        ) {
            $value = $this->line->length($found[1].' '.$found[2], Unit::Metre);
            if (null !== $value) {
                $this->isSmall($found[2]) ? ($short[] = [$value, trim($found[0])]) : ($long[] = [$value, trim($found[0])]);
            }
        }
        $isWidth = static fn (Length $value): bool => $value->micrometres >= self::WIDE && Width::isBelievable($value);
        foreach ($long as [$value, $said]) {
            if (null === $length) {
                $length = $value;
            } elseif (null === $width && $isWidth($value)) {
                $width = $value;
                $this->line->doubt(new Sentence('{said} is taken for the width', ['said' => $said]));
            } else {
                $this->line->doubt(new Sentence('{said} is one length too many: one line is one cut', ['said' => $said]));
            }
        }
        foreach ($short as $i => [$value, $said]) {
            $alone = null === $length && 1 === \count($short);
            if ($alone && null === $width && $isWidth($value)) {
                $this->line->doubt(
                    new Sentence('{said}: is it the length or the width? Type “long” or “wide” behind it', ['said' => $said]),
                );
            } elseif (null === $length && (!$isWidth($value) || (0 === $i && \count($short) > 1) || null !== $width)) {
                $length = $value;
                if (\count($short) > 1) {
                    $this->line->doubt(new Sentence('{said} is taken for the length', ['said' => $said]));
                }
            } elseif (null === $width && $isWidth($value)) {
                $width = $value;
            } else {
                $this->line->doubt(new Sentence('{said} is neither length nor width here', ['said' => $said]));
            }
        }
        if (
            null !== $length
            && null === $width
            && null !== ($found = $this->line->take('(?<![\d.,\p{L}/])(\d{2,3})(?=[\s,])(?!\s?%)'))
            && $isWidth($guess = $this->line->length($found[1], (int) $found[1] > 72 ? Unit::Centimetre : Unit::Inch) ?? Length::zero())
        ) {
            $width = $guess;
            $this->line->doubt(new Sentence('{said} has no unit: it is taken for the width', ['said' => $found[1]]));
        }

        return [$length, $width];
    }

    /** Centimetres and inches, in which people give widths. */
    private function isSmall(string $unit): bool
    {
        return 1 === preg_match('~^(?:mm|c|in|"|″|”|\'\')~u', $unit);
    }

    private function width(string $number, string $unit): ?Length
    {
        if ('' !== $unit) {
            return $this->line->length($number.' '.$unit, Unit::Centimetre);
        }
        $value = $this->line->length($number, Unit::Inch);
        $inches = null === $value ? 0 : $value->micrometres / Unit::Inch->value;
        if ($inches >= 34 && $inches <= 72) {
            $this->line->doubt(new Sentence('{said} has no unit: inches are taken', ['said' => $number]));

            return $value;
        }
        if ($inches > 72) {
            return $this->line->length($number, Unit::Centimetre);
        }
        $metres = $this->line->length($number, Unit::Metre);

        return $inches >= 0.8 && $inches <= 3.3 ? $metres : null;
    }
}

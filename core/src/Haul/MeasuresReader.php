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

/**
 * Length and width.
 * Longer than other files: each rule is one line of a pattern, and which comes first is what makes them right together.
 */
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
        $cuts = new CutsReader($this->line);
        $count = 1;
        $length = $width = null;
        $this->converted();
        $this->line->take('(?<![\d.,])'.$n.'\s?mm (?:thick|pile)'.HaulCursor::WORD_END, true);
        $gone = $this->line->take('(?<!\p{L})(?:used|cut off|gave away)\s('.$n.'\s?'.$u.')'.HaulCursor::WORD_END);
        if (null !== $gone) {
            $this->line->doubt(new Sentence('{said}: type the length that is left', ['said' => trim($gone[0])]));
        }
        $isUnder = null !== $this->line->take('(?<!\p{L})'.LengthReader::UNDER.'(?=\s(?:'.$n.'|'.HaulCursor::SPOKEN.'))');
        $found = $this->line->take('(?<=[\s,])(?:(\d{1,2}|'.Numbers::alternatives().')\s?(?:x\s?)?)?fat quarters?'.HaulCursor::WORD_END);
        if (null !== $found) {
            $count = $cuts->count($found[1] ?? '1');
            [$length, $width] = [Length::of('50', Unit::Centimetre), Length::of('55', Unit::Centimetre)];
            $this->line->doubt(new Sentence('a fat quarter is counted as 50 × 55 cm: measure it when it is tight'));
        }
        $found =
            $this->line->take('(?<![\d.,])('.$n.')\s?('.$u.')?\s?(?:wide|w|width(?!\s?[:=]?\s?\d))'.HaulCursor::WORD_END) ??
            $this->line->take('(?<![\d.,])('.$n.')\s?(cms?|ins?|inch(?:es)?|"|″|”)\s?width'.HaulCursor::WORD_END) ??
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
        [$count, $length, $others] = $cuts->cuts($count, $length, $width);
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
        $found = $this->line->take('(?<![\d.,])(?:'.CutsReader::number().'\s)?('.$n.'\s?'.$u.')\s(?:squares?|sq)'.HaulCursor::WORD_END);
        if (null !== $found) {
            $count = '' === $found[1] ? $count : $cuts->count($found[1]);
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

    /** A figure in brackets or behind a slash that is the one before it in another unit says nothing new: "112 cm (44 in)". */
    private function converted(): void
    {
        $figure = '('.HaulCursor::NUMBER.')\s?('.HaulCursor::UNIT.')';
        $again = '(?=\s?(\(\s?'.$figure.'\s?\)|/\s?'.$figure.'(?![\p{L}\d])))';
        preg_match_all('~(?<![\d.,\p{L}])'.$figure.$again.'~u', $this->line->rest, $pairs, \PREG_SET_ORDER | \PREG_UNMATCHED_AS_NULL);
        foreach ($pairs as [, $number, $unit, $second, $bracketed, $itsUnit, $slashed, $itsOther]) {
            $one = $this->line->length($number.' '.$unit, Unit::Metre);
            $other = $this->line->length(($bracketed ?? $slashed).' '.($itsUnit ?? $itsOther), Unit::Metre);
            $off = null === $one || null === $other ? \PHP_INT_MAX : abs($one->minus($other)->micrometres);
            if (50 * $off <= ($one->micrometres ?? 0)) {
                $this->line->take(preg_quote($second, '~'));
            }
        }
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
        $bare = '(?<![\d.,\p{L}/])(\d{2,3})(?:\s?[/–-]\s?\d{2,3})?(?=[\s,])(?!\s?%)';
        $guess = 1 === preg_match('~'.$bare.'~u', $this->line->rest, $found)
            ? $this->line->length($found[1], (int) $found[1] > 72 ? Unit::Centimetre : Unit::Inch)
            : null;
        $guess = null === $guess || !$isWidth($guess) ? null : $guess;
        foreach ($short as $i => [$value, $said]) {
            // beside a wider figure without a unit it is the length
            $alone = null === $length && 1 === \count($short) && (null === $guess || !$value->isLessThan($guess));
            if ($alone && null === $width && $isWidth($value)) {
                $this->line->doubt(
                    new Sentence('{said}: is it the length or the width? Type “long” or “wide” behind it', ['said' => $said]),
                );
            } elseif (
                null === $length
                && (!$isWidth($value) || (0 === $i && \count($short) > 1) || null !== $width || (!$alone && 1 === \count($short)))
            ) {
                $length = $value;
                if (\count($short) > 1 || (!$alone && $isWidth($value) && null === $width)) {
                    $this->line->doubt(new Sentence('{said} is taken for the length', ['said' => $said]));
                }
            } elseif (null === $width && $isWidth($value)) {
                $width = $value;
            } else {
                $this->line->doubt(new Sentence('{said} is neither length nor width here', ['said' => $said]));
            }
        }
        if (null !== $length && null === $width && null !== $guess) {
            $this->line->take($bare);
            $width = $guess;
            $this->line->doubt(new Sentence('{said} has no unit: it is taken for the width', ['said' => $found[1] ?? '']));
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

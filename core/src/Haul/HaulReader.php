<?php

declare(strict_types=1);

namespace Octavum\Core\Haul;

use Octavum\Core\Cloth\CareLabel;
use Octavum\Core\Cloth\ClothType;
use Octavum\Core\Cloth\Direction;
use Octavum\Core\Cloth\Feel;
use Octavum\Core\Cloth\Fibre;
use Octavum\Core\Cloth\FibreMix;
use Octavum\Core\Cloth\Knowledge;
use Octavum\Core\Cloth\Opacity;
use Octavum\Core\Cloth\PrintKind;
use Octavum\Core\Cloth\Structure;
use Octavum\Core\Cloth\Weight;
use Octavum\Core\Cloth\WeightClass;
use Octavum\Core\Measure\Figure;
use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\Rounding;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Measure\System;
use Octavum\Core\Measure\Unit;
use Octavum\Core\Measure\Unreadable;
use Octavum\Core\Measure\Width;
use Octavum\Core\Reading\Chip;
use Octavum\Core\Reading\Spoken;
use Octavum\Core\Reading\Words;

/**
 * Reads a cloth from one line, the way people note what they bought: "1.8m 142cm cotton drill 240gsm bottle green, 6.40/half
 * m". Figures are taken out first, the most particular ones before the general (a price a metre before a length), then the
 * known words. What could be meant otherwise is not decided in silence: it becomes a doubt. What is left stands in the name,
 * and the whole line in the notes, so that nothing typed is lost.
 */
final class HaulReader
{
    private const NUMBER = '(?:\d+[ -]\d+/\d+|\d+/\d+|\d+(?:[.,]\d+)?\s?[½¼¾⅛⅜⅝⅞⅓⅔]|\d+(?:[.,]\d+)?|\.\d+|[½¼¾⅛⅜⅝⅞⅓⅔])';
    private const UNIT = '(?:mm|cms?|centimet(?:re|er)s?|met(?:re|er)s?|mtrs?|mts?|m|inch(?:es)?|ins?'
        .'|"|″|”|\'\'|yards?|yds?|y|feet|foot|ft)';
    private const SPOKEN = '(?:(?:half|three[ -]quarters?|a quarter|quarter|one|two|three|four|five|six|a)(?: and a (?:half|quarter))?'
        .'(?: of)?(?: an?)? (?:metres?|meters?|yards?)(?: and a (?:half|quarter))?)';
    private const WORD_END = '(?![\p{L}\d])';

    /** In micrometres: from here on a figure is likely to be a width. */
    private const WIDE = 600_000;
    private const LONGEST = 100_000_000;

    private string $rest = '';

    /** @var list<Length> of further cuts in the same line */
    private array $others = [];
    private string $named = '';

    /** @var list<Chip> */
    private array $chips = [];

    /** @var list<Sentence> */
    private array $doubts = [];

    public function read(string $line, System $system): HaulLine
    {
        $text = trim(preg_replace('/\s+/u', ' ', mb_scrub($line)) ?? $line);
        $spoken = new Spoken();
        $this->rest = $this->named = ' '.$spoken->plain(mb_strtolower(strtr($text, ['’' => "'", '×' => 'x']))).' ';
        $this->chips = [];
        $this->doubts = array_map(
            static fn (string $range): Sentence => new Sentence('{said} is a range: the smaller is taken until it is measured', [
                'said' => trim($range),
            ]),
            $spoken->ranges,
        );
        $stretch = $this->stretch();
        $price = $this->price();
        $weight = $this->weight();
        $repeat = $this->repeat();
        $fibres = $this->shares();
        if (null !== ($area = $this->take('(?<![\d.,])'.self::NUMBER.'\s?(?:m²|m2|sqm|sq m|cm²|cm2)(?![\p{L}\d])'))) {
            $this->doubts[] = new Sentence('{said} is an area: type the length and the width', ['said' => trim($area[0])]);
        }
        [$count, $length, $width] = $this->measures($system);
        [$length, $width, $others] = $this->believable($length, $width);
        $place = $this->place();
        $said = $this->take(
            '(?<!\p{L})(?:dry[ -]?clean(?:ing)?(?: only)?|(?:wash by hand|hand[ -]?wash)(?: only)?|wipe clean(?: only)?|machine wash(?: at)? (?:30|40|60)(?: ?°c?)?)'
                .self::WORD_END,
        );
        $care = null === $said ? null : CareLabel::of($said[0]);
        if (null !== $care) {
            $this->chips[] = new Chip('care', new Sentence($care->value));
        }
        [$ordered, $washed, $label, $more] = $this->state();
        $from = $this->from();
        $named = $this->named;
        [$type, $structure] = $this->type();
        $fibres ??= $this->fibreNames($type);
        $type ??= ['linen' => 100] === $fibres->shares ? ClothType::Linen : null;
        $print = $this->word(Words::PRINTS, 'print');
        $direction = $this->direction($type);
        $drape = $this->word(Words::DRAPES, 'drape');
        $opacity = $this->word(Words::OPACITIES, 'opacity');
        $weight ??= $this->weightWord();
        $opacity ??= null === $weight?->grams && WeightClass::Sheer === $weight?->class ? Opacity::Sheer : null;
        $colours = $this->colours();
        $price ??= $this->barePrice($label);
        $unread = $this->unread();
        $this->chipsFor($count, $length, $width, $fibres, $weight, $repeat);
        $perMetre = $this->perMetre($price, $length, $count);

        return new HaulLine(
            $text,
            $this->name($named, $text),
            $count,
            $length,
            $width,
            $fibres,
            $structure,
            $type,
            $weight,
            $print ?? PrintKind::Plain,
            $direction,
            $repeat,
            $colours,
            $place,
            $perMetre,
            $label,
            $ordered,
            $washed,
            $this->chips,
            $this->doubts,
            $unread,
            new Feel($stretch, null, $drape, $opacity),
            $others,
            $more,
            $from,
            $care,
        );
    }

    /**
     * Takes the first match out of the line.
     *
     * @param bool $known a word that belongs into the name, too
     *
     * @return ?array<int|string, string>
     */
    private function take(string $pattern, bool $known = false): ?array
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

    /** @return ?array{int, Unit|'piece', bool} coins, for how long a piece, and whether that is a guess */
    private function price(): ?array
    {
        $money = '(?:[€£$]\s?)?(\d{1,4}(?:[.,]\d{1,2})?)\s?(?:€|£|\$|eur|euros?|gbp|usd|quid)?';
        $half =
            'half[ -]?(?:an? )?(?:metre|meter|m)|(?:½|1/2|0?[.,]5)\s?(?:metre|meter|m)|50\s?cm'
            .'|half[ -]?(?:an? )?(?:yard|yd)|(?:½|1/2)\s?(?:yard|yd)';
        $found =
            $this->take(
                '(?:(?<![\d.,/])(?=[€£$])|(?<![\d.,/€£$])(?=\d{1,4}(?:[.,]\d{1,2})?\s?(?:€|£|\$|eur|gbp|usd)))'
                    .$money
                    .'\s('
                    .$half
                    .')'
                    .self::WORD_END,
            )
            ?? $this->take(
                '(?<![\d.,/])'
                    .$money
                    .'\s?(?:/|p/|(?:per|an?|for|the)\s)+\s?('
                    .$half
                    .'|metre|meter|mtr|m|yard|yd|piece|pc|cut|remnant|lot)'
                    .self::WORD_END,
            );
        if (null !== $found) {
            $per = match (true) {
                1 === preg_match('~^(?:half|½|1/2|0?[.,]5).*(?:yard|yd)$~u', $found[2]) => [Unit::Yard, 2],
                1 === preg_match('~^(?:half|½|1/2|0?[.,]5|50)~u', $found[2]) => [Unit::Metre, 2],
                \in_array($found[2], ['yard', 'yd'], true) => [Unit::Yard, 1],
                \in_array($found[2], ['piece', 'pc', 'cut', 'remnant', 'lot'], true) => ['piece', 1],
                default => [Unit::Metre, 1],
            };

            return [$this->coins($found[1]) * $per[1], $per[0], false];
        }
        $found = $this->take(
            '(?:[€£$]\s?(\d{1,4}(?:[.,]\d{1,2})?)|(?<![\d.,/])(\d{1,4}(?:[.,]\d{1,2})?)\s?(?:€|£|\$|eur|euros?|gbp|usd|quid)'
                .self::WORD_END
                .')(?:\s(?:total|altogether|in all|each|the lot|for the (?:lot|piece)))?',
        );
        if (null !== $found) {
            return [
                $this->coins('' === $found[1] ? $found[2] ?? '' : $found[1]),
                'piece',
                1 !== preg_match('/total|altogether|in all|lot|piece/', $found[0]),
            ];
        }
        $found = $this->take('(?<![\d.,/x])(\d{1,3}[.,]\d{2})(?=\s*$)');

        return null === $found ? null : [$this->coins($found[1]), 'piece', true];
    }

    /**
     * A price without a sign on a remnant, which is sold by the piece.
     *
     * @return ?array{int, 'piece', true}
     */
    private function barePrice(string $label): ?array
    {
        $found = '' === $label ? null : $this->take('(?<![\d.,/x])(\d{1,3}[.,]\d{2})(?![\d.,]|\s?'.self::UNIT.self::WORD_END.')');

        return null === $found ? null : [$this->coins($found[1]), 'piece', true];
    }

    private function coins(string $amount): int
    {
        return (int) round(100 * (float) str_replace(',', '.', $amount));
    }

    /** @param ?array{int, Unit|'piece', bool} $price */
    private function perMetre(?array $price, ?Length $length, int $count): ?int
    {
        if (null === $price) {
            return null;
        }
        [$coins, $per, $guess] = $price;
        $amount = \sprintf('%.2f', $coins / 100);
        if ('piece' !== $per) {
            $perMetre = Rounding::Nearest->divide($coins * Unit::Metre->value, $per->value);
            $this->chips[] = new Chip(
                'price',
                Unit::Yard === $per
                    ? new Sentence('{amount} a yard', ['amount' => $amount])
                    : new Sentence('{amount} a metre', ['amount' => $amount]),
            );

            return $perMetre;
        }
        if (null === $length) {
            $this->doubts[] = new Sentence('{amount} for the piece: a price a metre follows once the length is known', [
                'amount' => $amount,
            ]);

            return null;
        }
        $this->chips[] = new Chip('price', new Sentence('{amount} for the piece', ['amount' => $amount]), $guess);
        if ($guess) {
            $this->doubts[] = new Sentence('{amount} is taken for the whole piece: type {amount}/m if it is for a metre', [
                'amount' => $amount,
            ]);
        }
        if ($count > 1) {
            $this->doubts[] = new Sentence('{amount} is taken for one of the {count} cuts', ['amount' => $amount, 'count' => $count]);
        }

        return Rounding::Nearest->divide($coins * Unit::Metre->value, $length->micrometres);
    }

    private function weight(): ?Weight
    {
        $found = $this->take('(?<![\d.,])(\d{2,4})\s?(?:gsm|g/m2|g/m²|g/sqm|g/qm|gm2|gr/m2|grams?|gr|g)'.self::WORD_END);
        $grams = null === $found ? null : (int) $found[1];
        if (
            null === $grams
            && null !== ($found = $this->take('(?<![\d.,])(\d{1,2}(?:[.,]\d{1,2})?)\s?oz(?:/(?:sq ?)?yd2?²?)?'.self::WORD_END))
        ) {
            $grams = (int) round(33.906 * (float) str_replace(',', '.', $found[1]));
        }
        try {
            return null === $grams ? null : Weight::ofGrams($grams);
        } catch (Unreadable $unreadable) {
            $this->doubts[] = $unreadable->sentence;

            return null;
        }
    }

    private function repeat(): ?Length
    {
        $found =
            $this->take('repeat(?: of)?\s('.self::NUMBER.'\s?'.self::UNIT.')'.self::WORD_END)
            ?? $this->take('('.self::NUMBER.'\s?'.self::UNIT.')\s(?:pattern |print )?repeat'.self::WORD_END);

        return null === $found ? null : $this->length($found[1], Unit::Centimetre);
    }

    /** Fibres with their shares: "62 modal 33 cotton 5 elastane", "cotton 95 %, elastane 5 %". */
    private function shares(): ?FibreMix
    {
        $names = $this->alternatives(array_keys(Words::FIBRES));
        $before = '(?:100|\d{1,2})\s?%?\s?(?:'.$names.')'.self::WORD_END;
        $after = '(?:'.$names.')\s?\d{1,3}\s?%';
        if (
            1 ===
            preg_match(
                '~\d\s?m\s\d{2}\s(?:'.$names.')'.self::WORD_END.'(?![\s,;/+&|-]*(?:and )?\d{1,3}\s?%?\s?(?:'.$names.'))~u',
                $this->rest,
            )
        ) {
            return null; // "1m 80 linen" is 1.80 m of linen
        }
        $pair = '(?:'.$names.')\s?\d{1,3}\s?%?'.self::WORD_END;
        if (1 === preg_match('~(?<!\p{L})'.$pair.'(?:[\s,;/+&-]*(?:and )?'.$pair.')+~u', $this->rest, $pairs)) {
            preg_match_all('~('.$names.')\s?(\d{1,3})~u', $pairs[0], $each, \PREG_SET_ORDER);
            if (100 === array_sum(array_map(static fn (array $one): int => (int) $one[2], $each))) {
                $this->take(preg_quote($pairs[0], '~'));

                return $this->mixed($each, 1, 2, $pairs[0]);
            }
        }
        $found = $this->take(
            '(?<![\d.,/\p{L}])(?:'
                .$before
                .'(?:[\s,;/+&|-]*(?:and )?'
                .$before
                .')*|'
                .$after
                .'(?:[\s,;/+&-]*(?:and )?'
                .$after
                .')*)',
        );
        if (null === $found) {
            return null;
        }
        preg_match_all(
            '~(\d{1,3})\s?%?\s?('.$names.')'.self::WORD_END.'|('.$names.')\s?(\d{1,3})\s?%~u',
            $found[0],
            $each,
            \PREG_SET_ORDER,
        );

        return '' !== ($each[0][1] ?? '') ? $this->mixed($each, 2, 1, $found[0]) : $this->mixed($each, 3, 4, $found[0]);
    }

    /**
     * @param list<array<int|string, string>> $each  matches
     * @param int                             $name  where its name stands in a match
     * @param int                             $share likewise
     */
    private function mixed(array $each, int $name, int $share, string $text): FibreMix
    {
        $shares = [];
        foreach ($each as $one) {
            $fibre = Words::FIBRES[$one[$name] ?? '']->value;
            $shares[$fibre] = ($shares[$fibre] ?? 0) + (int) ($one[$share] ?? 0);
        }
        try {
            return FibreMix::of($shares, Knowledge::Seller);
        } catch (Unreadable $unreadable) {
            $this->doubts[] = new Sentence('“{text}”: {why}', ['text' => trim($text), 'why' => $unreadable->sentence]);

            return FibreMix::unknown();
        }
    }

    /** @return array{int, ?Length, ?Length} cuts, length and width */
    private function measures(System $system): array
    {
        [$n, $u] = [self::NUMBER, self::UNIT];
        $count = 1;
        $length = $width = null;
        if (null !== ($found = $this->take('(?<=[\s,])(?:(\d{1,2})\s?(?:x\s?)?)?fat quarters?'.self::WORD_END))) {
            $count = max(1, min(20, (int) ($found[1] ?? 1)));
            [$length, $width] = [Length::of('50', Unit::Centimetre), Length::of('55', Unit::Centimetre)];
            $this->doubts[] = new Sentence('a fat quarter is counted as 50 × 55 cm: measure it when it is tight');
        }
        $found =
            $this->take('(?<![\d.,])('.$n.')\s?('.$u.')?\s?(?:wide|width|w)'.self::WORD_END)
            ?? $this->take('(?<!\p{L})(?:width|wide|w)[:=]?\s?('.$n.')\s?('.$u.')?'.self::WORD_END);
        if (null !== $found) {
            $width = $this->width($found[1], $found[2] ?? '');
        }
        $found = $this->take('(?<![\d.,])('.$n.'\s?'.$u.')\s?(?:long|length)'.self::WORD_END);
        $length = null === $found ? $length : $this->length($found[1], Unit::Metre);
        $found =
            $this->take(
                '(?<=^\s)([1-9]|1[0-2])\s?(?:x|pieces? of|cuts? of|lengths? of|lots of)\s?(?=(?:'
                    .$n
                    .')\s?(?:metres?|meters?|mtrs?|m|yards?|yds?|y|cms?)'
                    .self::WORD_END
                    .'|'
                    .self::SPOKEN
                    .')',
            ) ?? $this->take('(?<=^\s)([1-9]|1[0-2])\s(?:pieces? of|cuts? of|lengths? of|lots of)\s(?='.$n.'(?:\s|$))');
        if (null !== $found) {
            $count = max(1, min(20, (int) $found[1]));
            $ambiguous =
                1 === preg_match('~^[\s|]*(\d[.,]\d+)\s?m'.self::WORD_END.'~u', $this->rest, $next)
                && (float) str_replace(',', '.', $next[1]) >= 1.1
                && (float) str_replace(',', '.', $next[1]) <= 1.6
                && str_contains($found[0], 'x')
                && null === $width
                && 1 !== preg_match('~\d\s?(?:cm|"|in)~u', $this->rest);
            if ($ambiguous) {
                $this->doubts[] = new Sentence(
                    'read as {count} cuts; if it is {count} m long and {width} m wide, type {count}m {width}m wide',
                    ['count' => $count, 'width' => $next[1]],
                );
            }
        }
        if (null === $length && null === $width) {
            [$length, $width] = $this->sides();
        }
        $this->others = [];
        $long = '(?:met(?:re|er)s?|mtrs?|m|yards?|yds?|y)';
        while (
            null === $length
            && null !==
                ($found = $this->take(
                    '(?<![\d.,\p{L}-])('
                        .$n
                        .'\s?'
                        .$long
                        .')\s(?:and|&|\+|plus)\s(?=('
                        .$n
                        .'\s?'
                        .$long
                        .')'
                        .self::WORD_END
                        .'(?!\s?wide))',
                ))
        ) {
            $this->others[] = $this->length($found[1], Unit::Metre) ?? Length::zero();
        }
        if (
            $count > 1
            && null === $length
            && null !== ($found = $this->take('(?<=^\s)[\s|]*\|[\s|]*('.$n.')(?=\s[\p{L}\d]|\s$)(?!\s?'.$u.self::WORD_END.')'))
        ) {
            $length = $this->length(trim($found[1]), $system->lengthUnit());
            $this->doubts[] =
                Unit::Metre === $system->lengthUnit()
                    ? new Sentence('{said} has no unit: metres are assumed', ['said' => $found[1]])
                    : new Sentence('{said} has no unit: yards are assumed', ['said' => $found[1]]);
        }
        [$length, $width] = $this->loose($length, $width, $system);

        return [$count, $length, $width];
    }

    /**
     * Length by width, units left out where they can be told: "2m x 140", "200 x 140", "45 x 110 cm".
     *
     * @return array{?Length, ?Length}
     */
    private function sides(): array
    {
        [$n, $u] = [self::NUMBER, self::UNIT];
        $found =
            $this->take('(?<![\d.,])('.$n.')\s?('.$u.')?\s?(?:x|by|\*)\s?('.$n.')\s?('.$u.')'.self::WORD_END)
            ?? ($this->take('(?<![\d.,])('.$n.')\s?('.$u.')\s?(?:x|by|\*)\s?(\d{2,3})(?![\d.,%]|\s?(?:gsm|g\b|oz))')
                ?? $this->take('(?<![\d.,])(\d{2,3})()\s?(?:x|by|\*)\s?(\d{2,3})(?![\d.,%]|\s?(?:gsm|g\b|oz))'));
        if (null === $found) {
            return [null, null];
        }
        $second = $found[4] ?? 'cm';
        $first = '' === $found[2] ? $second : $found[2];
        [$length, $width] = [$this->length($found[1].$first, Unit::Metre), $this->length($found[3].$second, Unit::Centimetre)];
        if (null === $length || null === $width) {
            return [null, null];
        }
        if ($this->isSmall($first) && !$this->isSmall($second)) {
            [$length, $width] = [$width, $length];
        } elseif ($this->isSmall($first) && max($length->micrometres, $width->micrometres) < 1_300_000) {
            $this->doubts[] = new Sentence('{said}: read as {length} long and {width} wide', [
                'said' => trim($found[0]),
                'length' => Figure::width($length),
                'width' => Figure::width($width),
            ]);
        }

        return [$length, $width];
    }

    /**
     * What no cloth is, is asked and never computed with; further cuts of other lengths stand for themselves.
     *
     * @return array{?Length, ?Length, list<Length>}
     */
    private function believable(?Length $length, ?Length $width): array
    {
        if (null !== $width && !Width::isBelievable($width)) {
            $this->doubts[] = new Sentence('{width} is no width of a cloth: one is 20 to 330 cm wide', ['width' => Figure::exact($width)]);
            $width = null;
        }
        if (null !== $length && $length->micrometres > self::LONGEST) {
            $this->doubts[] = new Sentence('{length} is longer than any cut: is the unit right?', ['length' => Figure::exact($length)]);
            $length = null;
        }

        return [$length, $width, $this->others];
    }

    /**
     * Lengths without a word beside them: metres and yards are lengths, centimetres and inches widths if there is a length too.
     *
     * @return array{?Length, ?Length}
     */
    private function loose(?Length $length, ?Length $width, System $system): array
    {
        $found =
            null === $length
                ? $this->take(
                    '(?<![\d.,/\p{L}-])\d{1,2}\s?(?:m\s?\d{2}(?:\s?cm)?(?!\s?(?:%|[\d.,x"]))|(?:yards?|yds?|y)\s(?:[12]?\d|3[0-5])\s?(?:inch(?:es)?|ins?|"))'
                        .self::WORD_END,
                )
                : null;
        $length = null === $found ? $length : $this->length($found[0], Unit::Metre);
        $found = null === $length ? $this->take('(?<![\d.,\p{L}])'.self::SPOKEN.self::WORD_END) : null;
        $length = null === $found ? $length : $this->length(trim($found[0]), Unit::Metre);
        if (
            null === $length
            && 1 !== preg_match('~(?<![\d.,\p{L}-])'.self::NUMBER.'\s?(?:met|m(?!m)|y|f)~u', $this->rest)
            && null !== ($found = $this->take('(?<=^\s)('.self::NUMBER.')(?=\s\p{L})(?!\s?'.self::UNIT.self::WORD_END.')'))
        ) {
            $length = $this->length($found[1], $system->lengthUnit());
            if (null !== $length && $length->micrometres > 30_000_000) {
                $this->doubts[] = new Sentence('{said} has no unit: type such as {said} cm', ['said' => $found[1]]);
                $length = null;
            } elseif (null !== $length) {
                $this->doubts[] =
                    Unit::Metre === $system->lengthUnit()
                        ? new Sentence('{said} has no unit: metres are assumed', ['said' => $found[1]])
                        : new Sentence('{said} has no unit: yards are assumed', ['said' => $found[1]]);
            }
        }

        $long = $short = [];
        while (null !== ($found = $this->take('(?<![\d.,\p{L}-])('.self::NUMBER.')\s?('.self::UNIT.')'.self::WORD_END))) {
            $value = $this->length($found[1].' '.$found[2], Unit::Metre);
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
                $this->doubts[] = new Sentence('{said} is taken for the width', ['said' => $said]);
            } else {
                $this->doubts[] = new Sentence('{said} is one length too many: one line is one cut', ['said' => $said]);
            }
        }
        foreach ($short as $i => [$value, $said]) {
            $alone = null === $length && 1 === \count($short);
            if ($alone && null === $width && $isWidth($value)) {
                $this->doubts[] = new Sentence('{said}: is it the length or the width? Type “long” or “wide” behind it', ['said' => $said]);
            } elseif (null === $length && (!$isWidth($value) || (0 === $i && \count($short) > 1) || null !== $width)) {
                $length = $value;
                if (\count($short) > 1) {
                    $this->doubts[] = new Sentence('{said} is taken for the length', ['said' => $said]);
                }
            } elseif (null === $width && $isWidth($value)) {
                $width = $value;
            } else {
                $this->doubts[] = new Sentence('{said} is neither length nor width here', ['said' => $said]);
            }
        }
        if (
            null !== $length
            && null === $width
            && null !== ($found = $this->take('(?<![\d.,\p{L}/])(\d{2,3})(?=[\s,])(?!\s?%)'))
            && $isWidth($guess = $this->length($found[1], (int) $found[1] > 72 ? Unit::Centimetre : Unit::Inch) ?? Length::zero())
        ) {
            $width = $guess;
            $this->doubts[] = new Sentence('{said} has no unit: it is taken for the width', ['said' => $found[1]]);
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
            return $this->length($number.' '.$unit, Unit::Centimetre);
        }
        $value = $this->length($number, Unit::Inch);
        $inches = null === $value ? 0 : $value->micrometres / Unit::Inch->value;
        if ($inches >= 34 && $inches <= 72) {
            $this->doubts[] = new Sentence('{said} has no unit: inches are taken', ['said' => $number]);

            return $value;
        }
        if ($inches > 72) {
            return $this->length($number, Unit::Centimetre);
        }
        $metres = $this->length($number, Unit::Metre);

        return $inches >= 0.8 && $inches <= 3.3 ? $metres : null;
    }

    private function length(string $text, Unit $unit): ?Length
    {
        try {
            return Length::parse($text, $unit);
        } catch (Unreadable $unreadable) {
            $this->doubts[] = $unreadable->sentence;

            return null;
        }
    }

    private function place(): string
    {
        $found = $this->take(
            '(?<!\p{L})(?:in |on )?((?:top |bottom |blue |red |green |big |small |left |right )?(?:'
                .implode('|', Words::PLACES)
                .')s?(?:\s(?:\d+[a-z]?|[a-z]'
                .self::WORD_END
                .'|no\.? ?\d+|(?:on|in|under|by) the \p{L}+|under \p{L}+))?)',
        );
        if (null === $found) {
            return '';
        }
        $place = trim($found[1]);
        $this->chips[] = new Chip('place', new Sentence('{place}', ['place' => $place]));

        return $place;
    }

    /** @return array{bool, bool, string, ?bool} ordered, washed, label, whether more is to be had */
    private function state(): array
    {
        $words = fn (string $pattern): bool => null !== $this->take('(?<!\p{L})(?:'.$pattern.')'.self::WORD_END);
        $here = $words('not (?:yet )?(?:on order|ordered)(?: yet)?|no longer on order|(?:has )?arrived');
        $ordered = $words('on order|ordered|pre-?order(?:ed)?|in the post') && !$here;
        $unwashed = $words(
            '(?:not (?:yet )?(?:been )?|un|never (?:yet )?(?:been )?|(?:still )?to (?:be )?)(?:pre-?)?wash(?:ed)?(?: yet)?|(?:needs?|wants?|still needs?) (?:to be |a )?(?:pre-?)?wash(?:ing|ed)?|wash (?:first|before (?:use|cutting))',
        );
        $washed = $words('(?:pre-?)?washed(?: and dried)?') && !$unwashed;
        $none = $words('last of it|no more(?: to be had| left| of it)?|dead ?stock|discontinued|end of (?:the )?line|sold out');
        $more = !$none && $words('more to be had|can get more|still (?:to be had|available|in stock)');
        $remnant = $words('(?:remnant|offcut|end of (?:the )?(?:bolt|roll)|roll end|bolt end)s?');
        foreach (
            [
                [$ordered, 'ordered'],
                [$washed, 'washed'],
                [$unwashed, 'not washed yet'],
                [$remnant, 'remnant'],
                [$none, 'no more to be had'],
                [$more, 'more to be had'],
            ] as [$is, $word]
        ) {
            if ($is) {
                $this->chips[] = new Chip('state', new Sentence($word));
            }
        }

        return [$ordered, $washed, $remnant ? 'remnant' : '', $none ? false : ($more ? true : null)];
    }

    /** Where it comes from, which is wanted later. */
    private function from(): string
    {
        $found = $this->take('(?<!\p{L})(?:(?:a )?(?:gift|present)(?: from [^,;:|\d]+)?|from (?!\d)[^,;:|\d]+)');
        $from = null === $found ? '' : trim($found[0]);
        if ('' !== $from) {
            $this->chips[] = new Chip('from', new Sentence('{from}', ['from' => $from]));
        }

        return $from;
    }

    /** @return array{?ClothType, ?Structure} the structure only where the type does not settle it, or it is said */
    private function type(): array
    {
        $said = $this->said(array_keys(Words::TYPES));
        [$type, $structure] = null === $said ? [null, null] : Words::TYPES[$said[0]];
        $other = $this->said(array_keys(Words::STRUCTURES));
        $structure = match (true) {
            null !== $other => Words::STRUCTURES[$other[0]],
            null === $type?->structure() => $structure,
            default => null,
        };
        if (null !== $said) {
            $this->chips[] = new Chip('type', new Sentence('{word}', ['word' => $said[0]]), $said[1]);
        }
        while (null !== $this->said(array_keys(Words::TYPES))) {
            // a second name, as in "drill twill", says nothing new
        }

        return [$type, $structure];
    }

    private function fibreNames(?ClothType $type): FibreMix
    {
        $names = array_values(array_diff(array_keys(Words::FIBRES), Words::ONLY_WITH_SHARE));
        $fibres = [];
        if (null !== $this->take('(?<!\p{L})(?:poly ?cotton|cotton poly)'.self::WORD_END, true)) {
            $fibres = ['polyester' => false, 'cotton' => false];
        }
        $like = $mixed = false;
        while (null !== ($said = $this->said($names))) {
            $fibres[Words::FIBRES[$said[0]]->value] = $said[1];
            $mixed = $mixed || null !== $this->take('(?<=\|)\s?(?:mix(?:ture)?|blend|rich)'.self::WORD_END, true);
            $like = $like || null !== $this->take('(?<=\|)\s?(?:look|feel|type|effect)'.self::WORD_END, true);
        }
        $named = [ClothType::BoiledWool->value => Fibre::Wool, ClothType::Brushed->value => Fibre::Cotton][$type->value ?? ''] ?? null;
        if (null !== $named && [] === $fibres && 1 === preg_match('~'.$named->value.'~u', $this->named)) {
            $fibres = [$named->value => false];
        }
        if ([] === $fibres) {
            return FibreMix::unknown();
        }
        if ($like) {
            $this->doubts[] = new Sentence('{fibres}: only the look is said, so the fibres are not known', [
                'fibres' => implode(', ', array_keys($fibres)),
            ]);

            return FibreMix::unknown();
        }
        if ($mixed && 1 === \count($fibres)) {
            $fibres[Fibre::Other->value] = false;
        }
        if (\count($fibres) > 1) {
            $this->doubts[] = new Sentence(
                '{fibres}: the shares are not known, so the one that shrinks most is counted; type such as 60 cotton 40 linen',
                ['fibres' => implode(', ', array_keys($fibres))],
            );

            return FibreMix::of(array_map(static fn (bool $unsure): int => 0, $fibres), Knowledge::Seller);
        }

        return FibreMix::of([array_key_first($fibres) => 100], true === reset($fibres) ? Knowledge::Guess : Knowledge::Seller);
    }

    /** Null where nobody says: the type settles it then. */
    private function direction(?ClothType $type): ?Direction
    {
        $direction = $this->word(Words::DIRECTIONS, 'direction');
        if (null === $direction && null !== $this->take('(?<!\p{L})(?:no nap|without nap)'.self::WORD_END)) {
            return Direction::None;
        }
        $nap = null === $direction && null !== $this->take('(?<!\p{L})(?:nap|brushed)'.self::WORD_END, true);
        if (null === $direction && ($nap || true === $type?->hasNap())) {
            $this->chips[] = new Chip('direction', new Sentence('nap, so one-way'), true);
        }

        return $direction ?? ($nap ? Direction::OneWay : null);
    }

    /** Per cent across, from "40% stretch" or "stretches 40 %". */
    private function stretch(): ?int
    {
        $said = $this->take('(?<!\d)(\d{1,3})\s*%\s*(?:(?:2|4|two|four)[- ]way\s+)?stretch(?![\p{L}])|stretch(?:es)?\s+(\d{1,3})\s*%');
        if (null === $said) {
            return null !== $this->take('(?<!\p{L})(?:no|without|non-?)\s?stretch(?! along)'.self::WORD_END) ? $this->stretches(0) : null;
        }
        $share = min(300, (int) (('' !== $said[1] ? $said[1] : null) ?? ($said[2] ?? 0)));

        return $this->stretches($share);
    }

    private function stretches(int $share): int
    {
        $this->chips[] = new Chip('stretch', new Sentence('stretches {share} %', ['share' => $share]));

        return $share;
    }

    private function weightWord(): ?Weight
    {
        $said = $this->said(array_keys(Words::WEIGHTS));

        return null === $said ? null : Weight::ofClass(Words::WEIGHTS[$said[0]]);
    }

    /** @return list<string> */
    private function colours(): array
    {
        $colours = [];
        while (\count($colours) < 3 && null !== ($said = $this->said(array_keys(Words::COLOURS)))) {
            $colours[] = Words::COLOURS[$said[0]];
            $this->chips[] = new Chip('colour', new Sentence('{word}', ['word' => $said[0]]), $said[1]);
        }

        return array_values(array_unique($colours));
    }

    /**
     * @template T
     *
     * @param array<string, T> $words
     *
     * @return ?T
     */
    private function word(array $words, string $kind): mixed
    {
        $said = $this->said(array_keys($words));
        if (null === $said) {
            return null;
        }
        $this->chips[] = new Chip($kind, new Sentence('{word}', ['word' => $said[0]]), $said[1]);

        return $words[$said[0]];
    }

    /**
     * The first of some words in the line, with whether a question mark follows it.
     *
     * @param list<string> $words
     *
     * @return ?array{string, bool}
     */
    private function said(array $words): ?array
    {
        $found = $this->take('(?<![\p{L}\d-])('.$this->alternatives($words).')(?![\p{L}\d])(\s?\?)?', true);

        return null === $found ? null : [$found[1], '' !== ($found[2] ?? '')];
    }

    /** @param list<string> $words */
    private function alternatives(array $words): string
    {
        usort($words, static fn (string $a, string $b): int => \strlen($b) <=> \strlen($a));

        return implode('|', array_map(static fn (string $word): string => preg_quote($word, '~'), $words));
    }

    /** @return list<string> */
    private function unread(): array
    {
        preg_match_all('~[\p{L}\d][\p{L}\d.\'-]*~u', $this->rest, $found);

        foreach ($found[0] as $word) {
            if (1 === preg_match('/^\d/', $word)) {
                $this->doubts[] = new Sentence('“{word}” means nothing here: it stands in the name', ['word' => $word]);
            }
        }

        return array_values(
            array_filter(
                $found[0],
                static fn (string $word): bool => !isset(Words::FIBRES[$word])
                    && !\in_array($word, ['of', 'in', 'on', 'and', 'with', 'a', 'the', 'x', 'at', 'for', 'from'], true),
            ),
        );
    }

    /** What is left without the figures, in the order it was typed. */
    private function name(string $named, string $text): string
    {
        $words = trim(
            preg_replace(['/\|+/', '/\s*[,;:]+\s*(?=[,;:]|$)/', '/\s+/', '/\s+(?=[,;:])/'], [' ', ' ', ' ', ''], $named) ?? '',
            " ,;:-./?()\t",
        );
        $words = trim(preg_replace(['/\?/', '/^(?:[,;:\s-]|(?:of|in|with|and|a) )+/', '/\s+/'], ['', '', ' '], $words) ?? '');

        return mb_substr('' === $words ? $text : mb_strtoupper(mb_substr($words, 0, 1)).mb_substr($words, 1), 0, 120);
    }

    private function chipsFor(int $count, ?Length $length, ?Length $width, FibreMix $fibres, ?Weight $weight, ?Length $repeat): void
    {
        $first = [];
        if (null !== $length) {
            $first[] = new Chip(
                'length',
                $count > 1
                    ? new Sentence('{count} cuts of {length}', ['count' => $count, 'length' => Figure::exact($length)])
                    : new Sentence('{length} long', ['length' => Figure::exact($length)]),
            );
        }
        if (null !== $width) {
            $first[] = new Chip('width', new Sentence('{width} wide', ['width' => Figure::exact($width)]));
        }
        if ($fibres->isKnown()) {
            $first[] = new Chip(
                'fibres',
                new Sentence('{fibres}', ['fibres' => $fibres->typed()]),
                Knowledge::Guess === $fibres->knowledge,
            );
        }
        if (null !== $weight) {
            $first[] = new Chip(
                'weight',
                new Sentence('{weight}', ['weight' => null === $weight->grams ? $weight->class->value : $weight->grams.' g/m²']),
            );
        }
        if (null !== $repeat) {
            $first[] = new Chip('repeat', new Sentence('repeat {repeat}', ['repeat' => Figure::exact($repeat)]));
        }
        $this->chips = [...$first, ...$this->chips];
    }
}

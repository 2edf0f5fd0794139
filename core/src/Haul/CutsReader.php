<?php

declare(strict_types=1);

namespace Octavum\Core\Haul;

use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\Numbers;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Measure\Unit;

/** How many cuts a line names, and of which lengths. */
final readonly class CutsReader
{
    public function __construct(private HaulCursor $line)
    {
    }

    /**
     * @param int     $count  as far as it is read
     * @param ?Length $length likewise
     *
     * @return array{int, ?Length, list<Length>} like cuts, the length of each, and further cuts of other lengths
     */
    public function cuts(int $count, ?Length $length, ?Length $width): array
    {
        [$n, $u, $number] = [HaulCursor::NUMBER, HaulCursor::UNIT, self::number()];
        $found = $this->line->take('(?<!\p{L})in\s'.$number.'\s(?:cuts?|pieces?|lengths?)\sof\s('.$n.'\s?'.$u.')'.HaulCursor::WORD_END);
        $each = null === $found ? null : $this->line->length($found[2], Unit::Metre);
        if (null !== $found && null !== $each) {
            $count = $this->count($found[1]);
            $length ??= $this->inAll($count, $each);
        }
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
        $times = '(?<!\p{L})(?:cuts?|pieces?|lengths?|quarters?)\sx\s?([1-9]|1[0-2])';
        $found = $this->line->take($times.'(?![\d.,]|\s?'.$u.HaulCursor::WORD_END.')');
        $count = null === $found ? $count : $this->count($found[1]);
        if (1 === $count && null !== $this->line->take('(?<!\p{L})each\sof'.HaulCursor::WORD_END)) {
            $this->line->doubt(new Sentence('each: type how many cuts there are, such as 2 x 1 m'));
        }
        $named = $this->line->take($number.'\s(?:cuts?|pieces?|lengths?|remnants?)(?:\s?[:,]|\s)(?=.*\d)');
        $row = null === $length && 1 === $count ? $this->row(null !== $named) : [];
        $cuts = null === $named ? 1 : $this->count($named[1]);
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

        return [$count, $length, $row];
    }

    /** A small number, in figures or as a word, as a group of its own, with nothing before it that it could belong to. */
    public static function number(): string
    {
        return '(?<![\d.,/\p{L}-])([1-9]|1[0-2]|'.Numbers::alternatives().')';
    }

    /** Of some cuts with their length together, "4 m in two cuts of 2 m", the length of each. */
    private function inAll(int $count, Length $each): Length
    {
        $all = $this->line->take('(?<![\d.,\p{L}-])('.HaulCursor::NUMBER.'\s?'.HaulCursor::UNIT.')'.HaulCursor::WORD_END);
        if (null !== $all && $this->line->length($all[1], Unit::Metre)?->micrometres !== $each->times($count)->micrometres) {
            $this->line->doubt(new Sentence('{said}: the cuts do not add up to it', ['said' => trim($all[1])]));
        }

        return $each;
    }

    /** How many cuts a figure or a word says. */
    public function count(string $said): int
    {
        return max(1, min(20, (int) (Numbers::WORDS[$said] ?? $said)));
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
}

<?php

declare(strict_types=1);

namespace Octavum\Core\Haul;

use Octavum\Core\Cloth\CareLabel;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Reading\Chip;
use Octavum\Core\Reading\ClothWords;

/** Where it lies and comes from, whether it is here and washed, and how it is cared for. */
final readonly class StateReader
{
    private const LONGEST_FROM = 120;

    public function __construct(private HaulCursor $line)
    {
    }

    public function place(): string
    {
        $found = $this->line->take(
            '(?<!\p{L})(?:in |on )?((?:top |bottom |blue |red |green |big |small |left |right )?(?:'.
                implode('|', ClothWords::PLACES).
                ')s?(?:\s(?:\d+[a-z]?|[a-z]'.
                HaulCursor::WORD_END.
                '|no\.? ?\d+|(?:on|in|under|by) the \p{L}+|under \p{L}+))?)',
        );
        if (null === $found) {
            return '';
        }
        $place = trim($found[1]);
        $this->line->chip(new Chip('place', new Sentence('{place}', ['place' => $place])));

        return $place;
    }

    public function care(): ?CareLabel
    {
        $said = $this->line->take(
            '(?<!\p{L})(?:dry[ -]?clean(?:ing)?(?: only)?|(?:wash by hand|hand[ -]?wash)(?: only)?|wipe clean(?: only)?'.
                '|machine wash(?: at)? (?:30|40|60)(?: ?°c?)?)'.
                HaulCursor::WORD_END,
        );
        $care = null === $said ? null : CareLabel::of($said[0]);
        if (null !== $care) {
            $this->line->chip(new Chip('care', new Sentence($care->value)));
        }

        return $care;
    }

    /** @return array{bool, bool, string, ?bool} ordered, washed, label, whether more is to be had */
    public function state(): array
    {
        $words = fn (string $pattern): bool => null !== $this->line->take('(?<!\p{L})(?:'.$pattern.')'.HaulCursor::WORD_END);
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
                $this->line->chip(new Chip('state', new Sentence($word)));
            }
        }

        return [$ordered, $washed, $remnant ? 'remnant' : '', $none ? false : ($more ? true : null)];
    }

    /**
     * Where it comes from, which is wanted later, with its capitals.
     *
     * @param string $text the line as typed
     */
    public function from(string $text): string
    {
        $found = $this->line->take('(?<!\p{L})(?:(?:a )?(?:gift|present)(?: from [^,;:|\d]+)?|from (?!\d)[^,;:|\d]+)');
        $from = null === $found ? '' : trim(mb_substr($found[0], 0, self::LONGEST_FROM));
        $at = mb_stripos($text, $from);
        $from = false === $at ? $from : mb_substr($text, $at, mb_strlen($from));
        if ('' !== $from) {
            $this->line->chip(new Chip('from', new Sentence('{from}', ['from' => $from])));
        }

        return $from;
    }
}

<?php

declare(strict_types=1);

namespace Octavum\Core\Haul;

use Octavum\Core\Cloth\ClothType;
use Octavum\Core\Cloth\Direction;
use Octavum\Core\Cloth\Structure;
use Octavum\Core\Cloth\Weight;
use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Measure\Unit;
use Octavum\Core\Measure\Unreadable;
use Octavum\Core\Reading\Chip;
use Octavum\Core\Reading\ClothWords;

/** What kind of cloth it is, and how it feels: its type, direction, weight, stretch, repeat and colours. */
final readonly class KindReader
{
    public function __construct(private HaulCursor $line)
    {
    }

    /** @return array{?ClothType, ?Structure} the structure only where the type does not settle it, or it is said */
    public function type(): array
    {
        $said = $this->line->said(array_keys(ClothWords::TYPES));
        [$type, $structure] = null === $said ? [null, null] : ClothWords::TYPES[$said[0]];
        $other = $this->line->said(array_keys(ClothWords::STRUCTURES));
        $structure = match (true) {
            null !== $other => ClothWords::STRUCTURES[$other[0]],
            null === $type?->structure() => $structure,
            default => null,
        };
        if (null !== $said) {
            $this->line->chip(new Chip('type', new Sentence('{word}', ['word' => $said[0]]), $said[1]));
        }
        while (null !== $this->line->said(array_keys(ClothWords::TYPES))) {
            // a second name, as in "drill twill", says nothing new
        }

        return [$type, $structure];
    }

    /** Null where nobody says: the type settles it then. */
    public function direction(?ClothType $type): ?Direction
    {
        $direction = $this->line->word(ClothWords::DIRECTIONS, 'direction');
        if (null === $direction && null !== $this->line->take('(?<!\p{L})(?:no nap|without nap)'.HaulCursor::WORD_END)) {
            return Direction::None;
        }
        $nap = null === $direction && null !== $this->line->take('(?<!\p{L})(?:nap|brushed)'.HaulCursor::WORD_END, true);
        if (null === $direction && ($nap || true === $type?->hasNap())) {
            $this->line->chip(new Chip('direction', new Sentence('nap, so one-way'), true));
        }

        return $direction ?? ($nap ? Direction::OneWay : null);
    }

    public function weight(): ?Weight
    {
        $found = $this->line->take('(?<![\d.,])(\d{2,4})\s?(?:gsm|g/m2|g/m²|g/sqm|g/qm|gm2|gr/m2|grams?|gr|g)'.HaulCursor::WORD_END);
        $grams = null === $found ? null : (int) $found[1];
        if (
            null === $grams
            && null !== ($found = $this->line->take('(?<![\d.,])(\d{1,2}(?:[.,]\d{1,2})?)\s?oz(?:/(?:sq ?)?yd2?²?)?'.HaulCursor::WORD_END))
        ) {
            $grams = (int) round(33.906 * (float) str_replace(',', '.', $found[1]));
        }
        try {
            return null === $grams ? null : Weight::ofGrams($grams);
        } catch (Unreadable $unreadable) {
            $this->line->doubt($unreadable->sentence);

            return null;
        }
    }

    public function weightWord(): ?Weight
    {
        $said = $this->line->said(array_keys(ClothWords::WEIGHTS));

        return null === $said ? null : Weight::ofClass(ClothWords::WEIGHTS[$said[0]]);
    }

    public function repeat(): ?Length
    {
        [$n, $u, $end] = [HaulCursor::NUMBER, HaulCursor::UNIT, HaulCursor::WORD_END];
        // length by width: the length counts
        $found = $this->line->take('repeat(?: of)?\s('.$n.')\s?x\s?'.$n.'\s?('.$u.')'.$end);
        if (null !== $found) {
            return $this->line->length($found[1].' '.$found[2], Unit::Centimetre);
        }
        $found =
            $this->line->take('repeat(?: of)?\s('.$n.'\s?'.$u.')'.$end) ??
            $this->line->take('('.$n.'\s?'.$u.')\s(?:pattern |print )?repeat'.$end);

        return null === $found ? null : $this->line->length($found[1], Unit::Centimetre);
    }

    /** Per cent across, from "40% stretch" or "stretches 40 %". */
    public function stretch(): ?int
    {
        $said = $this->line->take(
            '(?<!\d)(\d{1,3})\s*%\s*(?:(?:2|4|two|four)[- ]way\s+)?stretch(?![\p{L}])|stretch(?:es)?\s+(\d{1,3})\s*%',
        );
        if (null === $said) {
            return null !== $this->line->take('(?<!\p{L})(?:no|without|non-?)\s?stretch(?! along)'.HaulCursor::WORD_END)
                ? $this->stretches(0)
                : null;
        }
        $share = min(300, (int) (('' !== $said[1] ? $said[1] : null) ?? ($said[2] ?? 0)));

        return $this->stretches($share);
    }

    private function stretches(int $share): int
    {
        $this->line->chip(new Chip('stretch', new Sentence('stretches {share} %', ['share' => $share])));

        return $share;
    }

    /** @return list<string> */
    public function colours(): array
    {
        $colours = [];
        while (\count($colours) < 3 && null !== ($said = $this->line->said(array_keys(ClothWords::COLOURS)))) {
            $colours[] = ClothWords::COLOURS[$said[0]];
            $this->line->chip(new Chip('colour', new Sentence('{word}', ['word' => $said[0]]), $said[1]));
        }

        return array_values(array_unique($colours));
    }
}

<?php

declare(strict_types=1);

namespace Octavum\Core\Haul;

use Octavum\Core\Cloth\ClothLook;
use Octavum\Core\Cloth\ClothType;
use Octavum\Core\Cloth\Feel;
use Octavum\Core\Cloth\FibreMix;
use Octavum\Core\Cloth\Knowledge;
use Octavum\Core\Cloth\Material;
use Octavum\Core\Cloth\Opacity;
use Octavum\Core\Cloth\PrintKind;
use Octavum\Core\Cloth\Weight;
use Octavum\Core\Cloth\WeightClass;
use Octavum\Core\Measure\Figure;
use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Measure\System;
use Octavum\Core\Reading\Chip;
use Octavum\Core\Reading\ClothWords;

/**
 * Reads a cloth from one line, the way people note what they bought: "1.8m 142cm cotton drill 240gsm bottle green, 6.40/half
 * m". Figures are taken out first, the most particular ones before the general (a price a metre before a length), then the
 * known words. What could be meant otherwise is not decided in silence: it becomes a doubt. What is left stands in the name,
 * and the whole line in the notes, so that nothing typed is lost.
 */
final readonly class HaulReader
{
    /** Characters of a line that are read: nobody notes a cloth at greater length, and each is looked at many times. */
    private const READ = 400;

    public function read(string $line, System $system): HaulLine
    {
        return $this->line($line, $system, false);
    }

    /** A cloth met in a shop: its length is still to be found, so that a figure alone is its width. */
    public function readInShop(string $line, System $system): HaulLine
    {
        return $this->line($line, $system, true);
    }

    private function line(string $line, System $system, bool $inShop): HaulLine
    {
        $text = mb_substr(trim(preg_replace('/\s+/u', ' ', mb_scrub($line)) ?? $line), 0, HaulLine::LONGEST);
        $cursor = new HaulCursor(mb_substr($text, 0, self::READ));
        if (mb_strlen($text) > self::READ) {
            $cursor->doubt(new Sentence('only the first {most} characters are read; the notes keep {kept}', [
                'most' => self::READ,
                'kept' => mb_strlen($text),
            ]));
        }
        $kind = new KindReader($cursor);
        $prices = new PriceReader($cursor);
        $fibres = new FibresReader($cursor);
        $state = new StateReader($cursor);
        $stretch = $kind->stretch();
        $price = $prices->price();
        $weight = $kind->weight();
        $repeat = $kind->repeat();
        $mix = $fibres->shares();
        $this->area($cursor);
        [$count, $length, $width, $others] = (new MeasuresReader($cursor))->measures($system, $inShop);
        $place = $state->place();
        $care = $state->care();
        [$ordered, $washed, $label, $more] = $state->state();
        $from = $state->from($text);
        $named = $cursor->named;
        [$type, $structure] = $kind->type();
        $mix ??= $fibres->fibreNames($type);
        $type ??= ['linen' => 100] === $mix->shares ? ClothType::Linen : null;
        $print = $cursor->word(ClothWords::PRINTS, 'print');
        $direction = $kind->direction($type);
        $drape = $cursor->word(ClothWords::DRAPES, 'drape');
        $opacity = $cursor->word(ClothWords::OPACITIES, 'opacity');
        $weight ??= $kind->weightWord();
        $opacity ??= null === $weight?->grams && WeightClass::Sheer === $weight?->class ? Opacity::Sheer : null;
        $colours = $kind->colours();
        $price ??= $prices->barePrice($label);
        $unread = $this->unread($cursor);
        $cursor->chips = [...$this->chips($count, $length, $width, fibres: $mix, weight: $weight, repeat: $repeat), ...$cursor->chips];
        $perMetre = $prices->perMetre($price, $length, $count);

        return new HaulLine(
            $text,
            $this->name($named, $text),
            new HaulCuts($count, $length, $others, label: $label, ordered: $ordered, washed: $washed),
            width: $width,
            material: new Material($structure, $type, $mix, weight: $weight, feel: new Feel($stretch, null, $drape, $opacity), care: $care),
            look: new ClothLook($print ?? PrintKind::Plain, $direction, $repeat, colours: $colours),
            origin: new HaulOrigin($place, $perMetre, $more, $from),
            reading: new HaulReading($cursor->chips, $cursor->doubts, $unread),
        );
    }

    private function area(HaulCursor $line): void
    {
        $area = $line->take('(?<![\d.,])'.HaulCursor::NUMBER.'\s?(?:m²|m2|sqm|sq m|cm²|cm2)(?![\p{L}\d])');
        if (null !== $area) {
            $line->doubt(new Sentence('{said} is an area: type the length and the width', ['said' => trim($area[0])]));
        }
    }

    /** @return list<string> */
    private function unread(HaulCursor $line): array
    {
        preg_match_all('~[\p{L}\d][\p{L}\d.\'-]*~u', $line->rest, $found);

        foreach ($found[0] as $word) {
            if (1 === preg_match('/^\d/', $word)) {
                $line->doubt(new Sentence('“{word}” means nothing here: it stands in the name', ['word' => $word]));
            }
        }

        return array_values(
            array_filter(
                $found[0],
                static fn (string $word): bool => !isset(ClothWords::FIBRES[$word])
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

        return mb_substr('' === $words ? $text : mb_strtoupper(mb_substr($words, 0, 1)).mb_substr($words, 1), 0, HaulLine::LONGEST_NAME);
    }

    /** @return list<Chip> of what a sewist looks for first */
    private function chips(int $count, ?Length $length, ?Length $width, FibreMix $fibres, ?Weight $weight, ?Length $repeat): array
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

        return $first;
    }
}

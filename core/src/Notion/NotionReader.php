<?php

declare(strict_types=1);

namespace Octavum\Core\Notion;

use Octavum\Core\Haul\HaulCursor;
use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\Numbers;
use Octavum\Core\Measure\Unit;
use Octavum\Core\Measure\Unreadable;
use Octavum\Core\Reading\Spoken;

/** Reads a notion as envelopes print it and people note it: "4 buttons 25 mm", "invisible zip 55 cm", "1.5 m soft elastic 10 mm, tin 2". */
final readonly class NotionReader
{
    /** Longer names first where one holds another. */
    private const WORDS = [
        'bias binding' => NotionKind::Binding,
        'bias tape' => NotionKind::Binding,
        'binding' => NotionKind::Binding,
        'bias' => NotionKind::Binding,
        'fusible interfacing' => NotionKind::Interfacing,
        'iron-on interfacing' => NotionKind::Interfacing,
        'interfacing' => NotionKind::Interfacing,
        'interlining' => NotionKind::Interfacing,
        'zippers?' => NotionKind::Zip,
        'zips?' => NotionKind::Zip,
        'elastic' => NotionKind::Elastic,
        'buttons?' => NotionKind::Button,
        'thread' => NotionKind::Thread,
        'reels?' => NotionKind::Thread,
        'ribbing' => NotionKind::Ribbing,
        'cuffing' => NotionKind::Ribbing,
        'hook and loop(?: tape)?' => NotionKind::Tape,
        'hooks? (?:and|&) (?:eyes?|bars?)' => NotionKind::Hook,
        'hooks?' => NotionKind::Hook,
        'press studs?' => NotionKind::Snap,
        'poppers?' => NotionKind::Snap,
        'snaps?' => NotionKind::Snap,
        'cord' => NotionKind::Cord,
        'drawstring' => NotionKind::Cord,
        'd-? ?rings?' => NotionKind::Ring,
        'rings?' => NotionKind::Ring,
        'buckles?' => NotionKind::Buckle,
        'clips?' => NotionKind::Clasp,
        'clasps?' => NotionKind::Clasp,
        'shoulder pads?' => NotionKind::Pad,
        'boning' => NotionKind::Boning,
        'piping' => NotionKind::Piping,
        'ribbon' => NotionKind::Ribbon,
        'petersham' => NotionKind::Ribbon,
        'tape' => NotionKind::Tape,
        'webbing' => NotionKind::Tape,
        'lace' => NotionKind::Trimming,
        'braid' => NotionKind::Trimming,
        'ric-? ?rac' => NotionKind::Trimming,
        'fringe' => NotionKind::Trimming,
        'fusible' => NotionKind::Interfacing,
    ];
    private const LENGTH = '(?<![\w.,\/])(?:(?:\d+[ -])?\d+\/\d+|\d+(?:[.,]\d+)?\s?[½¼¾⅛⅜⅝⅞⅓⅔]?|[½¼¾⅛⅜⅝⅞⅓⅔])\s*'
        .'(?:mm|cm|m|metres?|meters?|yds?|yards?|inch(?:es)?|ins?|["″])(?![a-z])';
    private const NARROW = 120_000;
    private const NUMBERS =
        [
            'half a dozen' => '6',
            'a dozen' => '12',
            'dozen' => '12',
            'a pair of' => '2',
            'pair of' => '2',
            'eleven' => '11',
            'twelve' => '12',
            'twenty' => '20',
        ] + Numbers::WORDS;
    /** "10 1/2 in buttons" are ten of half an inch: none is wider than two. */
    private const COUNTED = '/(?<![\w.,\/])(\d{1,3})\s+(?=(?:[1357]\/(?:2|4|8|16)|[½¼¾⅛⅜⅝⅞])\s*(?:inch(?:es)?|ins?|["″]))/iu';

    /**
     * Nothing typed is dropped: what is neither number, measure nor kind stays in the name, and what follows the last comma in the
     * place when a place is looked for.
     */
    public function read(string $line, bool $withPlace = false): Notion
    {
        $rest = trim($line);
        $place = '';
        if ($withPlace && 1 === preg_match('/^(.*\S)\s*,\s*([^,]*\p{L}[^,]*)$/u', $rest, $part)) {
            [, $rest, $place] = $part;
        }
        $kind = NotionKind::Other;
        foreach (self::WORDS as $word => $means) {
            if (1 === preg_match('/\b'.$word.'\b/iu', $rest)) {
                $kind = $means;
                // of what differs within its kind the word is kept: webbing is no twill tape
                $isNamed = \in_array($kind, [NotionKind::Tape, NotionKind::Trimming], true) && $word !== $kind->value;
                $rest = $isNamed ? $rest : preg_replace('/\b'.$word.'\b/iu', ' ', $rest, 1) ?? $rest;
                break;
            }
        }
        $rest = (new Spoken())->spelt($rest);
        [$rest, $spoken] = $this->taken('(?<![\p{L}\d])'.HaulCursor::SPOKEN.'(?![\p{L}\d])', $rest, 1);
        $rest =
            preg_replace_callback(
                '/\b('.implode('|', array_keys(self::NUMBERS)).')\b(?![ -]way\b)/iu',
                static fn (array $word): string => self::NUMBERS[mb_strtolower($word[1])],
                $rest,
                1,
            ) ?? $rest;
        $count = null;
        if (!$kind->goesByLength() && NotionKind::Zip !== $kind && 1 === preg_match(self::COUNTED, $rest, $found) && (int) $found[1] > 1) {
            $count = (int) $found[1];
            $rest = preg_replace(self::COUNTED, ' ', $rest, 1) ?? $rest;
        }
        [$rest, $wide] = $kind->goesByLength() ? $this->taken(self::LENGTH.'\s*(?=wide\b)', $rest, 1) : [$rest, []];
        $rest = [] === $wide ? $rest : preg_replace('/\bwide\b/iu', ' ', $rest, 1) ?? $rest;
        [$rest, $lengths] = $this->taken(self::LENGTH, $rest);
        $lengths = [...$spoken, ...$lengths];
        // by the piece it is length by width, as cloth is; of what is narrow the longer is the length
        $isPiece = 2 === \count($lengths) && 1 === preg_match('/\d\s*\D{1,12}\s?[x×]\s?\d/u', $line)
            && min($lengths[0]->micrometres, $lengths[1]->micrometres) >= self::NARROW;
        $isPiece || usort($lengths, static fn (Length $a, Length $b): int => $b->micrometres <=> $a->micrometres);
        $rest =
            preg_replace_callback(
                // "+ 6 rivets" counts something else, "2-way" and "4 hole" nothing
                '/(?<![\w.,\/£€$+&])(?<![+&]\s)(?:[x×]\s?)?(\d{1,4})\s*(?:x|×)?(?![\w.\/]|[ -](?:way|holed?)\b)/iu',
                static function (array $found) use (&$count): string {
                    if (null !== $count) {
                        return $found[0];
                    }
                    $count = (int) $found[1];

                    return ' ';
                },
                $rest,
            ) ?? $rest;
        if ($kind->goesByLength()) {
            $rest = preg_replace('/(?<!\w)[x×](?!\w)/u', ' ', $rest) ?? $rest;
            $isLong = isset($lengths[0]) && ($lengths[0]->micrometres >= self::NARROW || [] !== $wide);
            $long = $isLong ? array_shift($lengths) : null;

            return new Notion(
                '',
                $kind,
                $wide[0] ?? array_shift($lengths),
                count: null,
                length: null === $long || null === $count ? $long : $long->times(max(1, $count)),
                name: $this->name($kind, $rest, $lengths),
                place: $place,
            );
        }

        return new Notion(
            '',
            $kind,
            array_shift($lengths),
            count: $count,
            length: null,
            name: $this->name($kind, $rest, $lengths),
            place: $place,
        );
    }

    /**
     * Takes lengths out of a line; what cannot be read as one stays.
     *
     * @return array{string, list<Length>}
     */
    private function taken(string $pattern, string $line, int $most = -1): array
    {
        $lengths = [];
        $left = preg_replace_callback('/'.$pattern.'/iu', static function (array $found) use (&$lengths): string {
            try {
                $lengths[] = Length::parse($found[0], Unit::Centimetre);
            } catch (Unreadable) {
                return $found[0];
            }

            return ' ';
        }, $line, $most);

        return [$left ?? $line, $lengths];
    }

    /** @param list<Length> $left measures that found no use */
    private function name(NotionKind $kind, string $rest, array $left): string
    {
        $name = preg_replace(['/\s+/u', '/^[\s,;:-]+|[\s,;:-]+$/u'], [' ', ''], $rest) ?? $rest;

        return [] === $left
            ? $name
            : trim($name.' '.implode(' ', array_map(static fn (Length $length): string => $length->millimetres().' mm', $left)));
    }
}

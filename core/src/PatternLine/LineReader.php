<?php

declare(strict_types=1);

namespace Octavum\Core\PatternLine;

use Octavum\Core\Cloth\Structure;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Notion\NotionKind;
use Octavum\Core\Notion\NotionReader;
use Octavum\Core\Pattern\Ownership;
use Octavum\Core\Pattern\PaperState;
use Octavum\Core\Pattern\PatternFormat;
use Octavum\Core\Piece\Garment;
use Octavum\Core\Reading\Chip;
use Octavum\Core\Reading\ClothWords;

/**
 * Reads a pattern from one line, the way people note what they own: "Q112 wrap dress, PDF, 8-20, not printed, needs 3 buttons
 * 18mm". Commas part it; number and title come first. What is not understood stays in the notes, with the whole line.
 */
final readonly class LineReader
{
    public function read(string $line): PatternLine
    {
        $text = trim(preg_replace('/\s+/u', ' ', mb_scrub($line)) ?? $line);
        $parts = array_values(
            array_filter(
                array_map(trim(...), explode("\n", preg_replace('/[,;]\s+|[,;]$|(?<=\D)[,;]|[,;](?=\D)/u', "\n", $text) ?? $text)),
                static fn (string $part): bool => '' !== $part,
            ),
        );
        $first = array_shift($parts) ?? '';
        [$number, $others, $title] = $this->numbers($first);
        $maker = '';
        if (1 === preg_match('/^(.*\S)\s+(?:by|from)\s+(\S.*)$/iu', $title, $said)) {
            [, $title, $maker] = $said;
        }
        $found = [
            'garment' => $this->word(PatternWords::GARMENTS, $title),
            'format' => null,
            'paper' => null,
            'ownership' => null,
            'onlyFor' => null,
            'sizes' => [],
            'minutes' => null,
            'place' => '',
        ];
        $notions = $unread = $doubts = [];
        foreach ([...$this->trailing($title), ...$parts] as $part) {
            $read = $this->part($part, $found, $notions, others: $others, maker: $maker, doubts: $doubts);
            $unread = $read ? $unread : [...$unread, $part];
        }
        $format =
            $found['format']
            ?? (\in_array($found['paper'], [PaperState::NotPrinted, PaperState::Taped, PaperState::Printed], true)
                ? PatternFormat::Pdf
                : null);
        $title = '' === $title ? ('' === $number ? $text : 'Number '.$number) : $title;

        return new PatternLine(
            $text,
            mb_substr(mb_strtoupper(mb_substr($title, 0, 1)).mb_substr($title, 1), 0, 120),
            mb_substr($maker, 0, 120),
            number: $number,
            otherNumbers: $others,
            garment: $found['garment'],
            format: $format,
            paper: $found['paper'],
            ownership: $found['ownership'] ?? Ownership::Owned,
            onlyFor: $found['onlyFor'],
            sizes: $found['sizes'],
            notions: $notions,
            minutes: $found['minutes'],
            place: $found['place'],
            chips: $this->chips($number, $others, $maker, found: $found, format: $format, notions: $notions),
            doubts: $doubts,
            unread: $unread,
        );
    }

    /** @return array{string, list<string>, string} number, other numbers, and what follows */
    private function numbers(string $first): array
    {
        if (
            1 !==
            preg_match(
                '~^(?:no\.?\s*|number\s+|#)?((?:[A-Z]{1,4}[- ]?)?\d{1,6}[A-Z]?(?:\s*[/=]\s*(?:[A-Z]{1,4}[- ]?)?\d{1,6}[A-Z]?)*)(?=\s|$)\s*(.*)$~u',
                $first,
                $part,
            )
        ) {
            return ['', [], $first];
        }
        $numbers = array_map(trim(...), explode('/', strtr($part[1], '=', '/')));

        return [$numbers[0], \array_slice($numbers, 1), $part[2]];
    }

    /** @return list<string> words at the end of the title that are none of it: "wrap dress pdf 8-20" */
    private function trailing(string &$title): array
    {
        $taken = [];
        while (
            1 === preg_match('~^(.+?)\s+(\S+)$~u', $title, $part)
            && (
                (isset(PatternWords::FORMATS[mb_strtolower($part[2])]) && 'book' !== mb_strtolower($part[2]))
                || [] !== (new SizesReader())->read($part[2], true)
            )
        ) {
            [, $title, $taken[]] = $part;
        }

        return $taken;
    }

    /**
     * @param array{
     *     garment: ?Garment, format: ?PatternFormat, paper: ?PaperState, ownership: ?Ownership, onlyFor: ?Structure,
     *     sizes: list<string>, minutes: ?int, place: string,
     * } $found
     * @param list<string>   $notions
     * @param list<string>   $others
     * @param list<Sentence> $doubts
     *
     * @param-out array{
     *     garment: ?Garment, format: ?PatternFormat, paper: ?PaperState, ownership: ?Ownership, onlyFor: ?Structure,
     *     sizes: list<string>, minutes: ?int, place: string,
     * } $found
     * @param-out list<string> $notions
     * @param-out list<string> $others
     * @param-out list<Sentence> $doubts
     *
     * @return bool whether it means something
     */
    private function part(string $part, array &$found, array &$notions, array &$others, string &$maker, array &$doubts): bool
    {
        $plain = mb_strtolower($part);
        if (
            1 === preg_match('/^(?:needs?|notions?:?|with)\s+(.+)$/iu', $part, $said)
            || (NotionKind::Other !== (new NotionReader())->read($part)->kind && 1 === preg_match('/\d/', $part))
        ) {
            $notions[] = mb_substr($said[1] ?? $part, 0, 200);

            return true;
        }
        if (
            1 ===
            preg_match('/^(?:also|reissue of|reissued as|same as|=)\s*(?:no\.?\s*)?((?:[A-Z]{1,4}[- ]?)?\d{1,6}[A-Z]?)$/iu', $part, $said)
        ) {
            $others[] = $said[1];

            return true;
        }
        if (1 === preg_match('/^by\s+(\S.*)$/iu', $part, $said) && '' === $maker) {
            $maker = $said[1];

            return true;
        }
        $sizes = (new SizesReader())->read($part);
        if ([] !== $sizes && [] === $found['sizes']) {
            $found['sizes'] = $sizes;
            if (1 === preg_match('/\d\s*(?:-|–|to)\s*\d/', $part)) {
                $doubts[] = new Sentence('“{text}” is read as {sizes}', ['text' => $part, 'sizes' => implode(', ', $sizes)]);
            }

            return true;
        }
        $minutes = SewingTime::minutes(preg_replace('/^about\s+/iu', '', $part) ?? $part);
        if (null !== $minutes) {
            $found['minutes'] = $minutes;

            return true;
        }
        if (1 === preg_match('/^(?:about\s+)?(\d{1,3}(?:[.,]\d)?)\s*(?:h|hrs?|hours?)$/iu', $part, $said)) {
            $found['minutes'] = (int) round(60 * (float) str_replace(',', '.', $said[1]));

            return true;
        }
        if (
            1 ===
            preg_match(
                '/^(?:in\s+(?:the\s+)?)?(?:'.implode('|', ClothWords::PLACES).'|folder|binder|sleeve|hard disk|computer)\b/iu',
                $part,
            )
        ) {
            $found['place'] = mb_substr($part, 0, 120);

            return true;
        }
        $paper = $this->word(PatternWords::PAPER, $plain);
        $format = $this->word(PatternWords::FORMATS, $plain);
        $ownership = $this->word(PatternWords::OWNERSHIP, $plain);
        $onlyFor =
            1 === preg_match('/\b(?:knits?|jersey|stretch)\b/u', $plain)
                ? Structure::Knit
                : (1 === preg_match('/\bwovens?\b/u', $plain)
                    ? Structure::Woven
                    : null);
        $garment = $this->word(PatternWords::GARMENTS, $plain);
        $found['paper'] ??= $paper;
        $found['format'] ??= $format;
        $found['ownership'] ??= $ownership;
        $found['onlyFor'] ??= $onlyFor;
        $known = [$paper, $format, $ownership, $onlyFor];
        if (null === $found['garment'] && null !== $garment) {
            $found['garment'] = $garment;
            $known[] = $garment;
        }

        return [] !== array_filter($known, static fn (?object $one): bool => null !== $one);
    }

    /**
     * @template T of object
     *
     * @param array<string, T> $words
     *
     * @return ?T of the longest word that stands in the text; of equals the last, since "shirt dress" is a dress
     */
    private function word(array $words, string $text): ?object
    {
        $best = null;
        $at = [-1, -1];
        foreach ($words as $word => $means) {
            if (1 === preg_match('/(?<![\p{L}-])'.preg_quote($word, '/').'(?![\p{L}])/iu', $text, $found, \PREG_OFFSET_CAPTURE)) {
                $end = $found[0][1] + \strlen($word);
                if ([$end, \strlen($word)] > $at) {
                    [$best, $at] = [$means, [$end, \strlen($word)]];
                }
            }
        }

        return $best;
    }

    /**
     * @param list<string> $others
     * @param array{
     *     garment: ?Garment, format: ?PatternFormat, paper: ?PaperState, ownership: ?Ownership, onlyFor: ?Structure,
     *     sizes: list<string>, minutes: ?int, place: string,
     * } $found
     * @param list<string> $notions
     *
     * @return list<Chip>
     */
    private function chips(string $number, array $others, string $maker, array $found, ?PatternFormat $format, array $notions): array
    {
        $chips = [];
        foreach (
            [
                'number' => $number.([] === $others ? '' : ', also '.implode(', ', $others)),
                'maker' => $maker,
                'garment' => $found['garment']?->value,
                'format' => $format?->value,
                'sizes' => implode(' ', $found['sizes']),
                'paper' => $found['paper']?->value,
                'ownership' => $found['ownership']?->value,
                'only for' => $found['onlyFor']?->value,
                'notions' => implode(', ', $notions),
                'hours' => null === $found['minutes'] ? '' : round($found['minutes'] / 60, 1).' h',
                'place' => $found['place'],
            ] as $kind => $says
        ) {
            if (null !== $says && '' !== $says) {
                $chips[] = new Chip($kind, new Sentence('{kind}: {says}', ['kind' => $kind, 'says' => $says]));
            }
        }

        return $chips;
    }
}

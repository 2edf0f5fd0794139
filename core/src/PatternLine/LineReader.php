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
use Octavum\Core\Reading\Words;

/**
 * Reads a pattern from one line, the way people note what they own: "Q112 wrap dress, PDF, 8-20, not printed, needs 3 buttons
 * 18mm". Commas part it; number and title come first. What is not understood stays in the notes, with the whole line.
 */
final readonly class LineReader
{
    private const GARMENTS = [
        'wrap dress' => Garment::Dress,
        'sundress' => Garment::Dress,
        'dress' => Garment::Dress,
        'slip' => Garment::Dress,
        'pinafore' => Garment::Pinafore,
        'pinny' => Garment::Pinafore,
        'skirt' => Garment::Skirt,
        'culottes' => Garment::Trousers,
        'trousers' => Garment::Trousers,
        'pants' => Garment::Trousers,
        'jeans' => Garment::Trousers,
        'leggings' => Garment::Trousers,
        'joggers' => Garment::Trousers,
        'shorts' => Garment::Shorts,
        'jumpsuit' => Garment::Jumpsuit,
        'romper' => Garment::Jumpsuit,
        'dungarees' => Garment::Jumpsuit,
        'overalls' => Garment::Jumpsuit,
        'overshirt' => Garment::Shirt,
        't-shirt' => Garment::Tee,
        'tshirt' => Garment::Tee,
        'tee' => Garment::Tee,
        'shirt' => Garment::Shirt,
        'blouse' => Garment::Top,
        'tunic' => Garment::Top,
        'camisole' => Garment::Top,
        'cami' => Garment::Top,
        'tank' => Garment::Top,
        'top' => Garment::Top,
        'waistcoat' => Garment::Waistcoat,
        'gilet' => Garment::Waistcoat,
        'blazer' => Garment::Jacket,
        'jacket' => Garment::Jacket,
        'raincoat' => Garment::Coat,
        'coat' => Garment::Coat,
        'cape' => Garment::Coat,
        'cardigan' => Garment::Jumper,
        'sweatshirt' => Garment::Jumper,
        'hoodie' => Garment::Jumper,
        'jumper' => Garment::Jumper,
        'sweater' => Garment::Jumper,
        'pyjamas' => Garment::Nightwear,
        'pajamas' => Garment::Nightwear,
        'nightdress' => Garment::Nightwear,
        'nightshirt' => Garment::Nightwear,
        'dressing gown' => Garment::Nightwear,
        'knickers' => Garment::Underwear,
        'bra' => Garment::Underwear,
        'drawers' => Garment::Underwear,
        'pants and bra' => Garment::Underwear,
        'apron' => Garment::Apron,
        'rucksack' => Garment::Bag,
        'tote' => Garment::Bag,
        'bag' => Garment::Bag,
        'sunhat' => Garment::Hat,
        'beret' => Garment::Hat,
        'hat' => Garment::Hat,
        'cap' => Garment::Hat,
    ];
    private const FORMATS = [
        'pdf' => PatternFormat::Pdf,
        'download' => PatternFormat::Pdf,
        'tissue' => PatternFormat::Tissue,
        'envelope' => PatternFormat::Tissue,
        'paper' => PatternFormat::Tissue,
        'magazine' => PatternFormat::Magazine,
        'book' => PatternFormat::Book,
        'self-drafted' => PatternFormat::Drafted,
        'self drafted' => PatternFormat::Drafted,
        'own draft' => PatternFormat::Drafted,
        'tutorial' => PatternFormat::Tutorial,
    ];
    private const PAPER = [
        'not printed' => PaperState::NotPrinted,
        'unprinted' => PaperState::NotPrinted,
        'to print' => PaperState::NotPrinted,
        'printed' => PaperState::Printed,
        'taped' => PaperState::Taped,
        'uncut' => PaperState::Uncut,
        'factory folded' => PaperState::Uncut,
        'traced' => PaperState::Traced,
        'cut to size' => PaperState::CutToSize,
        'cut' => PaperState::CutToSize,
        'projector' => PaperState::Projector,
    ];
    private const OWNERSHIP = [
        'wished for' => Ownership::Wished,
        'wish list' => Ownership::Wished,
        'wishlist' => Ownership::Wished,
        'to buy' => Ownership::Wished,
        'borrowed' => Ownership::Borrowed,
        'on loan' => Ownership::Borrowed,
    ];
    private const LETTERS = ['XXXS', 'XXS', 'XS', 'S', 'M', 'L', 'XL', 'XXL', 'XXXL', '4XL', '5XL', '6XL'];

    public function read(string $line): Line
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
            'garment' => $this->word(self::GARMENTS, $title),
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
            $read = $this->part($part, $found, $notions, $others, $maker, $doubts);
            $unread = $read ? $unread : [...$unread, $part];
        }
        $format =
            $found['format']
            ?? (\in_array($found['paper'], [PaperState::NotPrinted, PaperState::Taped, PaperState::Printed], true)
                ? PatternFormat::Pdf
                : null);
        $title = '' === $title ? ('' === $number ? $text : 'Number '.$number) : $title;

        return new Line(
            $text,
            mb_substr(mb_strtoupper(mb_substr($title, 0, 1)).mb_substr($title, 1), 0, 120),
            mb_substr($maker, 0, 120),
            $number,
            $others,
            $found['garment'],
            $format,
            $found['paper'],
            $found['ownership'] ?? Ownership::Owned,
            $found['onlyFor'],
            $found['sizes'],
            $notions,
            $found['minutes'],
            $found['place'],
            $this->chips($number, $others, $maker, $found, $format, $notions),
            $doubts,
            $unread,
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
                (isset(self::FORMATS[mb_strtolower($part[2])]) && 'book' !== mb_strtolower($part[2]))
                || [] !== $this->sizes($part[2], true)
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
        $sizes = $this->sizes($part);
        if ([] !== $sizes && [] === $found['sizes']) {
            $found['sizes'] = $sizes;
            if (1 === preg_match('/\d\s*(?:-|–|to)\s*\d/', $part)) {
                $doubts[] = new Sentence('“{text}” is read as {sizes}', ['text' => $part, 'sizes' => implode(', ', $sizes)]);
            }

            return true;
        }
        $minutes = Span::minutes(preg_replace('/^about\s+/iu', '', $part) ?? $part);
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
            preg_match('/^(?:in\s+(?:the\s+)?)?(?:'.implode('|', Words::PLACES).'|folder|binder|sleeve|hard disk|computer)\b/iu', $part)
        ) {
            $found['place'] = mb_substr($part, 0, 120);

            return true;
        }
        $paper = $this->word(self::PAPER, $plain);
        $format = $this->word(self::FORMATS, $plain);
        $ownership = $this->word(self::OWNERSHIP, $plain);
        $onlyFor =
            1 === preg_match('/\b(?:knits?|jersey|stretch)\b/u', $plain)
                ? Structure::Knit
                : (1 === preg_match('/\bwovens?\b/u', $plain)
                    ? Structure::Woven
                    : null);
        $garment = $this->word(self::GARMENTS, $plain);
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

    /**
     * "8-20", "8 10 12", "S–XL", "size 34 to 46", "one size".
     *
     * @param bool $range whether only a range will do
     *
     * @return list<string>
     */
    private function sizes(string $part, bool $range = false): array
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

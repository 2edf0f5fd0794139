<?php

declare(strict_types=1);

namespace Octavum\Core\Find;

/**
 * Finds texts by words that may be slips or other people's words: rayon finds viscose, pants finds trousers, jersy finds
 * jersey. Every word of the query must be found. Words are compared once with each word there is, not with each text; a slip
 * is one letter wrong, missing, too many or swapped in a word of four to seven, two in a longer one (Damerau 1964), and one
 * missing in a word of three. A word that is not typed to its end yet may have its slip too: trousz finds trousers.
 */
final readonly class Forgiving
{
    /** Words of the trade that mean the same, or nearly. */
    private const SAME = [
        ['viscose', 'rayon'],
        ['toile', 'muslin', 'calico'],
        ['trousers', 'trouser', 'pants', 'slacks'],
        ['jumper', 'sweater', 'pullover'],
        ['waistcoat', 'vest', 'gilet'],
        ['pinafore', 'jumper dress'],
        ['dungarees', 'overalls'],
        ['elastane', 'spandex'],
        ['nylon', 'polyamide'],
        ['wadding', 'batting'],
        ['needlecord', 'corduroy', 'cord', 'babycord'],
        ['grey', 'gray'],
        ['colour', 'color'],
        ['zip', 'zipper'],
        ['press', 'snap'],
        ['ribbing', 'rib'],
        ['tee', 't-shirt', 'tshirt'],
        ['nightwear', 'pyjamas', 'pajamas', 'nightdress'],
        ['dressmaking', 'garment'],
        ['nappy', 'diaper'],
        ['underwear', 'knickers', 'drawers', 'panties'],
        ['check', 'gingham', 'plaid', 'tartan'],
        ['spotted', 'dot', 'dots', 'polka'],
        ['coat', 'overcoat'],
        ['shorts', 'short'],
        ['blouse', 'top'],
    ];

    private const RANKS = ['same' => 8, 'begins' => 5, 'word' => 4, 'within' => 2, 'slip' => 1];

    /**
     * @param array<string, string> $texts by key; what stands first in a text counts most
     *
     * @return list<string> keys, the best first
     */
    public function find(string $query, array $texts, int $most): array
    {
        $wanted = \array_slice($this->words($query), 0, 6);
        if ([] === $wanted) {
            return [];
        }
        $places = [];
        foreach ($texts as $key => $text) {
            foreach ($this->words($text) as $i => $word) {
                $places['#'.$word][$key] ??= $i;
            }
        }
        $scores = null;
        foreach ($wanted as $word) {
            $found = [];
            $same = array_flip(array_merge(...array_filter(self::SAME, static fn (array $group): bool => \in_array($word, $group, true))));
            foreach ($places as $known => $keys) {
                $rank = $this->rank($word, substr($known, 1), $same);
                foreach ($rank > 0 ? $keys : [] as $key => $at) {
                    $found[$key] = max($found[$key] ?? 0, $rank + 2 / (1 + $at));
                }
            }
            $scores = null === $scores ? $found : array_intersect_key($scores, $found);
            foreach ($scores as $key => $score) {
                $scores[$key] = $score + $found[$key];
            }
        }
        arsort($scores);

        return array_map(strval(...), \array_slice(array_keys($scores), 0, $most));
    }

    /**
     * How well a word that is there answers one that is wanted; 0 not at all.
     *
     * @param array<string, int> $same words that mean the same
     */
    private function rank(string $wanted, string $known, array $same): int
    {
        if ($wanted === $known) {
            return self::RANKS['same'];
        }
        if (str_starts_with($known, $wanted)) {
            return self::RANKS['begins'];
        }
        if (isset($same[$known])) {
            return self::RANKS['word'];
        }
        if (\strlen($wanted) > 2 && str_contains($known, $wanted)) {
            return self::RANKS['within'];
        }
        $allowed = match (true) {
            \strlen($wanted) < 3 || 1 === preg_match('/\d/', $wanted) => 0,
            \strlen($wanted) < 8 => 1,
            default => 2,
        };
        if (0 === $allowed || $wanted[0] !== $known[0] || \strlen($known) + $allowed < \strlen($wanted)) {
            return 0;
        }
        if (3 === \strlen($wanted)) {
            return \strlen($known) > 3 && 1 === levenshtein($wanted, substr($known, 0, 4)) ? self::RANKS['slip'] : 0;
        }
        // from its beginning, where more of it is to come
        foreach ([0, 1, -1] as $more) {
            if ($this->slips($wanted, substr($known, 0, \strlen($wanted) + $more)) <= $allowed) {
                return self::RANKS['slip'];
            }
        }

        return $this->slips($wanted, $known) <= $allowed ? self::RANKS['slip'] : 0;
    }

    /** Levenshtein's distance, with two neighbours swapped counting once. */
    private function slips(string $a, string $b): int
    {
        $distance = levenshtein($a, $b);
        if (2 !== $distance || \strlen($a) !== \strlen($b)) {
            return $distance;
        }
        for ($i = 0, $n = \strlen($a) - 1; $i < $n; ++$i) {
            if ($a[$i] !== $b[$i]) {
                return $a[$i] === $b[$i + 1] && $a[$i + 1] === $b[$i] && substr($a, $i + 2) === substr($b, $i + 2) ? 1 : 2;
            }
        }

        return $distance;
    }

    /** @return list<string> without accents */
    private function words(string $text): array
    {
        $plain = mb_strtolower(
            strtr($text, [
                'é' => 'e',
                'è' => 'e',
                'ê' => 'e',
                'ë' => 'e',
                'à' => 'a',
                'â' => 'a',
                'ä' => 'a',
                'ö' => 'o',
                'ô' => 'o',
                'ü' => 'u',
                'û' => 'u',
                'ç' => 'c',
                'ï' => 'i',
                'ñ' => 'n',
                'å' => 'a',
                'ø' => 'o',
                '’' => "'",
            ]),
        );
        $words = preg_split("/[^\p{L}\d'-]+/u", $plain, -1, \PREG_SPLIT_NO_EMPTY);

        return false === $words ? [] : $words;
    }
}

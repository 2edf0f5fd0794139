<?php

declare(strict_types=1);

namespace Octavum\Core\Cloth;

use Octavum\Core\Colour\Lab;

/**
 * The names of cloths and what each lets one expect: weight, drape, opacity, stretch, edges, warmth. Source: docs/rules.md, “What the
 * name of a cloth tells”.
 */
final class NameTable
{
    private const POPLINS = 'poplin|broadcloth|gingham|madras|sheeting|quilting cotton|shirting';

    /** Words; structure; g/m²; drape; opacity; stretch across; edges; warmth; words of its own fibre, which shift nothing. */
    private const ROWS = [
        ['voile|batiste|cheesecloth', 'woven', [40, 80], [4, 4], 'sheer', [0, 0], 'fray', 'cool', ''],
        ['lawn|cambric|fine muslin', 'woven', [70, 110], [3, 3], 'opaque', [0, 0], 'fray', 'cool', ''],
        [self::POPLINS, 'woven', [110, 150], [2, 3], 'opaque', [0, 0], 'fray', '', ''],
        ['calico', 'woven', [110, 170], [2, 2], 'slightly sheer', [0, 0], 'fray', '', ''],
        ['chambray|seersucker', 'woven', [110, 160], [3, 3], 'opaque', [0, 0], 'fray', 'cool', ''],
        ['double gauze|eyelet', 'woven', [110, 160], [3, 3], 'slightly sheer', [0, 0], 'fray', 'cool', ''],
        ['chiffon|georgette', 'woven', [30, 70], [5, 5], 'sheer', [0, 0], 'fray', 'cool', ''],
        ['organza', 'woven', [20, 60], [1, 2], 'sheer', [0, 0], 'fray', 'cool', ''],
        ['tulle|net', '', [20, 60], [1, 2], 'sheer', [0, 0], '', 'cool', ''],
        ['lace', '', [80, 200], [3, 3], 'sheer', [0, 0], 'hold', 'cool', ''],
        ['stretch lace', '', [80, 200], [3, 3], 'sheer', [30, 60], 'hold', 'cool', ''],
        ['power mesh', 'knit', [100, 200], [3, 3], 'sheer', [50, 50], 'hold', 'cool', ''],
        ['viscose|challis|viscose twill|lyocell twill|lyocell', 'woven', [100, 150], [4, 5], 'opaque', [0, 0], 'fray', 'cool', 'viscose'],
        ['crepe de chine', 'woven', [50, 120], [5, 5], 'slightly sheer', [0, 0], 'fray', 'cool', 'silk'],
        ['satin', 'woven', [90, 200], [4, 4], 'opaque', [0, 0], 'fray', '', ''],
        ['sateen', 'woven', [120, 280], [2, 3], 'opaque', [0, 0], 'fray', '', ''],
        ['stretch sateen', 'woven', [120, 280], [2, 3], 'opaque', [5, 20], 'fray', '', ''],
        ['crepe', '', [100, 200], [4, 5], 'opaque', [0, 10], 'fray', '', ''],
        ['triple crepe', '', [200, 300], [3, 4], 'opaque', [0, 10], 'fray', '', ''],
        ['linen|linen cloth|hemp', 'woven', [110, 250], [2, 3], 'opaque', [0, 0], 'fray', 'cool', 'linen|hemp'],
        ['linen gauze', 'woven', [90, 130], [4, 4], 'slightly sheer', [0, 0], 'fray', 'cool', 'linen'],
        ['needlecord|corduroy|velveteen|cord', 'woven', [180, 320], [2, 3], 'opaque', [0, 0], 'fray', 'warm', ''],
        ['twill|drill|chino', 'woven', [200, 280], [2, 2], 'opaque', [0, 0], 'fray', '', ''],
        ['gabardine', 'woven', [180, 280], [2, 3], 'opaque', [0, 0], 'fray', '', ''],
        ['denim', 'woven', [270, 480], [1, 2], 'opaque', [0, 0], 'fray', '', ''],
        ['stretch denim', 'woven', [270, 480], [1, 2], 'opaque', [20, 30], 'fray', '', ''],
        ['light denim|lightweight denim', 'woven', [150, 250], [2, 3], 'opaque', [0, 0], 'fray', '', ''],
        ['light stretch denim|stretch light denim', 'woven', [150, 250], [2, 3], 'opaque', [20, 30], 'fray', '', ''],
        ['canvas|duck|furnishing cloth|furnishing', 'woven', [250, 500], [1, 2], 'opaque', [0, 0], 'fray', '', ''],
        ['coated|waxed|oilcloth', 'woven', [120, 400], [1, 2], 'opaque', [0, 0], 'hold', '', ''],
        ['flannel|brushed cotton|brushed cloth', 'woven', [150, 220], [3, 3], 'opaque', [0, 0], 'fray', 'warm', ''],
        ['suiting', 'woven', [180, 320], [3, 3], 'opaque', [0, 0], 'fray', '', ''],
        ['tweed', 'woven', [250, 400], [2, 2], 'opaque', [0, 0], 'fray', 'warm', ''],
        ['coating|melton', '', [350, 600], [2, 2], 'opaque', [0, 0], 'hold', 'warm', ''],
        ['boiled wool', '', [280, 450], [2, 3], 'opaque', [15, 15], 'hold', 'warm', ''],
        ['boucle', '', [250, 450], [2, 3], 'opaque', [0, 0], 'fray', 'warm', ''],
        ['knitted boucle|boucle knit', 'knit', [250, 450], [2, 3], 'opaque', [15, 30], 'fray', 'warm', ''],
        ['velvet', '', [200, 300], [4, 4], 'opaque', [0, 0], 'fray', 'warm', ''],
        ['stretch velvet', '', [200, 300], [4, 4], 'opaque', [30, 30], 'fray', 'warm', ''],
        ['jersey|single jersey', 'knit', [140, 230], [3, 3], 'opaque', [25, 50], 'curl', '', ''],
        ['viscose jersey|bamboo jersey|modal jersey', 'knit', [140, 230], [4, 5], 'opaque', [25, 50], 'curl', '', 'viscose|bamboo|modal'],
        ['interlock', 'knit', [180, 260], [3, 3], 'opaque', [30, 30], 'hold', '', ''],
        ['waffle', '', [180, 260], [3, 3], 'opaque', [10, 30], 'hold', '', ''],
        ['rib|ribbing', 'knit', [180, 300], [3, 3], 'opaque', [60, 100], 'hold', '', ''],
        ['ponte|scuba', 'knit', [260, 380], [2, 3], 'opaque', [20, 35], 'hold', 'warm', ''],
        ['french terry|sweatshirting', 'knit', [220, 320], [2, 3], 'opaque', [15, 30], 'hold', 'warm', ''],
        ['cable|cable knit|jumper knit', 'knit', [200, 400], [3, 3], 'opaque', [20, 50], '', 'warm', ''],
        ['fleece|velour', 'knit', [200, 300], [2, 3], 'opaque', [15, 30], 'hold', 'warm', ''],
        ['swim|sport|swimwear|sportswear', 'knit', [180, 240], [3, 3], 'opaque', [50, 80], 'hold', '', ''],
        ['lining|lining cloth|lining fabric', 'woven', [60, 100], [4, 4], 'slightly sheer', [0, 0], 'fray', '', 'viscose|acetate|cupro'],
    ];

    /** These tell it only where nothing else does: they are fibres too. */
    private const WEAK = ['viscose', 'lyocell', 'linen', 'linen cloth', 'hemp', 'coated', 'waxed', 'sport', 'cord', 'cable'];

    /** Words that tell more than a type that is said of them too. */
    private const KIN = [
        'lawn' => ['voile', 'batiste', 'cheesecloth'],
        'satin' => ['sateen', 'stretch sateen'],
        'twill' => ['gabardine', 'viscose twill', 'lyocell twill'],
        'crepe' => ['crepe de chine', 'georgette', 'chiffon'],
        'net' => ['lace', 'stretch lace', 'organza', 'power mesh'],
        'linen cloth' => ['linen gauze', 'chambray', 'canvas', 'voile', 'twill', 'jersey'],
        'brushed cloth' => ['twill', 'canvas', 'denim'],
        'canvas' => ['coated', 'waxed', 'oilcloth'],
    ];

    /** What makes another row of a word, also where it stands apart from it. */
    private const PREFIXES = ['stretch', 'viscose', 'bamboo', 'modal', 'knitted', 'lightweight'];
    private const MORE_DRAPE = '/\b(silk|viscose|rayon)\b/';
    private const LESS_DRAPE = '/\b(linen|hemp)\b/';

    /** A white or pale one is a step sheerer where it is lighter than this, g/m². */
    private const PALE_UNDER = 200;

    /** A white linen is sheer under this, g/m². */
    private const LINEN_UNDER = 160;

    /** Lightness from which a colour is pale. A starting value of the house. */
    private const PALE = 85.0;

    /** Per cent that a woven called “stretch” may give, and one with elastane. */
    private const WOVEN_STRETCH = [5, 20];
    private const WITH_ELASTANE = 15;

    /** Per cent that a jersey with elastane may give. */
    private const JERSEY_STRETCH = 80;

    /** @var ?array<string, int> the row of each word, the longest word first */
    private static ?array $rows = null;
    private static ?string $anyWord = null;

    /** By its name, and where that tells nothing by its type; null where neither does. */
    public function find(Cloth $cloth): ?NameGuess
    {
        $name = self::plain($cloth->name);
        $type = $cloth->material->type;
        $found = $this->last($name);
        $typed = null === $type || ClothType::Other === $type ? null : $this->last($type->value);
        // the type was chosen: a name that tells of another kind is only a name
        $isTold = null === $typed
            || null !== $found
                && (str_contains($found, $typed)
                    || self::rows()[$found] === self::rows()[$typed]
                    || \in_array($found, self::KIN[$type->value] ?? [], true));
        $word = $isTold ? $found : $typed;

        return null === $word ? null : $this->guess($word, $cloth, $name);
    }

    /** @return array<string, int> */
    private static function rows(): array
    {
        if (null === self::$rows) {
            $rows = [];
            foreach (self::ROWS as $i => [$words]) {
                $rows += array_fill_keys(explode('|', $words), $i);
            }
            uksort($rows, static fn (string $a, string $b): int => \strlen($b) <=> \strlen($a));
            self::$rows = $rows;
        }

        return self::$rows;
    }

    /** The word of the table that stands last in a text; what is a fibre too, only where no other does. */
    private function last(string $text): ?string
    {
        self::$anyWord ??= '/\b('.implode('|', array_keys(self::rows())).')s?\b(?!-| look| effect)/';
        preg_match_all(self::$anyWord, $text, $met);
        $strong = array_diff($met[1], self::WEAK);
        $last = [] === $strong ? end($met[1]) : end($strong);

        return false === $last ? null : $last;
    }

    private function guess(string $word, Cloth $cloth, string $name): NameGuess
    {
        foreach (self::PREFIXES as $prefix) {
            $isSaid = str_contains($name, $prefix)
                || ($cloth->material->fibres->shares[$prefix] ?? 0) >= 50
                || 'stretch' === $prefix && self::hasElastane($cloth, $name);
            $word = $isSaid && isset(self::rows()[$prefix.' '.$word]) ? $prefix.' '.$word : $word;
        }
        [, $structure, $grams, $drape, $opacity, $stretch, $edges, $warmth, $own] = self::ROWS[self::rows()[$word]];

        return new NameGuess(
            $word,
            '' === $structure ? null : Structure::from($structure),
            $grams,
            $this->drape($drape, $own, $cloth, $name),
            opacity: $this->opacity(Opacity::from($opacity), $word, $grams, $cloth, $name),
            stretch: $this->stretch($stretch, $word, $structure, $cloth, $name),
            edges: '' === $edges ? null : Edges::from($edges),
            warmth: ['cool' => Warmth::Warm, 'warm' => Warmth::Cold][$warmth] ?? null,
        );
    }

    /**
     * @param array{int, int} $drape
     *
     * @return array{int, int}
     */
    private function drape(array $drape, string $own, Cloth $cloth, string $name): array
    {
        $fibres = implode(' ', array_keys(array_filter($cloth->material->fibres->shares, static fn (int $share): bool => $share >= 50)));
        $said = $name.' '.$fibres;
        if ('' !== $own && 1 === preg_match('/\b('.$own.')\b/', $said)) {
            return $drape;
        }
        $shift = (int) preg_match(self::MORE_DRAPE, $said) - (int) preg_match(self::LESS_DRAPE, $said);

        return [max(1, min(5, $drape[0] + $shift)), max(1, min(5, $drape[1] + $shift))];
    }

    /** @param array{int, int} $grams */
    private function opacity(Opacity $opacity, string $word, array $grams, Cloth $cloth, string $name): ?Opacity
    {
        $weight = $cloth->material->weight?->grams;
        $isPale = $this->isPale($cloth, $name);
        $isLight = 1 === preg_match('/\b(lightweight|fine|thin|light(?! (blue|grey|green|pink|brown|red)))\b/', $name);

        return match (true) {
            \in_array($word, ['linen', 'linen cloth', 'hemp'], true) && $isPale => match (true) {
                null === $weight => null,
                $weight < self::LINEN_UNDER => Opacity::Sheer,
                default => Opacity::Opaque,
            },
            str_contains($word, 'jersey') && $isLight => Opacity::SlightlySheer,
            str_contains($word, 'knit') && 1 === preg_match('/\bopen\b/', $name) => Opacity::Sheer,
            $isPale && ($weight ?? intdiv($grams[0] + $grams[1], 2)) < self::PALE_UNDER => Opacity::Opaque === $opacity
                ? Opacity::SlightlySheer
                : Opacity::Sheer,
            default => $opacity,
        };
    }

    /**
     * @param array{int, int} $stretch
     *
     * @return array{int, int}
     */
    private function stretch(array $stretch, string $word, string $structure, Cloth $cloth, string $name): array
    {
        $hasElastane = self::hasElastane($cloth, $name);
        $isStretch = 1 === preg_match('/\bstretch\b/', $name) && !str_contains($word, 'stretch');

        return match (true) {
            str_contains($word, 'jersey') && $hasElastane => [$stretch[0], self::JERSEY_STRETCH],
            'woven' === $structure && 0 === $stretch[1] && $isStretch => self::WOVEN_STRETCH,
            'woven' === $structure && 0 === $stretch[1] && $hasElastane => [self::WITH_ELASTANE, self::WITH_ELASTANE],
            default => $stretch,
        };
    }

    private static function hasElastane(Cloth $cloth, string $name): bool
    {
        return ($cloth->material->fibres->shares['elastane'] ?? 0) > 0 || 1 === preg_match('/\b(elastane|spandex)\b/', $name);
    }

    private function isPale(Cloth $cloth, string $name): bool
    {
        $colour = $cloth->look->colours[0] ?? null;

        return 1 === preg_match('/\b(white|ivory|cream|ecru|off-white|pale)\b/', $name)
            || null !== $colour && Lab::ofHex($colour)->l >= self::PALE;
    }

    /** In small letters, without accents. */
    private static function plain(string $text): string
    {
        return strtr(mb_strtolower($text), ['é' => 'e', 'ê' => 'e', 'è' => 'e', 'ö' => 'o', 'ü' => 'u']);
    }
}

<?php

declare(strict_types=1);

namespace Octavum\Core\Cloth;

use Octavum\Core\Measure\Sentence;
use Octavum\Core\Measure\Unreadable;

/**
 * Reads fibres as people write them: "95 cotton 5 elastane", "cotton 60 %, linen 40 %", one fibre alone, or names without shares
 * ("linen viscose", "wool mix").
 */
final readonly class FibreReader
{
    private const OTHER_NAMES = [
        'rayon' => 'viscose',
        'spandex' => 'elastane',
        'polyamide' => 'nylon',
        'flax' => 'linen',
        'merino' => 'wool',
        'lambswool' => 'wool',
        'bamboo' => 'viscose',
        'cupro' => 'other',
        'acetate' => 'other',
        'ramie' => 'other',
        'mix' => 'other',
        'mixture' => 'other',
        'blend' => 'other',
        'blended' => 'other',
    ];

    /** @throws Unreadable with a sentence that says what to type */
    public function read(string $text, Knowledge $knowledge): FibreMix
    {
        $plain = trim(mb_strtolower($text));
        if ('' === $plain || '?' === $plain || 'unknown' === $plain) {
            return FibreMix::unknown();
        }
        $plain =
            preg_replace(
                ['/\bpoly[ -]?cotton\b/', '/\bcotton[ -]poly\b/', '/\bpoly[ -]?viscose\b/', '/\b(and|with)\b/'],
                ['polyester cotton', 'cotton polyester', 'polyester viscose', ' '],
                $plain,
            ) ?? $plain;
        preg_match_all('/\d+(?:[.,]\d+)?|\p{L}+/u', $plain, $found);
        $names = array_values(array_filter($found[0], static fn (string $token): bool => !ctype_digit($token[0])));
        $shares = array_values(array_filter($found[0], static fn (string $token): bool => ctype_digit($token[0])));
        if ([] !== $names && [] === $shares) {
            $shares = array_fill(0, \count($names), 1 === \count($names) ? '100' : '0');
        }
        if (\count($names) !== \count($shares) || [] === $names) {
            throw Unreadable::because(
                '“{text}” cannot be read as fibres: type a share for each, such as 95 cotton 5 elastane, or one fibre alone.',
                ['text' => mb_substr(trim($text), 0, 60)],
            );
        }
        $mix = [];
        foreach ($names as $i => $name) {
            $fibre = self::OTHER_NAMES[$name] ?? $name;
            if (!ctype_digit($shares[$i])) {
                throw Unreadable::because('{share} % cannot be kept: type whole numbers that add up to 100.', ['share' => $shares[$i]]);
            }
            $mix[$fibre] = ($mix[$fibre] ?? 0) + (int) $shares[$i];
        }

        return FibreMix::of($mix, $knowledge);
    }
}

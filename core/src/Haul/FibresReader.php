<?php

declare(strict_types=1);

namespace Octavum\Core\Haul;

use Octavum\Core\Cloth\ClothType;
use Octavum\Core\Cloth\Fibre;
use Octavum\Core\Cloth\FibreMix;
use Octavum\Core\Cloth\Knowledge;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Measure\Unreadable;
use Octavum\Core\Reading\ClothWords;

/** Fibres with their shares, or their names alone. */
final readonly class FibresReader
{
    public function __construct(private HaulCursor $line)
    {
    }

    /** Fibres with their shares: "62 modal 33 cotton 5 elastane", "cotton 95 %, elastane 5 %". */
    public function shares(): ?FibreMix
    {
        $names = $this->line->alternatives(array_keys(ClothWords::FIBRES));
        $before = '(?:100|\d{1,2})\s?%?\s?(?:'.$names.')'.HaulCursor::WORD_END;
        $after = '(?:'.$names.')\s?\d{1,3}\s?%';
        if (
            1 ===
            preg_match(
                '~\d\s?m\s\d{2}\s(?:'.
                    $names.
                    ')'.
                    HaulCursor::WORD_END.
                    '(?![\s,;/+&|-]*(?:and )?\d{1,3}\s?%?\s?(?:'.
                    $names.
                    '))~u',
                $this->line->rest,
            )
        ) {
            return null; // "1m 80 linen" is 1.80 m of linen
        }
        $halves = $this->line->take('(?<!\p{L})half ('.$names.'),? (?:and )?half ('.$names.')'.HaulCursor::WORD_END, true);
        if (null !== $halves) {
            return $this->mixed([[$halves[1], '50'], [$halves[2], '50']], 0, 1, $halves[0]);
        }
        $mix = $this->slashed($names);
        if (null !== $mix) {
            return $mix;
        }
        $pair = '(?:'.$names.')\s?\d{1,3}\s?%?'.HaulCursor::WORD_END;
        if (1 === preg_match('~(?<!\p{L})'.$pair.'(?:[\s,;/+&-]*(?:and )?'.$pair.')+~u', $this->line->rest, $pairs)) {
            preg_match_all('~('.$names.')\s?(\d{1,3})~u', $pairs[0], $each, \PREG_SET_ORDER);
            if (100 === array_sum(array_map(static fn (array $one): int => (int) $one[2], $each))) {
                $this->line->take(preg_quote($pairs[0], '~'));

                return $this->mixed($each, 1, 2, $pairs[0]);
            }
        }
        $found = $this->line->take(
            '(?<![\d.,/\p{L}])(?:'.
                $before.
                '(?:[\s,;/+&|-]*(?:and )?'.
                $before.
                ')*|'.
                $after.
                '(?:[\s,;/+&-]*(?:and )?'.
                $after.
                ')*)',
        );
        if (null === $found) {
            return null;
        }
        preg_match_all(
            '~(\d{1,3})\s?%?\s?('.$names.')'.HaulCursor::WORD_END.'|('.$names.')\s?(\d{1,3})\s?%~u',
            $found[0],
            $each,
            \PREG_SET_ORDER,
        );

        return '' !== ($each[0][1] ?? '') ? $this->mixed($each, 2, 1, $found[0]) : $this->mixed($each, 3, 4, $found[0]);
    }

    /** Shares and fibres apart, each with slashes: "60/40 cotton/linen", "poly/viscose/elastane 63/33/4", "65/35 polycotton". */
    private function slashed(string $names): ?FibreMix
    {
        $fibres = '((?:poly ?cotton|cotton poly)|(?:'.$names.')(?:(?:\s?[/+&-]\s?|\s)(?:'.$names.'))+)';
        $shares = '(\d{1,2}(?:\s?/\s?\d{1,2})+)\s?%?';
        $end = HaulCursor::WORD_END;
        $patterns = ['(?<![\d.,/\p{L}])'.$shares.'\s'.$fibres.$end => [1, 2], '(?<!\p{L})'.$fibres.'\s'.$shares.$end => [2, 1]];
        foreach ($patterns as $pattern => [$of, $what]) {
            if (1 !== preg_match('~'.$pattern.'~u', $this->line->rest, $found)) {
                continue;
            }
            $known =
                ['polycotton' => 'poly/cotton', 'poly cotton' => 'poly/cotton', 'cotton poly' => 'cotton/poly'][$found[$what]] ??
                $found[$what];
            $each = explode('/', preg_replace('~\s?[/+&-]\s?|\s~u', '/', $known) ?? $known);
            $parts = array_map(intval(...), explode('/', $found[$of]));
            if (\count($each) === \count($parts) && 100 === array_sum($parts)) {
                $this->line->take(preg_quote($found[0], '~'), true);

                return $this->mixed(
                    array_map(static fn (string $name, int $share): array => [$name, (string) $share], $each, $parts),
                    0,
                    1,
                    $found[0],
                );
            }
        }

        return null;
    }

    public function fibreNames(?ClothType $type): FibreMix
    {
        $names = array_values(array_diff(array_keys(ClothWords::FIBRES), ClothWords::ONLY_WITH_SHARE));
        $fibres = [];
        if (null !== $this->line->take('(?<!\p{L})(?:poly ?cotton|cotton poly)'.HaulCursor::WORD_END, true)) {
            $fibres = ['polyester' => false, 'cotton' => false];
        }
        $like = $mixed = false;
        while (null !== ($said = $this->line->said($names))) {
            $fibres[ClothWords::FIBRES[$said[0]]->value] = $said[1];
            $mixed = $mixed || null !== $this->line->take('(?<=\|)\s?(?:mix(?:ture)?|blend|rich)'.HaulCursor::WORD_END, true);
            $like = $like || null !== $this->line->take('(?<=\|)\s?(?:look|feel|type|effect)'.HaulCursor::WORD_END, true);
        }
        $named = [ClothType::BoiledWool->value => Fibre::Wool, ClothType::Brushed->value => Fibre::Cotton][$type->value ?? ''] ?? null;
        if (null !== $named && [] === $fibres && 1 === preg_match('~'.$named->value.'~u', $this->line->named)) {
            $fibres = [$named->value => false];
        }
        if ([] === $fibres) {
            return FibreMix::unknown();
        }
        if ($like) {
            $this->line->doubt(
                new Sentence('{fibres} names only the look: the fibres are not known', [
                    'fibres' => implode(', ', array_keys($fibres)),
                ]),
            );

            return FibreMix::unknown();
        }
        if ($mixed && 1 === \count($fibres)) {
            $fibres[Fibre::Other->value] = false;
        }
        if (\count($fibres) > 1) {
            $this->line->doubt(
                new Sentence(
                    '{fibres}: the shares are not known, so the one that shrinks most is counted; type such as 60 cotton 40 linen',
                    ['fibres' => implode(', ', array_keys($fibres))],
                ),
            );

            return FibreMix::of(array_map(static fn (bool $unsure): int => 0, $fibres), Knowledge::Seller);
        }

        return FibreMix::of([array_key_first($fibres) => 100], true === reset($fibres) ? Knowledge::Guess : Knowledge::Seller);
    }

    /**
     * @param list<array<int|string, string>> $each  matches
     * @param int                             $name  where its name stands in a match
     * @param int                             $share likewise
     */
    private function mixed(array $each, int $name, int $share, string $text): FibreMix
    {
        $shares = [];
        foreach ($each as $one) {
            $fibre = ClothWords::FIBRES[$one[$name] ?? '']->value;
            $shares[$fibre] = ($shares[$fibre] ?? 0) + (int) ($one[$share] ?? 0);
        }
        try {
            return FibreMix::of($shares, Knowledge::Seller);
        } catch (Unreadable $unreadable) {
            $this->line->doubt(new Sentence('“{text}”: {why}', ['text' => trim($text), 'why' => $unreadable->sentence]));

            return FibreMix::unknown();
        }
    }
}

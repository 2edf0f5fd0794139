<?php

declare(strict_types=1);

namespace Octavum\Core\Match\Rule;

use Octavum\Core\Cloth\TestKind;
use Octavum\Core\Match\Criteria\Asks;
use Octavum\Core\Match\Criteria\Traits;
use Octavum\Core\Pattern\Technique;

/** Stretch across below what the envelope prints: it will not go on, or the band will not lie flat. */
final readonly class StretchRule implements Rule
{
    /** Per cent by which a body may stretch too little where only its bands need all of it. A starting value of the house. */
    private const BANDS = 10;

    public function sees(Traits $cloth): array
    {
        return [$cloth->feel->across, null === $cloth->feel->across ? $cloth->guess?->word : null, ...$cloth->guess->stretch ?? []];
    }

    public function judge(Traits $cloth, Asks $asks): ?Reason
    {
        $least = $asks->advice->stretch ?? 0;
        $has = $cloth->feel->across;

        return match (true) {
            $least <= 0 => null,
            null === $has && null !== $cloth->guess && $cloth->guess->stretch[1] < $least => Reason::refusal(
                'Stretches {has} % at most, and it wants {least}: it would not go on.',
                ['has' => $cloth->guess->stretch[1], 'least' => $least],
            )->asGuess($cloth->guess->word),
            null === $has && null !== $cloth->guess && $cloth->guess->stretch[0] >= $least => Reason::praise(
                1,
                'Stretches {has} % or more, it wants {least}.',
                ['has' => $cloth->guess->stretch[0], 'least' => $least],
            )->asGuess($cloth->guess->word),
            null === $has => Reason::question(TestKind::Stretch, 'It wants a stretch of {least} %. Pull 10 cm of it: how far does it go?', [
                'least' => $least,
            ]),
            $has < $least && null !== $asks->uses(Technique::KnitBands) && $has >= $least - self::BANDS => Reason::doubt(
                2,
                'Stretches {has} %, and it wants {least}: cut the bands from ribbing, which goes further.',
                ['has' => $has, 'least' => $least],
            ),
            $has < $least => Reason::refusal('Stretches {has} %, and it wants {least}: it would not go on.', [
                'has' => $has,
                'least' => $least,
            ]),
            default => Reason::praise(1, 'Stretches {has} %, it wants {least}.', ['has' => $has, 'least' => $least]),
        };
    }
}

<?php

declare(strict_types=1);

namespace Octavum\Core\Match\Rule;

use Octavum\Core\Match\Criteria\Asks;
use Octavum\Core\Match\Criteria\Traits;
use Octavum\Core\Measure\Sentence;

/** A precious cloth is no place for a first try; what turned out badly before is a doubt, with its day and words. */
final readonly class PreciousClothRule implements Rule
{
    public function sees(Traits $cloth): array
    {
        return [$cloth->precious];
    }

    public function judge(Traits $cloth, Asks $asks): ?Reason
    {
        $experience = $asks->experience;

        return match (true) {
            null !== $experience->bad => Reason::doubt(3, 'Made before, {day}: {words}.', [
                'day' => $experience->bad->on ?? new Sentence('the day is not noted'),
                'words' => $experience->bad->words,
            ]),
            $cloth->precious && 0 === $experience->good => Reason::doubt(
                2,
                'The cloth is precious, and you have not made this before: sew a toile first.',
            ),
            $experience->good > 1 => Reason::praise(1, 'Made well {times} times: no toile.', ['times' => $experience->good]),
            1 === $experience->good => Reason::praise(1, 'Made before, and it turned out well: no toile.'),
            $experience->open > 0 => Reason::fact('Made before; how it turned out is not noted.'),
            default => null,
        };
    }
}

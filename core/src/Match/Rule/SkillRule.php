<?php

declare(strict_types=1);

namespace Octavum\Core\Match\Rule;

use Octavum\Core\Match\Criteria\Asks;
use Octavum\Core\Match\Criteria\Traits;
use Octavum\Core\Measure\Sentence;

/** Techniques the sewist would rather not do, or wants to learn. */
final readonly class SkillRule implements Rule
{
    public function sees(Traits $cloth): array
    {
        return [$cloth->precious];
    }

    public function judge(Traits $cloth, Asks $asks): ?Reason
    {
        $avoided = $asks->uses(...$asks->sewist->avoids);
        $learned = $asks->uses(...$asks->sewist->learns);

        return match (true) {
            null !== $avoided => Reason::doubt(2, 'It has what you would rather not sew: {what}.', [
                'what' => new Sentence($avoided->value),
            ]),
            null !== $learned && !$cloth->precious => Reason::praise(1, 'A chance to learn what you want to: {what}.', [
                'what' => new Sentence($learned->value),
            ]),
            null !== $learned => Reason::doubt(1, 'New to you: {what}. Learn it on a cloth that matters less.', [
                'what' => new Sentence($learned->value),
            ]),
            default => null,
        };
    }
}

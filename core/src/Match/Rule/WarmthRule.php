<?php

declare(strict_types=1);

namespace Octavum\Core\Match\Rule;

use Octavum\Core\Match\Criteria\Asks;
use Octavum\Core\Match\Criteria\Traits;
use Octavum\Core\Measure\Sentence;

/** A cloth for the days it is sewn for. */
final readonly class WarmthRule implements Rule
{
    public function sees(Traits $cloth): array
    {
        return [$cloth->warmth];
    }

    public function judge(Traits $cloth, Asks $asks): ?Reason
    {
        $days = $asks->sewist->days;
        if (null === $days || null === $cloth->warmth) {
            return null;
        }
        $with = ['is' => new Sentence($cloth->warmth->value), 'days' => new Sentence($days->value)];

        return $days === $cloth->warmth
            ? Reason::praise(1, 'A cloth for {is}.', $with)
            : Reason::doubt(1, 'A cloth for {is}, and you sew for {days}.', $with);
    }
}

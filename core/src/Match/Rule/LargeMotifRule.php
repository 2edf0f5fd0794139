<?php

declare(strict_types=1);

namespace Octavum\Core\Match\Rule;

use Octavum\Core\Match\Criteria\Asks;
use Octavum\Core\Match\Criteria\Traits;

/** A large motif wants large unbroken pieces. */
final readonly class LargeMotifRule implements Rule
{
    private const MANY = 7;
    private const SOME = 4;

    public function sees(Traits $cloth): array
    {
        return [$cloth->large];
    }

    public function judge(Traits $cloth, Asks $asks): ?Reason
    {
        return match (true) {
            !$cloth->large => null,
            $asks->seams >= self::MANY => Reason::doubt(2, 'Large figures, and about {seams} seams to cut them: they will be in pieces.', [
                'seams' => $asks->seams,
            ]),
            $asks->seams >= self::SOME => Reason::doubt(1, 'Large figures: choose where they lie, about {seams} seams cut them.', [
                'seams' => $asks->seams,
            ]),
            default => Reason::praise(1, 'Few seams, so that the large figures stay whole.'),
        };
    }
}

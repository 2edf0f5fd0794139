<?php

declare(strict_types=1);

namespace Octavum\Core\Match\Rule;

use Octavum\Core\Match\Criteria\Asks;
use Octavum\Core\Match\Criteria\Traits;

/** All pieces one way up: counted in the length already. */
final readonly class OneWayRule implements Rule
{
    public function sees(Traits $cloth): array
    {
        return [$cloth->oneWay, $cloth->asksNap];
    }

    public function judge(Traits $cloth, Asks $asks): ?Reason
    {
        return match (true) {
            $cloth->oneWay => Reason::fact('One way only: all pieces point the same way, which the length counts.'),
            $cloth->asksNap => Reason::question(
                null,
                'Is it brushed one way? Stroke it both ways, and set its direction on its page: few treat it so.',
            ),
            default => null,
        };
    }
}

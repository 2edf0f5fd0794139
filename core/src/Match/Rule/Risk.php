<?php

declare(strict_types=1);

namespace Octavum\Core\Match\Rule;

use Octavum\Core\Match\Asks;
use Octavum\Core\Match\Reason;
use Octavum\Core\Match\Rule;
use Octavum\Core\Match\Traits;

/** A dear cloth that cannot be had again is no place for a first try. */
final readonly class Risk implements Rule
{
    public function sees(Traits $cloth): array
    {
        return [$cloth->precious];
    }

    public function of(Traits $cloth, Asks $asks): ?Reason
    {
        return match (true) {
            $cloth->precious && 0 === $asks->made => Reason::doubt(
                2,
                'There is no more of this cloth, and you have never made this: sew a toile first.',
            ),
            $asks->made > 1 => Reason::praise(1, 'Made {times} times: no toile.', ['times' => $asks->made]),
            1 === $asks->made => Reason::praise(1, 'Made before: no toile.'),
            default => null,
        };
    }
}

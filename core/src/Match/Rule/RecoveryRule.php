<?php

declare(strict_types=1);

namespace Octavum\Core\Match\Rule;

use Octavum\Core\Body\Feature;
use Octavum\Core\Cloth\Recovery;
use Octavum\Core\Match\Criteria\Asks;
use Octavum\Core\Match\Criteria\Traits;
use Octavum\Core\Pattern\Technique;

/** What is stretched in wear has to come back: knees, elbows, bands. */
final readonly class RecoveryRule implements Rule
{
    public function sees(Traits $cloth): array
    {
        return [$cloth->isKnit(), $cloth->feel->recovery];
    }

    public function judge(Traits $cloth, Asks $asks): ?Reason
    {
        $pulled = ($asks->advice->stretch ?? 0) > 0
            || null !== $asks->uses(Technique::KnitBands)
            || null !== $asks->has(Feature::Fitted);

        return match (true) {
            !$pulled || !$cloth->isKnit() => null,
            Recovery::StaysOut === $cloth->feel->recovery => Reason::doubt(
                2,
                'It stays stretched: bands and knees will bag by the evening.',
            ),
            Recovery::Slowly === $cloth->feel->recovery => Reason::doubt(1, 'It comes back slowly: bands want elastic or ribbing.'),
            default => null,
        };
    }
}

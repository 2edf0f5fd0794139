<?php

declare(strict_types=1);

namespace Octavum\Core\Match\Rule;

use Octavum\Core\Body\Feature;
use Octavum\Core\Cloth\Drape;
use Octavum\Core\Match\Criteria\Asks;
use Octavum\Core\Match\Criteria\Traits;
use Octavum\Core\Measure\Sentence;

/** Fluid cloth holds no balloon; crisp cloth does. */
final readonly class BalloonRule implements Rule
{
    public function sees(Traits $cloth): array
    {
        return [$cloth->feel->drape];
    }

    public function judge(Traits $cloth, Asks $asks): ?Reason
    {
        $fluid = \in_array($cloth->feel->drape, [Drape::Fluid, Drape::Flowing], true);

        return match (true) {
            null === $asks->has(Feature::PuffedSleeves) => null,
            $fluid => Reason::doubt(2, 'It falls {is}: a puffed sleeve will hang down.', [
                'is' => new Sentence($cloth->feel->drape->value),
            ]),
            Drape::Crisp === $cloth->feel->drape => Reason::praise(1, 'Crisp enough for a puffed sleeve to stand.'),
            default => null,
        };
    }
}

<?php

declare(strict_types=1);

namespace Octavum\Core\Match\Rule;

use Octavum\Core\Body\Feature;
use Octavum\Core\Cloth\Edges;
use Octavum\Core\Match\Criteria\Asks;
use Octavum\Core\Match\Criteria\Traits;
use Octavum\Core\Piece\Garment;

/** Edges that fray want finishing; a knit that curls makes a poor open front. */
final readonly class RawEdgeRule implements Rule
{
    private const SEEN_INSIDE = [Garment::Jacket, Garment::Coat, Garment::Waistcoat];

    public function sees(Traits $cloth): array
    {
        return [$cloth->feel->edges, null === $cloth->feel->edges ? $cloth->guess?->word : null];
    }

    public function judge(Traits $cloth, Asks $asks): ?Reason
    {
        $guess = null === $cloth->feel->edges ? $cloth->guess : null;
        $reason = $this->say($cloth->feel->edges ?? $guess?->edges, $asks);

        return null === $guess ? $reason : $reason?->asGuess($guess->word);
    }

    private function say(?Edges $edges, Asks $asks): ?Reason
    {
        return match (true) {
            Edges::Curl === $edges && null !== $asks->has(Feature::OpenFront, Feature::WrapFront) => Reason::doubt(
                2,
                'Its edges curl: an open front will roll back on itself.',
            ),
            Edges::Fray === $edges && !$asks->lined && \in_array($asks->garment, self::SEEN_INSIDE, true) => Reason::doubt(
                1,
                'It frays, and there is no lining to hide it: bind the seams, which takes an evening.',
            ),
            default => null,
        };
    }
}

<?php

declare(strict_types=1);

namespace Octavum\Core\Match\Rule;

use Octavum\Core\Body\Liking;
use Octavum\Core\Match\Criteria\Asks;
use Octavum\Core\Match\Criteria\Traits;
use Octavum\Core\Measure\Sentence;

/** What whoever it is for wants, avoids, or never wears. */
final readonly class WearerWishRule implements Rule
{
    public function sees(Traits $cloth): array
    {
        return [];
    }

    public function judge(Traits $cloth, Asks $asks): ?Reason
    {
        foreach ([Liking::Never, Liking::Avoid, Liking::Want] as $liking) {
            foreach ($asks->features as $feature) {
                if ($liking === ($asks->likings[$feature->value] ?? null)) {
                    $with = ['what' => new Sentence($feature->value)];

                    return match ($liking) {
                        Liking::Never => Reason::refusal('It has something never wanted: {what}.', $with),
                        Liking::Avoid => Reason::doubt(2, 'It has something rather avoided: {what}.', $with),
                        Liking::Want => Reason::praise(1, 'It has something wanted: {what}.', $with),
                    };
                }
            }
        }

        return null;
    }
}

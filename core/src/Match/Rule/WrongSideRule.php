<?php

declare(strict_types=1);

namespace Octavum\Core\Match\Rule;

use Octavum\Core\Body\Feature;
use Octavum\Core\Match\Criteria\Asks;
use Octavum\Core\Match\Criteria\Traits;
use Octavum\Core\Measure\Sentence;

/** Hood, wrap, lapel and open front turn the back of the cloth out. */
final readonly class WrongSideRule implements Rule
{
    public function sees(Traits $cloth): array
    {
        return [$cloth->feel->backSeen];
    }

    public function judge(Traits $cloth, Asks $asks): ?Reason
    {
        $turned = $asks->has(Feature::Hood, Feature::OpenFront, Feature::WrapFront);
        if (null === $turned || $asks->lined) {
            return null;
        }
        $with = ['what' => new Sentence($turned->value)];

        return match ($cloth->feel->backSeen) {
            false => Reason::doubt(2, 'Its back is not fit to be seen, and the {what} shows it: face it or line it.', $with),
            null => Reason::question(null, 'The {what} shows the back of the cloth. Is that fit to be seen?', $with),
            true => null,
        };
    }
}

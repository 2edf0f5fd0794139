<?php

declare(strict_types=1);

namespace Octavum\Core\Match\Rule;

use Octavum\Core\Body\Feature;
use Octavum\Core\Match\Criteria\Asks;
use Octavum\Core\Match\Criteria\Traits;

/** A light full skirt blows up. */
final readonly class LightSkirtRule implements Rule
{
    public function sees(Traits $cloth): array
    {
        return [$cloth->isLight()];
    }

    public function judge(Traits $cloth, Asks $asks): ?Reason
    {
        return $cloth->isLight() && null !== $asks->has(Feature::Full) && !$asks->lined
            ? Reason::doubt(1, 'A light full skirt blows up: give it a deep hem, or a lining.')
            : null;
    }
}

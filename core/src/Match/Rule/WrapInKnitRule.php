<?php

declare(strict_types=1);

namespace Octavum\Core\Match\Rule;

use Octavum\Core\Body\Feature;
use Octavum\Core\Match\Criteria\Asks;
use Octavum\Core\Match\Criteria\Traits;

/** A wrap in a knit drops at the hem. */
final readonly class WrapInKnitRule implements Rule
{
    public function sees(Traits $cloth): array
    {
        return [$cloth->isKnit()];
    }

    public function judge(Traits $cloth, Asks $asks): ?Reason
    {
        return $cloth->isKnit() && null !== $asks->has(Feature::WrapFront)
            ? Reason::doubt(1, 'A wrap in a knit drops at the hem: hang it overnight before you level it.')
            : null;
    }
}

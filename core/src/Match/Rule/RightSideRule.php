<?php

declare(strict_types=1);

namespace Octavum\Core\Match\Rule;

use Octavum\Core\Match\Criteria\Asks;
use Octavum\Core\Match\Criteria\Traits;

/** Where the right side does not show, pieces get sewn in wrong side out. */
final readonly class RightSideRule implements Rule
{
    public function sees(Traits $cloth): array
    {
        return [$cloth->feel->clearSide];
    }

    public function judge(Traits $cloth, Asks $asks): ?Reason
    {
        return false !== $cloth->feel->clearSide || $asks->seams < 4
            ? null
            : Reason::doubt(1, 'Its right side does not show: mark every piece as you cut it.');
    }
}

<?php

declare(strict_types=1);

namespace Octavum\Core\Match\Rule;

use Octavum\Core\Match\Criteria\Asks;
use Octavum\Core\Match\Criteria\Traits;
use Octavum\Core\Measure\Sentence;

/** Cloth that lies there for toiles, linings or pockets is no cloth for the garment itself. */
final readonly class PurposeRule implements Rule
{
    public function sees(Traits $cloth): array
    {
        return [$cloth->meantFor];
    }

    public function judge(Traits $cloth, Asks $asks): ?Reason
    {
        return '' === $cloth->meantFor
            ? null
            : Reason::doubt(4, 'By its name it is cloth for {purpose}, not for the garment itself.', [
                'purpose' => new Sentence($cloth->meantFor),
            ]);
    }
}

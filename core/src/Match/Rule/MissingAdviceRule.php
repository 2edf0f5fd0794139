<?php

declare(strict_types=1);

namespace Octavum\Core\Match\Rule;

use Octavum\Core\Match\Criteria\Asks;
use Octavum\Core\Match\Criteria\Traits;

/** Where the envelope says nothing of cloth there is nothing to hold it against. */
final readonly class MissingAdviceRule implements Rule
{
    public function sees(Traits $cloth): array
    {
        return [];
    }

    public function judge(Traits $cloth, Asks $asks): ?Reason
    {
        return null === $asks->onlyFor && !$asks->advice->isSaid()
            ? Reason::fact('Its cloth advice is not entered: hold the cloth up and judge by hand.')
            : null;
    }
}

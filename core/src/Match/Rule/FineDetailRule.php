<?php

declare(strict_types=1);

namespace Octavum\Core\Match\Rule;

use Octavum\Core\Match\Criteria\Asks;
use Octavum\Core\Match\Criteria\Traits;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Pattern\Technique;

/** A busy print hides what was a day’s work. */
final readonly class FineDetailRule implements Rule
{
    public function sees(Traits $cloth): array
    {
        return [$cloth->isBusy()];
    }

    public function judge(Traits $cloth, Asks $asks): ?Reason
    {
        $fine = $asks->uses(Technique::Pintucks, Technique::Pleats, Technique::Darts);

        return null === $fine || Technique::Darts === $fine || !$cloth->isBusy()
            ? null
            : Reason::doubt(1, 'The print is busy: the {what} will hardly show.', ['what' => new Sentence($fine->value)]);
    }
}

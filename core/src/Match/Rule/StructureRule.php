<?php

declare(strict_types=1);

namespace Octavum\Core\Match\Rule;

use Octavum\Core\Match\Criteria\Asks;
use Octavum\Core\Match\Criteria\Traits;
use Octavum\Core\Measure\Sentence;

/** Woven or knit: a pattern drafted for the one does not hang or does not go on in the other. */
final readonly class StructureRule implements Rule
{
    public function sees(Traits $cloth): array
    {
        return [$cloth->structure];
    }

    public function judge(Traits $cloth, Asks $asks): ?Reason
    {
        $only = $asks->onlyFor;

        return match (true) {
            null === $only || $only === $cloth->structure => null,
            null === $cloth->structure => Reason::question(
                null,
                'It is for {only} cloth only. Is this that? Pull a thread at the edge: a knit runs in loops.',
                ['only' => new Sentence($only->value)],
            ),
            default => Reason::refusal('Drafted for {only} cloth, and this is {made}.', [
                'only' => new Sentence($only->value),
                'made' => new Sentence($cloth->structure->value),
            ]),
        };
    }
}

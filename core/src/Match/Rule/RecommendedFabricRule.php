<?php

declare(strict_types=1);

namespace Octavum\Core\Match\Rule;

use Octavum\Core\Match\Criteria\Asks;
use Octavum\Core\Match\Criteria\Traits;
use Octavum\Core\Measure\Sentence;

/** The envelope names this kind of cloth. */
final readonly class RecommendedFabricRule implements Rule
{
    public function sees(Traits $cloth): array
    {
        return [$cloth->type];
    }

    public function judge(Traits $cloth, Asks $asks): ?Reason
    {
        return null !== $cloth->type && 1 === preg_match('/\b'.preg_quote($cloth->type->value, '/').'\b/i', $asks->advice->recommended)
            ? Reason::praise(2, 'The envelope names {type}.', ['type' => new Sentence($cloth->type->value)])
            : null;
    }
}

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
        return [$cloth->type, $cloth->guess?->word];
    }

    public function judge(Traits $cloth, Asks $asks): ?Reason
    {
        $isNamed = static fn (?string $name): bool => null !== $name
            && 1 === preg_match('/\b'.preg_quote($name, '/').'s?\b/iu', $asks->advice->recommended);
        [$type, $word] = [$cloth->type?->value, $cloth->guess?->word];

        return match (true) {
            $isNamed($type) => Reason::praise(2, 'The envelope names {type}.', ['type' => new Sentence((string) $type)]),
            $isNamed($word) => Reason::praise(2, 'The envelope names {type}.', ['type' => (string) $word]),
            default => null,
        };
    }
}

<?php

declare(strict_types=1);

namespace Octavum\Document\Json;

/** The fields of an object that is written. */
final readonly class Fields
{
    /** Of which "no" is known, too. */
    private const YES_OR_NO = ['moreToBeHad', 'precious', 'takesCrease', 'clearSide', 'backSeen', 'toile'];

    /**
     * Without what is not known: null, false, and empty texts and lists.
     *
     * @param array<string, mixed> $fields
     *
     * @return array<string, mixed>
     */
    public static function known(array $fields): array
    {
        $said = static fn (mixed $value, string $name): bool => !\in_array($value, [null, '', []], true)
            && (false !== $value || \in_array($name, self::YES_OR_NO, true));

        return array_filter($fields, $said, \ARRAY_FILTER_USE_BOTH);
    }
}

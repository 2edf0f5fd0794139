<?php

declare(strict_types=1);

namespace Octavum\Input;

use Octavum\Core\Find\MeantNames;
use Octavum\Core\Measure\Sentence;

/** A field in which one of several names is typed or chosen. */
final readonly class ChosenName
{
    /**
     * The name that is meant; null where that is not certain. Then the field's fault names those that it may be.
     *
     * @param list<string> $names to choose from
     */
    public static function read(Entry $entry, string $field, array $names): ?string
    {
        $typed = $entry->raw($field);
        $meant = MeantNames::find($typed, $names);
        $only = $meant->only();
        if (null === $only && [] !== $meant->names) {
            $entry->fault(
                $field,
                new Sentence('“{text}” may be {names}{more}: choose one, or type a little more.', [
                    'text' => mb_substr($typed, 0, 40),
                    'names' => implode(' · ', \array_slice($meant->names, 0, 5)),
                    'more' => \count($meant->names) > 5 ? ' …' : '',
                ]),
            );
        }

        return $only;
    }
}

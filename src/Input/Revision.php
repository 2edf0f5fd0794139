<?php

declare(strict_types=1);

namespace Octavum\Input;

use Octavum\Core\Measure\Sentence;
use Octavum\Document\Json\Plain;

/** Two tabs on one thing: what was typed from an older state is not saved over a newer one without being asked. */
final readonly class Revision
{
    public const FIELD = 'revision';

    /** @param array<mixed> $now the form's values as they are stored now: where they differ, each is shown beside what was typed */
    public static function check(Entry $entry, int $current, array $now = []): void
    {
        $seen = $entry->raw(self::FIELD);
        if ('' === $seen || $seen === (string) $current) {
            return;
        }
        $entry->fault(
            self::FIELD,
            new Sentence(
                'This was changed somewhere else since you opened it, in another tab or on another device. Your entries are kept below and nothing is saved yet; beside each that differs stands what is saved now. Save again to put yours in its place.',
            ),
        );
        self::compare($entry, $now, '');
    }

    /** @param array<mixed> $now */
    private static function compare(Entry $entry, array $now, string $at): void
    {
        foreach ($now as $name => $value) {
            $field = $at.$name;
            if (\is_array($value)) {
                self::compare($entry, $value, $field.'.');
            } elseif (\is_scalar($value) && $entry->has($field) && Plain::of((string) $value) !== $entry->raw($field)) {
                $entry->fault(
                    $field,
                    new Sentence('' === (string) $value ? 'Saved now: nothing' : 'Saved now: “{value}”', [
                        'value' => mb_substr((string) $value, 0, 200),
                    ]),
                );
            }
        }
    }
}

<?php

declare(strict_types=1);

namespace Octavum\Input;

use Octavum\Core\Measure\Sentence;
use Octavum\Document\Json\Plain;

/** Two tabs on one thing: what was typed from an older state is not saved over a newer one without being asked. */
final readonly class Revision
{
    public const FIELD = 'revision';

    /** The form's values as they were when it was opened (macro `opened` of part/form.html.twig). */
    public const OPENED = 'opened';

    /**
     * Gives each field that was left as it was opened the value it has now, so that only what both changed is a conflict.
     *
     * @param array<mixed> $now the form's values as they are stored now
     */
    public static function merge(Entry $entry, int $current, array $now): Entry
    {
        $opened = json_decode($entry->raw(self::OPENED), true);
        if (!\is_array($opened) || \in_array($entry->raw(self::FIELD), ['', (string) $current], true)) {
            return $entry;
        }
        $typed = $entry->typed;
        $isConflict = false;
        foreach ($now as $name => $value) {
            [$mine, $before, $after] = array_map(self::plain(...), [$typed[$name] ?? '', $opened[$name] ?? '', $value]);
            if ($mine === $before) {
                $typed[$name] = $value;
            } elseif ($after !== $before && $after !== $mine) {
                $isConflict = true;
            }
        }
        if (!$isConflict) {
            $typed[self::FIELD] = (string) $current;
        }
        $typed[self::OPENED] = (string) json_encode($now);

        return $entry->with($typed);
    }

    /** Without what is empty, as rows and ticks are that nobody filled. */
    private static function plain(mixed $value): mixed
    {
        if (!\is_array($value)) {
            return \is_scalar($value) ? Plain::of(trim((string) $value)) : '';
        }
        $rows = array_filter(array_map(self::plain(...), $value), static fn (mixed $one): bool => '' !== $one && [] !== $one);
        ksort($rows);

        return array_is_list($value) || \is_int(array_key_first($value)) ? array_values($rows) : $rows;
    }

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

<?php

declare(strict_types=1);

namespace Octavum\Store\Change;

/** What a change did to one field: its value before and after, beside the value now. */
final readonly class FieldChange
{
    /** What a field is set to: what it was, without what the change added. */
    public static function without(mixed $now, mixed $before, mixed $after, bool $counts): mixed
    {
        if (self::same($now, $after)) {
            return $before;
        }
        if ($counts && \is_int($now) && \is_int($before) && \is_int($after)) {
            return max(0, $now + $before - $after);
        }
        if (!self::isList($now) || !self::isList($before) || !self::isList($after)) {
            return $now;
        }
        foreach (self::missing($after, $before) as $added) {
            $alike = array_keys(array_filter($now, static fn (mixed $entry): bool => self::same($entry, $added)));
            if ([] !== $alike) {
                unset($now[end($alike)]);
            }
        }

        return [...self::missing($before, $after), ...array_values($now)];
    }

    /** Whether all of a change to a field can be taken back, as it is now. */
    public static function isReversible(mixed $now, mixed $before, mixed $after, bool $counts): bool
    {
        return self::same($now, $after)
            || ($counts && \is_int($now))
            || (self::isList($now)
                && self::isList($before)
                && self::isList($after)
                && [] === self::missing(self::missing($after, $before), $now));
    }

    /** @phpstan-assert-if-true list<mixed> $value */
    private static function isList(mixed $value): bool
    {
        return \is_array($value) && array_is_list($value);
    }

    /**
     * @param list<mixed> $all
     * @param list<mixed> $others
     *
     * @return list<mixed> those of all that are not among the others, each as often
     */
    private static function missing(array $all, array $others): array
    {
        foreach ($others as $other) {
            $alike = array_keys(array_filter($all, static fn (mixed $entry): bool => self::same($entry, $other)));
            if ([] !== $alike) {
                unset($all[$alike[0]]);
            }
        }

        return array_values($all);
    }

    /** Of times to the second, as they are stored. */
    public static function same(mixed $a, mixed $b): bool
    {
        $plain = static fn (mixed $value): mixed => $value instanceof \DateTimeInterface ? $value->format('c') : $value;

        return serialize($plain($a)) === serialize($plain($b));
    }
}

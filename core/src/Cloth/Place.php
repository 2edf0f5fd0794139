<?php

declare(strict_types=1);

namespace Octavum\Core\Cloth;

/** Where something is kept, as a place within a place: "cabin / locker 2 / box 3", or with commas. */
final readonly class Place
{
    public const BETWEEN = ' / ';

    /** @return list<string> from the outermost; none for an empty place */
    public static function parts(string $place): array
    {
        return array_values(
            array_filter(
                array_map(trim(...), explode('/', strtr($place, ['>' => '/', ',' => '/']))),
                static fn (string $part): bool => '' !== $part,
            ),
        );
    }

    /** @return list<string> the place itself and all it lies in, outermost first, each written out from the outermost */
    public static function paths(string $place): array
    {
        $paths = [];
        foreach (self::parts($place) as $part) {
            $paths[] = ([] === $paths ? '' : $paths[\count($paths) - 1].self::BETWEEN).$part;
        }

        return $paths;
    }

    /** Whether what is kept here lies in another place, or is it; capitals do not matter. */
    public static function isWithin(string $place, string $other): bool
    {
        if ('' === $other) {
            return true;
        }
        $outer = array_map(mb_strtolower(...), self::parts($other));

        return $outer === \array_slice(array_map(mb_strtolower(...), self::parts($place)), 0, \count($outer));
    }
}

<?php

declare(strict_types=1);

namespace Octavum\Input;

/** Names by which things are typed or chosen. */
final readonly class Names
{
    /**
     * The name itself, or "name (2)", "name (3)" … when it is taken.
     *
     * @param array<string, mixed> $taken by name
     */
    public static function free(string $name, array $taken): string
    {
        $free = $name;
        for ($again = 2; isset($taken[$free]); ++$again) {
            $free = $name.' ('.$again.')';
        }

        return $free;
    }
}

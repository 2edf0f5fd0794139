<?php

declare(strict_types=1);

namespace Octavum\Pattern;

use Octavum\Account\Account;
use Octavum\Core\Pattern\Pattern;
use Octavum\Core\Pattern\Version;

/** An account's patterns as the core knows them, for every room that needs them. */
final readonly class Library
{
    public function __construct(private PatternRepository $patterns, private PatternMapper $mapper)
    {
    }

    /** @return list<Pattern> */
    public function all(Account $account): array
    {
        return array_map($this->mapper->pattern(...), $this->patterns->allOf($account));
    }

    /**
     * Every version under a name by which it can be typed or chosen; no two have the same.
     *
     * @return array<string, array{Pattern, Version}>
     */
    public function named(Account $account): array
    {
        $named = [];
        foreach ($this->all($account) as $pattern) {
            foreach ($pattern->versions as $version) {
                $name = self::name($pattern, $version);
                $again = 1;
                $free = $name;
                while (isset($named[$free])) {
                    $free = $name.' ('.++$again.')';
                }
                $named[$free] = [$pattern, $version];
            }
        }

        return $named;
    }

    public static function name(Pattern $pattern, Version $version): string
    {
        return implode(', ', array_filter([trim($pattern->number.' '.$pattern->title), $version->name], static fn (string $part): bool => '' !== $part));
    }
}

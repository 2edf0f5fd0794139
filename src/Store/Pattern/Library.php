<?php

declare(strict_types=1);

namespace Octavum\Store\Pattern;

use Octavum\Account\Account;
use Octavum\Core\Pattern\Pattern;
use Octavum\Core\Pattern\PatternKeeping;
use Octavum\Core\Pattern\PatternLabel;
use Octavum\Core\Pattern\Version;
use Octavum\Input\Names;

/** An account's patterns as the core knows them, for every room that needs them. */
final readonly class Library
{
    public function __construct(private PatternRepository $patterns, private PatternMapper $mapper)
    {
    }

    /** @return list<Pattern> */
    public function all(Account $account): array
    {
        return array_map($this->mapper->pattern(...), $this->patterns->glance($account));
    }

    /** @return list<Pattern> with a version that has its pieces */
    public function withPieces(Account $account): array
    {
        $which = "removed_at IS NULL AND id IN (SELECT v.pattern_id FROM version v WHERE v.marks <> '[]')";

        return array_map($this->mapper->pattern(...), $this->patterns->glance($account, $which));
    }

    /** @return list<Pattern> whose size chart is entered */
    public function charted(Account $account): array
    {
        return array_map($this->mapper->pattern(...), $this->patterns->charted($account));
    }

    /** @return list<Pattern> only by what one is known: title, maker, numbers and whether it is here */
    public function sketches(Account $account): array
    {
        return array_map(
            static fn (PatternTitle $title): Pattern => new Pattern(
                $title->id,
                $title->title,
                label: new PatternLabel(maker: $title->maker, number: $title->number, otherNumbers: $title->otherNumbers),
                keeping: new PatternKeeping(ownership: $title->ownership),
            ),
            $this->patterns->titles($account),
        );
    }

    /** @return array<string, string> titles of all patterns by id */
    public function titles(Account $account): array
    {
        return array_column($this->patterns->titles($account), 'title', 'id');
    }

    /** @return array<string, VersionTitle> each version by the name it is typed or chosen by; no two have the same */
    public function versions(Account $account): array
    {
        $versions = [];
        foreach ($this->patterns->versionTitles($account) as $version) {
            $versions[Names::free(trim($version->number.' '.$version->title).', '.$version->name, $versions)] = $version;
        }

        return $versions;
    }

    /** @return array<string, string> each version's id by that name */
    public function names(Account $account): array
    {
        return array_map(static fn (VersionTitle $version): string => $version->id, $this->versions($account));
    }

    /** @return ?array{Pattern, Version} */
    public function version(Account $account, string $id): ?array
    {
        $record = $this->patterns->versionOf($account, $id);
        if (null === $record) {
            return null;
        }
        $pattern = $this->mapper->pattern($record->pattern);
        foreach ($pattern->versions as $version) {
            if ($version->id === $id) {
                return [$pattern, $version];
            }
        }

        return null;
    }
}

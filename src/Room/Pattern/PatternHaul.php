<?php

declare(strict_types=1);

namespace Octavum\Room\Pattern;

use Octavum\Account\Account;
use Octavum\Core\PatternLine\PatternLine;
use Octavum\Store\Change\ChangeLog;
use Octavum\Store\Change\Notice;
use Octavum\Store\Pattern\PatternMapper;
use Octavum\Store\Pattern\PatternRecord;
use Octavum\Store\Pattern\VersionRecord;
use Symfony\Component\Routing\Generator\UrlGeneratorInterface;

/** Puts the patterns of a haul, or of a table, into the library, and takes the last ones out again. */
final readonly class PatternHaul
{
    public function __construct(
        private ChangeLog $changes,
        private PatternMapper $mapper,
        private UrlGeneratorInterface $addresses,
    ) {
    }

    /** @param list<PatternLine> $lines */
    public function put(array $lines, Account $account): void
    {
        $make = function () use ($lines, $account): array {
            $made = [];
            foreach ($lines as $line) {
                $pattern = $line->pattern();
                $this->mapper->store($pattern, $made[] = $record = new PatternRecord($account));
                foreach ($pattern->versions as $version) {
                    $this->mapper->storeVersion($version, $made[] = new VersionRecord($record));
                }
            }

            return $made;
        };
        $this->changes->commit([], $make, new Notice(
            '{count, plural, one {One pattern is} other {# patterns are}} in the library. Each waits for its table.',
            ['count' => (string) \count($lines)],
            $this->addresses->generate('patterns'),
        ));
    }
}

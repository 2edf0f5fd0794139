<?php

declare(strict_types=1);

namespace Octavum\Room\Pattern;

use Doctrine\ORM\EntityManagerInterface;
use Octavum\Account\Account;
use Octavum\Core\PatternLine\Line;
use Octavum\Page\Toast;
use Octavum\Store\LastBrought;
use Octavum\Store\PatternMapper;
use Octavum\Store\PatternRecord;
use Octavum\Store\VersionRecord;
use Symfony\Component\Routing\Generator\UrlGeneratorInterface;

/** Puts the patterns of a haul, or of a table, into the library, and takes the last ones out again. */
final readonly class PatternHaul
{
    public function __construct(
        private EntityManagerInterface $entities,
        private PatternMapper $mapper,
        private Toast $toast,
        private LastBrought $last,
        private UrlGeneratorInterface $addresses,
    ) {
    }

    /** @param list<Line> $lines */
    public function put(array $lines, Account $account): void
    {
        $added = [];
        foreach ($lines as $line) {
            $pattern = $line->pattern();
            $record = new PatternRecord($account);
            $this->mapper->store($pattern, $record);
            foreach ($pattern->versions as $version) {
                $this->mapper->storeVersion($version, new VersionRecord($record));
            }
            $this->entities->persist($record);
            $added[] = $record->id;
        }
        $this->entities->flush();
        $this->last->keep(PatternRecord::class, $added);
        $this->toast->say(
            '{count, plural, one {One pattern is} other {# patterns are}} in the library. Each waits for its table.',
            ['count' => (string) \count($lines)],
            $this->addresses->generate('pattern_haul_undo'),
        );
    }

    public function takeOut(Account $account): void
    {
        $this->last->takeOut(PatternRecord::class, $account);
        $this->toast->say('They are taken out of the library again.');
    }
}

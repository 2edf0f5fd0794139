<?php

declare(strict_types=1);

namespace Octavum\Pattern;

use Doctrine\ORM\EntityManagerInterface;
use Octavum\Account\Account;
use Octavum\Core\Pattern\Line;
use Octavum\Page\Toast;
use Symfony\Component\Clock\ClockInterface;
use Symfony\Component\HttpFoundation\RequestStack;
use Symfony\Component\Routing\Generator\UrlGeneratorInterface;

/** Puts the patterns of a haul, or of a table, into the library, and takes the last ones out again. */
final readonly class PatternHaul
{
    private const LAST = 'pattern-haul-last';

    public function __construct(private EntityManagerInterface $entities, private PatternRepository $patterns, private PatternMapper $mapper, private Toast $toast, private ClockInterface $clock, private RequestStack $requests, private UrlGeneratorInterface $addresses)
    {
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
        $this->requests->getSession()->set(self::LAST, $added);
        $this->toast->say('{count, plural, one {One pattern is} other {# patterns are}} in the library. Each waits for its table.', ['count' => (string) \count($lines)], $this->addresses->generate('pattern_haul_undo'));
    }

    public function takeOut(Account $account): void
    {
        foreach ((array) $this->requests->getSession()->remove(self::LAST) as $id) {
            $record = \is_string($id) ? $this->patterns->oneOf($account, $id) : null;
            if (null !== $record) {
                $record->removedAt = $this->clock->now();
            }
        }
        $this->entities->flush();
        $this->toast->say('They are taken out of the library again.');
    }
}

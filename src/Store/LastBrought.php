<?php

declare(strict_types=1);

namespace Octavum\Store;

use Doctrine\ORM\EntityManagerInterface;
use Octavum\Account\Account;
use Symfony\Component\Clock\ClockInterface;
use Symfony\Component\HttpFoundation\RequestStack;

/** What was last brought in one go, a haul or a table, so that all of it can be taken out again. */
final readonly class LastBrought
{
    public function __construct(private RequestStack $requests, private EntityManagerInterface $entities, private ClockInterface $clock)
    {
    }

    /**
     * @param class-string<ClothRecord|NotionRecord|PatternRecord> $class
     * @param list<string>                                         $ids
     */
    public function keep(string $class, array $ids): void
    {
        $this->requests->getSession()->set($class, $ids);
    }

    /** @param class-string<ClothRecord|NotionRecord|PatternRecord> $class */
    public function takeOut(string $class, Account $account): void
    {
        foreach (
            $this->entities
                ->getRepository($class)
                ->findBy(['id' => (array) $this->requests->getSession()->remove($class), 'account' => $account]) as $record
        ) {
            $record->removedAt = $this->clock->now();
        }
        $this->entities->flush();
    }
}

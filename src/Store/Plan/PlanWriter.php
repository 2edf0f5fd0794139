<?php

declare(strict_types=1);

namespace Octavum\Store\Plan;

use Doctrine\DBAL\Exception\DriverException;
use Doctrine\ORM\EntityManagerInterface;
use Octavum\Account\Account;
use Octavum\Core\Project\Project;
use Octavum\Core\Project\Season;
use Octavum\Store\Project\ClaimRecord;
use Octavum\Store\Project\ProjectRecord;
use Octavum\Store\Project\SeasonRecord;

/** Writes into the plan what several rooms write. */
final readonly class PlanWriter
{
    public function __construct(private EntityManagerInterface $entities)
    {
    }

    /** Remembers which season was looked at last; that it cannot be, on a disk that is full, is no reason not to show it. */
    public function look(Account $account, SeasonRecord $season): void
    {
        if ($account->season === $season->id || $season->undated) {
            return;
        }
        $account->season = $season->id;
        try {
            $this->entities->getConnection()->executeStatement('UPDATE account SET season = ? WHERE id = ?', [$season->id, $account->id]);
        } catch (DriverException) {
            // the next time, then
        }
    }

    /** @return ?list<string> what a project's envelope asks for besides cloth; null when they are taken already */
    public function takeNotions(ProjectRecord $record): ?array
    {
        if ($record->notionsTaken) {
            return null;
        }
        $record->notionsTaken = true;

        $lines = array_unique($record->current->claims->map(static fn (ClaimRecord $claim): string => $claim->copy->id ?? '')->toArray());

        return array_merge(...array_fill(0, max(1, \count($lines)), $record->current->version->notions ?? []));
    }
}

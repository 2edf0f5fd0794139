<?php

declare(strict_types=1);

namespace Octavum\Store\Project;

use Doctrine\Bundle\DoctrineBundle\Repository\ServiceEntityRepository;
use Doctrine\Persistence\ManagerRegistry;
use Octavum\Account\Account;
use Octavum\Core\Project\Log\ProjectState;

/** @extends ServiceEntityRepository<ProjectRecord> */
final class ProjectRepository extends ServiceEntityRepository
{
    public function __construct(ManagerRegistry $registry)
    {
        parent::__construct($registry, ProjectRecord::class);
    }

    public function oneOf(Account $account, string $id): ?ProjectRecord
    {
        /** @var ?ProjectRecord $record */
        $record = $this->createQueryBuilder('p')
            ->join('p.season', 'season')
            ->where('season.account = :account')
            ->andWhere('p.id = :id')
            ->setParameter('account', $account)
            ->setParameter('id', $id)
            ->getQuery()
            ->getOneOrNullResult();

        return $record;
    }

    /** @return array<string, ProjectRecord> the season's open projects by id, in rank order */
    public function ranked(SeasonRecord $season): array
    {
        $ranked = [];
        foreach (
            $this->findBy(
                ['season' => $season, 'removedAt' => null, 'state' => ProjectState::ranked()],
                ['rank' => 'ASC', 'id' => 'ASC'],
            ) as $project
        ) {
            $ranked[$project->id] = $project;
        }

        return $ranked;
    }

    /** Ranks a season's projects 1, 2, 3 … anew, with this one at the rank it was given. */
    public function renumber(ProjectRecord $placed): void
    {
        $others = array_values(
            array_filter($this->ranked($placed->season), static fn (ProjectRecord $project): bool => $project !== $placed),
        );
        if ($placed->state->takesHours()) {
            array_splice($others, max(0, $placed->rank - 1), 0, [$placed]);
        }
        foreach ($others as $i => $project) {
            $project->rank = $i + 1;
        }
        $this->getEntityManager()->flush();
    }

    /** Ranks a season's projects anew where one has left it. */
    public function close(SeasonRecord $season): void
    {
        foreach (array_values($this->ranked($season)) as $i => $project) {
            $project->rank = $i + 1;
        }
        $this->getEntityManager()->flush();
    }

    /** One of the account's own that is on the plan. */
    public function hereOf(Account $account, string $id): ?ProjectRecord
    {
        $record = $this->oneOf($account, $id);

        return null === $record?->removedAt ? $record : null;
    }
}

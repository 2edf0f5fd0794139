<?php

declare(strict_types=1);

namespace Octavum\Season;

use Doctrine\Bundle\DoctrineBundle\Repository\ServiceEntityRepository;
use Doctrine\Persistence\ManagerRegistry;
use Octavum\Account\Account;
use Octavum\Cloth\ClothRecord;
use Octavum\Core\Season\ProjectState;
use Octavum\Pattern\PatternRecord;

/** @extends ServiceEntityRepository<ProjectRecord> */
final class ProjectRepository extends ServiceEntityRepository
{
    public function __construct(ManagerRegistry $registry)
    {
        parent::__construct($registry, ProjectRecord::class);
    }

    /**
     * All projects of the workroom with everything their check needs, in three queries whatever their number.
     *
     * @return list<ProjectRecord>
     */
    public function allOf(Account $account): array
    {
        /** @var list<ProjectRecord> $projects */
        $projects = $this->createQueryBuilder('p')
            ->addSelect('season', 'person', 'version', 'pattern', 'claim', 'cut', 'cloth')
            ->join('p.season', 'season')->leftJoin('p.person', 'person')
            ->leftJoin('p.version', 'version')->leftJoin('version.pattern', 'pattern')
            ->leftJoin('p.claims', 'claim')->leftJoin('claim.cut', 'cut')->leftJoin('cut.cloth', 'cloth')
            ->where('season.account = :account')->andWhere('p.removedAt IS NULL')->setParameter('account', $account)
            ->orderBy('season.starts')->addOrderBy('p.rank')->addOrderBy('p.id')->addOrderBy('claim.id')
            ->getQuery()->getResult();
        $cloths = $patterns = [];
        foreach ($projects as $project) {
            $patterns[] = $project->version?->pattern->id;
            foreach ($project->claims as $claim) {
                $cloths[] = $claim->cut?->cloth->id;
            }
        }
        $this->loadWith(ClothRecord::class, 'cuts', $cloths);
        $this->loadWith(PatternRecord::class, 'versions', $patterns);

        return $projects;
    }

    public function oneOf(Account $account, string $id): ?ProjectRecord
    {
        /** @var ?ProjectRecord $record */
        $record = $this->createQueryBuilder('p')->join('p.season', 'season')
            ->where('season.account = :account')->andWhere('p.id = :id')
            ->setParameter('account', $account)->setParameter('id', $id)
            ->getQuery()->getOneOrNullResult();

        return $record;
    }

    /** @return array<string, ProjectRecord> the season's open projects by id, in rank order */
    public function ranked(SeasonRecord $season): array
    {
        $ranked = [];
        foreach ($this->findBy(['season' => $season, 'removedAt' => null, 'state' => [ProjectState::Planned, ProjectState::Begun]], ['rank' => 'ASC', 'id' => 'ASC']) as $project) {
            $ranked[$project->id] = $project;
        }

        return $ranked;
    }

    /** Ranks a season's projects 1, 2, 3 … anew, with this one at the rank it was given. */
    public function renumber(ProjectRecord $placed): void
    {
        $others = array_values(array_filter($this->ranked($placed->season), static fn (ProjectRecord $project): bool => $project !== $placed));
        if ($placed->state->isOpen()) {
            array_splice($others, max(0, $placed->rank - 1), 0, [$placed]);
        }
        foreach ($others as $i => $project) {
            $project->rank = $i + 1;
        }
        $this->getEntityManager()->flush();
    }

    /**
     * Fills a collection of records that are loaded already.
     *
     * @param class-string  $class
     * @param list<?string> $ids
     */
    private function loadWith(string $class, string $collection, array $ids): void
    {
        $this->getEntityManager()->createQueryBuilder()->select('r', 'part')->from($class, 'r')->leftJoin('r.'.$collection, 'part')
            ->where('r.id IN (:ids)')->setParameter('ids', array_values(array_unique(array_filter($ids, is_string(...)))))
            ->getQuery()->getResult();
    }
}

<?php

declare(strict_types=1);

namespace Octavum\Store;

use Doctrine\Bundle\DoctrineBundle\Repository\ServiceEntityRepository;
use Doctrine\Persistence\ManagerRegistry;
use Octavum\Account\Account;
use Octavum\Core\Season\ProjectState;

/** @extends ServiceEntityRepository<ProjectRecord> */
final class ProjectRepository extends ServiceEntityRepository
{
    public function __construct(ManagerRegistry $registry)
    {
        parent::__construct($registry, ProjectRecord::class);
    }

    /**
     * All projects of the workroom with everything their check needs, in four queries whatever their number: the saved
     * lays, the cloths they claim, the patterns they use, and the projects themselves with their options.
     *
     * @return list<ProjectRecord>
     */
    public function allOf(Account $account): array
    {
        /** @var list<LayRecord> $lays */
        $lays = $this->load(
            $account,
            'SELECT lay FROM '.LayRecord::class.' lay WHERE lay.account = :account AND lay.removedAt IS NULL',
        );
        $this->load(
            $account,
            'SELECT r, part FROM '
                .ClothRecord::class
                .' r LEFT JOIN r.cuts part WHERE r.id IN (
            SELECT IDENTITY(cut.cloth) FROM '
                .ClaimRecord::class
                .' claim JOIN claim.cut cut JOIN claim.project p JOIN p.season season WHERE season.account = :account)
            OR r.id IN (SELECT IDENTITY(laid.cloth) FROM '
                .CutRecord::class
                .' laid JOIN laid.cloth whole WHERE whole.account = :account AND laid.id IN (:laid)) ORDER BY part.id',
            ['laid' => array_merge(...array_map(static fn (LayRecord $lay): array => $lay->cuts(), $lays))],
        );
        $this->load(
            $account,
            'SELECT r, part FROM '
                .PatternRecord::class
                .' r LEFT JOIN r.versions part WHERE r.id IN (
            SELECT IDENTITY(version.pattern) FROM '
                .ProjectRecord::class
                .' p JOIN p.version version JOIN p.season season WHERE season.account = :account) OR r.id IN (
            SELECT IDENTITY(other.pattern) FROM '
                .OptionRecord::class
                .' option JOIN option.version other JOIN option.project made JOIN made.season its WHERE its.account = :account)
            ORDER BY part.name',
        );
        /** @var list<ProjectRecord> $projects */
        $projects = $this->load(
            $account,
            // an option comes on the rows of its claims, so that not each claim comes once for each option
            'SELECT p, season, person, claim, copy, other, option FROM '
                .ProjectRecord::class
                .' p JOIN p.season season LEFT JOIN p.person person LEFT JOIN p.claims claim LEFT JOIN claim.copy copy
            LEFT JOIN copy.person other LEFT JOIN p.options option WITH option = claim.option OR option.id NOT IN (
            SELECT IDENTITY(its.option) FROM '
                .ClaimRecord::class
                .' its WHERE its.option IS NOT NULL)
            WHERE season.account = :account AND p.removedAt IS NULL ORDER BY season.starts, p.rank, p.id, claim.id, option.id',
        );

        $this->loadParts($account, $projects);

        return $projects;
    }

    /**
     * The patterns that only parts come from.
     *
     * @param list<ProjectRecord> $projects
     */
    private function loadParts(Account $account, array $projects): void
    {
        $ids = [];
        foreach ($projects as $project) {
            foreach ([$project, ...$project->options] as $made) {
                $ids = [...$ids, ...array_values(array_filter(array_column($made->parts, 'version'), is_string(...)))];
            }
        }
        if ([] !== $ids) {
            $this->load(
                $account,
                'SELECT r, part FROM '
                    .PatternRecord::class
                    .' r LEFT JOIN r.versions part WHERE r.account = :account AND r.id IN (
                SELECT IDENTITY(version.pattern) FROM '
                    .VersionRecord::class
                    .' version WHERE version.id IN (:ids)) ORDER BY part.name',
                ['ids' => $ids],
            );
        }
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
                ['season' => $season, 'removedAt' => null, 'state' => [ProjectState::Planned, ProjectState::Begun]],
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
        if ($placed->state->isOpen()) {
            array_splice($others, max(0, $placed->rank - 1), 0, [$placed]);
        }
        foreach ($others as $i => $project) {
            $project->rank = $i + 1;
        }
        $this->getEntityManager()->flush();
    }

    /** @param array<string, list<string>> $with */
    private function load(Account $account, string $query, array $with = []): mixed
    {
        return $this->getEntityManager()
            ->createQuery($query)
            ->setParameters(['account' => $account] + $with)
            ->getResult();
    }

    /** One of the account's own that is on the plan. */
    public function hereOf(Account $account, string $id): ?ProjectRecord
    {
        $record = $this->oneOf($account, $id);

        return null === $record?->removedAt ? $record : null;
    }
}

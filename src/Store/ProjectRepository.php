<?php

declare(strict_types=1);

namespace Octavum\Store;

use Doctrine\Bundle\DoctrineBundle\Repository\ServiceEntityRepository;
use Doctrine\Common\Collections\Collection;
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
     * All projects of the workroom with everything their check needs, in six queries whatever their number: the saved lays, the
     * cloths they claim, the patterns they use, the projects, their options and their claims; and one more where something
     * has parts from patterns that nothing else is made from.
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
        $this->loadPatterns($account);
        /** @var list<ProjectRecord> $projects */
        $projects = $this->load(
            $account,
            'SELECT p, season, person FROM '.ProjectRecord::class.' p JOIN p.season season LEFT JOIN p.person person
            WHERE season.account = :account AND p.removedAt IS NULL ORDER BY season.starts, p.rank, p.id',
        );
        $of = 'JOIN one.project p JOIN p.season season WHERE season.account = :account AND p.removedAt IS NULL ORDER BY one.id';
        /** @var list<OptionRecord> $options */
        $options = $this->load($account, 'SELECT one FROM '.OptionRecord::class.' one '.$of);
        /** @var list<ClaimRecord> $claims */
        $claims = $this->load(
            $account,
            'SELECT one, copy, person FROM '.ClaimRecord::class.' one LEFT JOIN one.copy copy LEFT JOIN copy.person person '.$of,
        );
        Apart::fill(array_column($projects, 'options'), $options, static fn (OptionRecord $one): Collection => $one->project->options);
        Apart::fill(array_column($projects, 'claims'), $claims, static fn (ClaimRecord $claim): Collection => $claim->project->claims);
        $this->loadParts($account, $projects);

        return $projects;
    }

    private function loadPatterns(Account $account): void
    {
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

<?php

declare(strict_types=1);

namespace Octavum\Store\Pattern;

use Doctrine\Bundle\DoctrineBundle\Repository\ServiceEntityRepository;
use Doctrine\Common\Collections\ArrayCollection;
use Doctrine\Persistence\ManagerRegistry;
use Octavum\Account\Account;
use Octavum\Database\ReadOnlyHydrator;

/** @extends ServiceEntityRepository<PatternRecord> */
final class PatternRepository extends ServiceEntityRepository
{
    public function __construct(ManagerRegistry $registry, private readonly ReadOnlyHydrator $glance)
    {
        parent::__construct($registry, PatternRecord::class);
    }

    /**
     * @param string                             $which of the account's own, by their columns
     * @param array<string, string|list<string>> $with  parameters of that
     *
     * @return list<PatternRecord> with their versions, to look at and not to change
     */
    public function glance(Account $account, string $which = 'removed_at IS NULL', array $with = []): array
    {
        $with['account'] = $account->id;
        $of = 'account_id = :account AND '.$which;
        $patterns = $this->glance->at(
            PatternRecord::class,
            "WHERE $of ORDER BY r.id",
            $with,
            static fn (): array => ['account' => $account, 'versions' => new ArrayCollection()],
        );
        $versions = $this->glance->at(
            VersionRecord::class,
            "WHERE r.pattern_id IN (SELECT id FROM pattern WHERE $of) ORDER BY r.name",
            $with,
            static fn (array $row): array => ['pattern' => \is_string($row['pattern_id']) ? $patterns[$row['pattern_id']] ?? null : null],
        );
        foreach ($versions as $version) {
            $version->pattern->versions->add($version);
        }

        return array_values($patterns);
    }

    /** @return list<PatternRecord> with their versions, in one query */
    public function allOf(Account $account): array
    {
        /** @var list<PatternRecord> $records */
        $records = $this->createQueryBuilder('r')
            ->addSelect('part')
            ->leftJoin('r.versions', 'part')
            ->where('r.account = :account')
            ->andWhere('r.removedAt IS NULL')
            ->setParameter('account', $account)
            ->orderBy('r.id')
            ->addOrderBy('part.id')
            ->getQuery()
            ->getResult();

        return $records;
    }

    /** @return list<PatternTitle> of all patterns */
    public function titles(Account $account): array
    {
        /** @var list<PatternTitle> $titles */
        $titles = $this->createQueryBuilder('r')
            ->select(
                'NEW '.
                    PatternTitle::class.
                    '(r.id, r.title, r.maker, r.number, r.otherNumbers, r.garment, r.place, r.ownership, r.details)',
            )
            ->where('r.account = :account')
            ->andWhere('r.removedAt IS NULL')
            ->setParameter('account', $account)
            ->orderBy('r.id')
            ->getQuery()
            ->getResult();

        return $titles;
    }

    /** @return array<string, list<list<string>>> what the versions of each pattern have, by pattern */
    public function features(Account $account): array
    {
        /** @var list<array{id: string, features: list<string>}> $rows */
        $rows = $this->getEntityManager()
            ->createQuery(
                'SELECT p.id, v.features FROM '
                    .VersionRecord::class
                    .' v JOIN v.pattern p WHERE p.account = :account AND p.removedAt IS NULL AND v.removedAt IS NULL ORDER BY v.id',
            )
            ->setParameter('account', $account)
            ->getArrayResult();
        $features = [];
        foreach ($rows as $row) {
            $features[$row['id']][] = $row['features'];
        }

        return $features;
    }

    /**
     * @param list<string> $ids
     *
     * @return list<PatternRecord> of the account's own with their versions, in the order asked for
     */
    public function these(Account $account, array $ids): array
    {
        /** @var list<PatternRecord> $records */
        $records =
            [] === $ids
                ? []
                : $this->createQueryBuilder('r')
                    ->addSelect('part')
                    ->leftJoin('r.versions', 'part')
                    ->where('r.account = :account')
                    ->andWhere('r.id IN (:ids)')
                    ->setParameter('account', $account)
                    ->setParameter('ids', $ids)
                    ->orderBy('part.name')
                    ->getQuery()
                    ->getResult();
        $order = array_flip($ids);
        usort($records, static fn (PatternRecord $a, PatternRecord $b): int => $order[$a->id] <=> $order[$b->id]);

        return $records;
    }

    /** @return list<PatternRecord> whose size chart is entered, with their versions */
    public function charted(Account $account): array
    {
        /** @var list<PatternRecord> $records */
        $records = $this->createQueryBuilder('r')
            ->addSelect('part')
            ->leftJoin('r.versions', 'part')
            ->where('r.account = :account')
            ->andWhere('r.removedAt IS NULL')
            ->andWhere('r.chart <> :none')
            ->setParameter('account', $account)
            ->setParameter('none', '[]')
            ->orderBy('r.id')
            ->getQuery()
            ->getResult();

        return $records;
    }

    /** One of the account's own that has not been removed. */
    public function hereOf(Account $account, string $id): ?PatternRecord
    {
        return $this->findOneBy(['id' => $id, 'account' => $account, 'removedAt' => null]);
    }

    /** @return list<VersionTitle> of what is in the library */
    public function versionTitles(Account $account): array
    {
        /** @var list<VersionTitle> $titles */
        $titles = $this->getEntityManager()
            ->createQuery(
                'SELECT NEW '.
                    VersionTitle::class.
                    '(v.id, v.name, p.number, p.title, p.maker, p.garment, p.files) FROM '.
                    VersionRecord::class.
                    ' v JOIN v.pattern p WHERE p.account = :account AND p.removedAt IS NULL AND v.removedAt IS NULL ORDER BY p.id, v.id',
            )
            ->setParameter('account', $account)
            ->getResult();

        return $titles;
    }

    public function versionOf(Account $account, string $id): ?VersionRecord
    {
        $known = $this->getEntityManager()->getUnitOfWork()->tryGetById($id, VersionRecord::class);
        if ($known instanceof VersionRecord && $known->pattern->account === $account && null === $known->pattern->removedAt) {
            return $known;
        }
        /** @var ?VersionRecord $record */
        $record = $this->getEntityManager()
            ->createQuery(
                'SELECT v, p FROM '.
                    VersionRecord::class.
                    ' v JOIN v.pattern p WHERE v.id = :id AND p.account = :account AND p.removedAt IS NULL',
            )
            ->setParameter('id', $id)
            ->setParameter('account', $account)
            ->getOneOrNullResult();

        return $record;
    }
}

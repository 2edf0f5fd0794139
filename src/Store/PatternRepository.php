<?php

declare(strict_types=1);

namespace Octavum\Store;

use Doctrine\Bundle\DoctrineBundle\Repository\ServiceEntityRepository;
use Doctrine\Persistence\ManagerRegistry;
use Octavum\Account\Account;

/** @extends ServiceEntityRepository<PatternRecord> */
final class PatternRepository extends ServiceEntityRepository
{
    public function __construct(ManagerRegistry $registry)
    {
        parent::__construct($registry, PatternRecord::class);
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

    /** One of the account's own; removed ones too, so that a removal can be undone. */
    public function oneOf(Account $account, string $id): ?PatternRecord
    {
        return $this->findOneBy(['id' => $id, 'account' => $account]);
    }

    /** One of the account's own that has not been removed. */
    public function hereOf(Account $account, string $id): ?PatternRecord
    {
        return $this->findOneBy(['id' => $id, 'account' => $account, 'removedAt' => null]);
    }

    /** @return list<array{id: string, number: string, title: string, name: string}> of all versions, in the order of their patterns */
    public function versionNames(Account $account): array
    {
        /** @var list<array{id: string, number: string, title: string, name: string}> $names */
        $names = $this->getEntityManager()
            ->createQuery(
                'SELECT v.id, p.number, p.title, v.name FROM '.
                    VersionRecord::class.
                    ' v JOIN v.pattern p WHERE p.account = :account AND p.removedAt IS NULL AND v.removedAt IS NULL ORDER BY p.id, v.id',
            )
            ->setParameter('account', $account)
            ->getArrayResult();

        return $names;
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

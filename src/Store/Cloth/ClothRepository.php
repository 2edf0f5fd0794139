<?php

declare(strict_types=1);

namespace Octavum\Store\Cloth;

use Doctrine\Bundle\DoctrineBundle\Repository\ServiceEntityRepository;
use Doctrine\Common\Collections\ArrayCollection;
use Doctrine\Persistence\ManagerRegistry;
use Octavum\Account\Account;
use Octavum\Database\ReadOnlyHydrator;

/** @extends ServiceEntityRepository<ClothRecord> */
final class ClothRepository extends ServiceEntityRepository
{
    public function __construct(ManagerRegistry $registry, private readonly ReadOnlyHydrator $glance)
    {
        parent::__construct($registry, ClothRecord::class);
    }

    /**
     * @param string                             $which of the account's own, by their columns
     * @param array<string, string|list<string>> $with  parameters of that
     *
     * @return list<ClothRecord> with their cuts, to look at and not to change
     */
    public function glance(Account $account, string $which = 'removed_at IS NULL', array $with = []): array
    {
        $with['account'] = $account->id;
        $of = 'account_id = :account AND '.$which;
        $cloths = $this->glance->at(
            ClothRecord::class,
            "WHERE $of ORDER BY r.id",
            $with,
            static fn (): array => ['account' => $account, 'cuts' => new ArrayCollection()],
        );
        $cuts = $this->glance->at(
            CutRecord::class,
            "WHERE r.cloth_id IN (SELECT id FROM cloth WHERE $of) ORDER BY r.id",
            $with,
            static fn (array $row): array => ['cloth' => \is_string($row['cloth_id']) ? $cloths[$row['cloth_id']] ?? null : null],
        );
        foreach ($cuts as $cut) {
            $cut->cloth->cuts->add($cut);
        }

        return array_values($cloths);
    }

    /** @return list<ClothRecord> with their cuts, in one query */
    public function allOf(Account $account): array
    {
        /** @var list<ClothRecord> $records */
        $records = $this->createQueryBuilder('r')
            ->addSelect('part')
            ->leftJoin('r.cuts', 'part')
            ->where('r.account = :account')
            ->andWhere('r.removedAt IS NULL')
            ->setParameter('account', $account)
            ->orderBy('r.id')
            ->addOrderBy('part.id')
            ->getQuery()
            ->getResult();

        return $records;
    }

    /**
     * @param list<string> $ids
     *
     * @return list<ClothRecord> of the account's own with their cuts; removed ones too
     */
    public function these(Account $account, array $ids): array
    {
        /** @var list<ClothRecord> $records */
        $records = $this->createQueryBuilder('r')
            ->addSelect('part')
            ->leftJoin('r.cuts', 'part')
            ->where('r.account = :account')
            ->andWhere('r.id IN (:ids)')
            ->setParameter('account', $account)
            ->setParameter('ids', $ids)
            ->orderBy('r.id')
            ->addOrderBy('part.id')
            ->getQuery()
            ->getResult();

        return $records;
    }

    /** One of the account's own that has not been removed. */
    public function hereOf(Account $account, string $id): ?ClothRecord
    {
        return $this->findOneBy(['id' => $id, 'account' => $account, 'removedAt' => null]);
    }

    public function cutOf(Account $account, string $id): ?CutRecord
    {
        /** @var ?CutRecord $record */
        $record = $this->getEntityManager()
            ->createQuery(
                'SELECT c, cloth FROM '.CutRecord::class.' c JOIN c.cloth cloth WHERE c.id = :id AND cloth.account = :account',
            )
            ->setParameter('id', $id)
            ->setParameter('account', $account)
            ->getOneOrNullResult();

        return $record;
    }

    /**
     * @param list<string> $ids
     *
     * @return list<CutRecord> those of the account's cloths that are still here
     */
    public function cutsOf(Account $account, array $ids): array
    {
        /** @var list<CutRecord> $records */
        $records = $this->getEntityManager()
            ->createQuery(
                'SELECT c, cloth FROM '.CutRecord::class.' c JOIN c.cloth cloth'
                .' WHERE c.id IN (:ids) AND c.removedAt IS NULL AND cloth.account = :account',
            )
            ->setParameter('ids', $ids)
            ->setParameter('account', $account)
            ->getResult();

        return $records;
    }
}

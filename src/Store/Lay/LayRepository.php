<?php

declare(strict_types=1);

namespace Octavum\Store\Lay;

use Doctrine\Bundle\DoctrineBundle\Repository\ServiceEntityRepository;
use Doctrine\Persistence\ManagerRegistry;
use Octavum\Account\Account;

/** @extends ServiceEntityRepository<LayRecord> */
final class LayRepository extends ServiceEntityRepository
{
    public function __construct(ManagerRegistry $registry)
    {
        parent::__construct($registry, LayRecord::class);
    }

    /** @return list<LayRecord> the newest first */
    public function allOf(Account $account): array
    {
        return $this->findBy(['account' => $account, 'removedAt' => null], ['id' => 'DESC']);
    }

    /** One of the account's own that has not been put away. */
    public function hereOf(Account $account, string $id): ?LayRecord
    {
        return $this->findOneBy(['id' => $id, 'account' => $account, 'removedAt' => null]);
    }
}

<?php

declare(strict_types=1);

namespace Octavum\Account;

use Doctrine\Bundle\DoctrineBundle\Repository\ServiceEntityRepository;
use Doctrine\Persistence\ManagerRegistry;
use Symfony\Bridge\Doctrine\Security\User\UserLoaderInterface;

/** @extends ServiceEntityRepository<Account> */
final class AccountRepository extends ServiceEntityRepository implements UserLoaderInterface
{
    public function __construct(ManagerRegistry $registry)
    {
        parent::__construct($registry, Account::class);
    }

    public function byEmail(string $email): ?Account
    {
        return $this->findOneBy(['email' => mb_strtolower(trim($email))]);
    }

    public function loadUserByIdentifier(string $identifier): ?Account
    {
        return $this->byEmail($identifier);
    }

    public function demo(): ?Account
    {
        return $this->findOneBy(['demo' => true]);
    }
}

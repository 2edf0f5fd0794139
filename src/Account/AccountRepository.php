<?php

declare(strict_types=1);

namespace Octavum\Account;

use Doctrine\Bundle\DoctrineBundle\Repository\ServiceEntityRepository;
use Doctrine\Persistence\ManagerRegistry;
use Octavum\Document\Json\Refused;
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

    /**
     * The account a command is told to work on; the demo workroom when it is told none.
     *
     * @throws Refused when there is no such account
     */
    public function named(?string $email): Account
    {
        return (null === $email ? $this->demo() : $this->byEmail($email))
            ?? throw Refused::because('There is no account with this e-mail address; name one with --account.');
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

<?php

declare(strict_types=1);

namespace Octavum\Account;

use Doctrine\ORM\Mapping as ORM;

/** Failed sign-ins for one address from one place, so that guessing is slowed down. */
#[ORM\Entity]
class SignInAttempts
{
    #[ORM\Id]
    #[ORM\Column(length: 64)]
    public readonly string $key;

    #[ORM\Column]
    public int $failures = 0;

    #[ORM\Column]
    public \DateTimeImmutable $last;

    public function __construct(string $key, \DateTimeImmutable $now)
    {
        $this->key = $key;
        $this->last = $now;
    }
}

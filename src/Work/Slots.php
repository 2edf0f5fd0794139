<?php

declare(strict_types=1);

namespace Octavum\Work;

use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Component\Lock\LockFactory;
use Symfony\Component\Lock\LockInterface;

/** At most as many processes of long work at a time as this machine has cores, less one for the pages. */
final readonly class Slots
{
    public function __construct(private LockFactory $locks, #[Autowire('%env(int:OCTAVUM_CORES)%')] private int $cores)
    {
    }

    /** Held until it is released or its process ends; null when all are taken. */
    public function take(string $kind): ?LockInterface
    {
        for ($i = 1; $i <= max(1, $this->cores - 1); ++$i) {
            $slot = $this->locks->createLock($kind.'-'.$i, null);
            if ($slot->acquire()) {
                return $slot;
            }
        }

        return null;
    }
}

<?php

declare(strict_types=1);

namespace Octavum\Store\Plan;

use Octavum\Account\Account;
use Octavum\Store\Change\PageState;
use Octavum\Store\Lay\CachedLays;
use Octavum\Store\Project\ProjectMapper;
use Octavum\Work\Jobs;
use Psr\Cache\CacheItemPoolInterface;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpKernel\KernelEvents;
use Symfony\Component\Security\Core\Authentication\Token\Storage\TokenStorageInterface;

/**
 * Lays what a page asked for and nobody has laid yet, in a process of its own once the page is answered: a short project whose
 * pieces are known is settled once, and every room says the same.
 */
final readonly class LaySettler
{
    /** Seconds after which it is begun again where it has not ended. */
    private const AGAIN = 20;

    public function __construct(
        private CachedLays $lays,
        private PlanLoader $plan,
        private PlanChecker $checker,
        private ProjectMapper $mapper,
        private Jobs $jobs,
        private TokenStorageInterface $tokens,
        private CacheItemPoolInterface $cache,
        private PageState $pages,
    ) {
    }

    #[AsEventListener(KernelEvents::TERMINATE)]
    public function begin(): void
    {
        $account = $this->tokens->getToken()?->getUser();
        if ([] === $this->lays->takeMissing() || !$account instanceof Account || $this->isAtWork($account)) {
            return;
        }
        $begun = $this->cache->getItem(self::mark($account));
        if (null !== $this->jobs->begin($account, 'octavum:settle-lays', '')) {
            $this->cache->save($begun->set(true)->expiresAfter(self::AGAIN));
        }
    }

    public function isAtWork(Account $account): bool
    {
        return $this->cache->hasItem(self::mark($account));
    }

    /**
     * Lays all that is asked for in any season.
     *
     * @param ?\Closure(): bool $goOn
     *
     * @return int how many were laid
     */
    public function settle(Account $account, ?\Closure $goOn = null): int
    {
        $this->lays->takeMissing();
        $seasons = array_map($this->mapper->season(...), $this->plan->seasons($account));
        $this->checker->checkAll($account, $seasons, $this->plan->projects($account));
        $missing = $this->lays->takeMissing();
        foreach ($missing as $done => $laying) {
            if (null !== $goOn && !$goOn()) {
                return $done;
            }
            $this->lays->lay($laying);
            $this->pages->renew($account->id);
        }
        $this->cache->deleteItem(self::mark($account));

        return \count($missing);
    }

    private static function mark(Account $account): string
    {
        return 'settling-'.$account->id;
    }
}

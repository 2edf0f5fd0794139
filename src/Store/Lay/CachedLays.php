<?php

declare(strict_types=1);

namespace Octavum\Store\Lay;

use Octavum\Core\Remedy\ChangedLays;
use Octavum\Core\Remedy\Laying;
use Octavum\Core\Remedy\LayMemory;
use Psr\Cache\CacheItemPoolInterface;
use Symfony\Component\DependencyInjection\Attribute\Autowire;

/** Lays that were made before, by the pieces and the cloth they are of; and what was asked for and is not laid yet. */
final class CachedLays implements LayMemory
{
    /** Seconds. */
    private const KEPT = 30 * 86_400;

    /** @var array<string, Laying> by key */
    private array $missing = [];
    private bool $stored = false;

    public function __construct(#[Autowire(service: 'cache.lays')] private readonly CacheItemPoolInterface $cache)
    {
    }

    public function recall(Laying $laying): array
    {
        $key = $laying->key();
        /** @var ?array<string, ?int> $laid */
        $laid = $this->cache->getItem('enough-'.$key)->get();
        if (!(new ChangedLays($laying, $laid ?? []))->isLaid()) {
            $this->missing[$key] = $laying;
        }

        return $laid ?? [];
    }

    /** With nothing changed, unless it was laid before, and kept. */
    public function lay(Laying $laying): ChangedLays
    {
        $lays = new ChangedLays($laying, $this->recall($laying));
        if (!$lays->isLaid()) {
            $lays->unchanged();
            $this->store($lays);
        }

        return $lays;
    }

    public function store(ChangedLays $lays): void
    {
        $this->stored = true;
        $key = $lays->laying->key();
        unset($this->missing[$key]);
        $this->cache->save($this->cache->getItem('enough-'.$key)->set($lays->all())->expiresAfter(self::KEPT));
    }

    /** Whether this request has laid something that other pages say otherwise until now. */
    public function hasStored(): bool
    {
        return $this->stored;
    }

    public function isMissingAny(): bool
    {
        return [] !== $this->missing;
    }

    /** @return list<Laying> asked for since the last time, and not laid */
    public function takeMissing(): array
    {
        $missing = array_values($this->missing);
        $this->missing = [];

        return $missing;
    }
}

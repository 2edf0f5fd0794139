<?php

declare(strict_types=1);

namespace Octavum\Room\Bench;

use Octavum\Account\Account;
use Octavum\Account\AccountSettings;
use Octavum\Core\Cloth\Cloth;
use Octavum\Core\Cloth\Cut;
use Octavum\Core\Cloth\ToCut;
use Octavum\Core\Measure\Length;
use Octavum\Core\Need\Block\Block;
use Octavum\Core\Need\On;
use Octavum\Core\Need\Verdict;
use Octavum\Core\Need\Wanted;
use Octavum\Core\Piece\PieceSet;
use Octavum\Core\Remedy\Elsewhere;
use Octavum\Core\Remedy\Laying;
use Octavum\Core\Remedy\Lays;
use Octavum\Core\Remedy\MakeEnough;
use Octavum\Core\Season\Promise;
use Octavum\Store\Plan;
use Psr\Cache\CacheItemInterface;
use Psr\Cache\CacheItemPoolInterface;

/** Lays the pieces of what is wanted ready on a cut, with what was laid of them before. */
final readonly class EnoughMaker
{
    /** Seconds for which lays are kept. */
    private const KEPT = 86_400;

    public function __construct(private Plan $plan, private AccountSettings $settings, private CacheItemPoolInterface $cache)
    {
    }

    /**
     * @param Length $need  as it is known now
     * @param Length $free  of the cut
     * @param bool   $tight it is enough, and something to spare is wanted
     *
     * @return ?MakeEnough null where there are no pieces, nor a block for them, or the cut is not measured
     */
    public function of(
        Account $account,
        Wanted $wanted,
        Cloth $cloth,
        Cut $cut,
        Length $need,
        Length $free,
        bool $tight = false,
    ): ?MakeEnough {
        $assumptions = $this->settings->of($account)->assumptions;
        $surface = $wanted->surface(On::cut($cloth, ToCut::of($cloth, $cut, $assumptions, laid: true)), $assumptions);
        $size = $wanted->largestSize();
        if (null === $wanted->version || null === $surface) {
            return null;
        }
        $table = $wanted->version->table;
        $own = $wanted->version->pieces->in($size, $wanted->role);
        $pieces = [] === $own ? (new Block())->pieces($wanted->garment, $table, $wanted->role, $size, $wanted->child) : $own;
        $laying = Laying::of($pieces, $size, $surface, $table->sizes);
        /** @var ?array<string, ?int> $laid */
        $laid = $this->item($laying)->get();
        $fitting = Verdict::largest($free, $assumptions);

        return [] === $pieces ? null : new MakeEnough(
            new Lays($laying, $laid ?? []),
            $need,
            $tight ? $fitting : $free,
            [] !== $own,
            $fitting,
            $this->elsewhere($account, $cloth, $cut, $surface->width),
            $wanted,
        );
    }

    /** Keeps what was laid, so that the next tick does not lay it again. */
    public function remember(MakeEnough $make): void
    {
        $item = $this->item($make->lays->laying);
        $this->cache->save($item->set($make->lays->all())->expiresAfter(self::KEPT));
    }

    private function item(Laying $laying): CacheItemInterface
    {
        // what is laid one size smaller goes by the pieces of that size
        $sizes = array_filter([$laying->size, $laying->smaller], is_string(...));
        $pieces = PieceSet::of(array_values($laying->pieces), $sizes);
        $marks = implode(' ', array_map(static fn (string $size): string => $size.' '.$pieces->mark($size), $sizes));

        return $this->cache->getItem('enough-'.hash('xxh128', $marks.' '.$laying->surface->key()));
    }

    /** @return list<Elsewhere> its other cuts, the longest first, and more of it where there may be more to be had */
    private function elsewhere(Account $account, Cloth $cloth, Cut $cut, Length $usable): array
    {
        $assumptions = $this->settings->of($account)->assumptions;
        $promised = \count($cloth->cuts) > 1 ? $this->plan->promised($account) : [];
        $others = [];
        foreach ($cloth->cuts as $other) {
            $toCut = ToCut::of($cloth, $other, $assumptions);
            $free = Promise::free($toCut->length, $promised[$other->id] ?? []);
            if ($other->id !== $cut->id && !$other->gone && null !== $free && null !== $toCut->width && $free->micrometres > 0) {
                $others[] = new Elsewhere($other->id, $toCut->width, $free);
            }
        }
        usort($others, static fn (Elsewhere $a, Elsewhere $b): int => $b->free?->micrometres <=> $a->free?->micrometres);

        return [...$others, ...false === $cloth->moreToBeHad ? [] : [new Elsewhere(Elsewhere::BUY, $usable, null)]];
    }
}

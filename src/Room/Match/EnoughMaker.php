<?php

declare(strict_types=1);

namespace Octavum\Room\Match;

use Octavum\Account\Account;
use Octavum\Account\AccountSettings;
use Octavum\Core\Cloth\Cloth;
use Octavum\Core\Cloth\Cut;
use Octavum\Core\Cloth\ToCut;
use Octavum\Core\Measure\Assumptions;
use Octavum\Core\Measure\Length;
use Octavum\Core\Need\Block\Block;
use Octavum\Core\Need\CuttingCloth;
use Octavum\Core\Need\NeedRequest;
use Octavum\Core\Remedy\ChangedLays;
use Octavum\Core\Remedy\Elsewhere;
use Octavum\Core\Remedy\Laying;
use Octavum\Core\Remedy\MakeEnough;
use Octavum\Core\Remedy\Shortfall;
use Octavum\Core\Season\Reserve\Reservation;
use Octavum\Store\Lay\CachedLays;
use Octavum\Store\Plan\PlanChecker;

/** Lays the pieces of what is wanted ready on a cut, with what was laid of them before. */
final readonly class EnoughMaker
{
    public function __construct(private PlanChecker $checker, private AccountSettings $settings, private CachedLays $memory)
    {
    }

    /** @return ?MakeEnough null where there are no pieces, nor a block for them, or the cut is not measured */
    public function prepare(Account $account, Shortfall $shortfall, Cloth $cloth, Cut $cut): ?MakeEnough
    {
        $assumptions = $this->settings->load($account)->assumptions;
        $on = CuttingCloth::cut($cloth, ToCut::of($cloth, $cut, $assumptions));
        $wanted = $shortfall->wanted;
        $own = Laying::own($wanted, $on, $assumptions);
        $laying = $own ?? $this->block($wanted, $on, $assumptions);

        return null === $laying ? null : MakeEnough::of(
            $shortfall,
            new ChangedLays($laying, $this->memory->recall($laying)),
            null !== $own,
            $assumptions,
            $this->elsewhere($account, $cloth, $cut, $laying->surface->width),
        );
    }

    /** Generic pieces in their place. */
    private function block(NeedRequest $wanted, CuttingCloth $on, Assumptions $assumptions): ?Laying
    {
        [$surface, $size, $table] = [$wanted->surface($on, $assumptions), $wanted->largestSize(), $wanted->version?->table];
        $pieces = null === $table ? [] : (new Block())->pieces($wanted->garment, $table, $wanted->role, $size, $wanted->child);

        return null === $table || null === $surface || [] === $pieces ? null : Laying::of($pieces, $size, $surface, $table->sizes);
    }

    /** Keeps what was laid, so that the next tick does not lay it again. */
    public function remember(MakeEnough $make): void
    {
        $this->memory->store($make->lays);
    }

    /** @return list<Elsewhere> its other cuts, the longest first, and more of it where there may be more to be had */
    private function elsewhere(Account $account, Cloth $cloth, Cut $cut, Length $usable): array
    {
        $assumptions = $this->settings->load($account)->assumptions;
        $promised = \count($cloth->cuts) > 1 ? $this->checker->promised($account) : [];
        $others = [];
        foreach ($cloth->cuts as $other) {
            $toCut = ToCut::of($cloth, $other, $assumptions);
            $free = Reservation::free($toCut->length, $promised[$other->id] ?? []);
            if ($other->id !== $cut->id && !$other->gone && null !== $free && null !== $toCut->width && $free->micrometres > 0) {
                $others[] = new Elsewhere($other->id, $toCut->width, $free);
            }
        }
        usort($others, static fn (Elsewhere $a, Elsewhere $b): int => $b->free?->micrometres <=> $a->free?->micrometres);

        return [...$others, ...false === $cloth->purchase->moreToBeHad ? [] : [new Elsewhere(Elsewhere::BUY, $usable, null)]];
    }
}

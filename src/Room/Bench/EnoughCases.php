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
use Octavum\Core\Need\Verdict;
use Octavum\Core\Pattern\Version;
use Octavum\Core\Piece\PieceSet;
use Octavum\Core\Remedy\Elsewhere;
use Octavum\Core\Remedy\Laying;
use Octavum\Core\Remedy\Lays;
use Octavum\Core\Remedy\MakeEnough;
use Octavum\Core\Season\Project;
use Octavum\Core\Season\Promise;
use Octavum\Core\Season\RoleAnswer;
use Octavum\Store\Plan;
use Psr\Cache\CacheItemInterface;
use Psr\Cache\CacheItemPoolInterface;

/** Finds the shortfall of a claim and lays its pieces ready. */
final readonly class EnoughCases
{
    /** Seconds for which lays are kept. */
    private const KEPT = 86_400;

    public function __construct(private Plan $plan, private AccountSettings $settings, private CacheItemPoolInterface $cache)
    {
    }

    /** Keeps what was laid, so that the next tick does not lay it again. */
    public function remember(EnoughCase $case): void
    {
        $item = $this->item($case->version, $case->make->lays->laying);
        $this->cache->save($item->set($case->make->lays->all())->expiresAfter(self::KEPT));
    }

    private function item(Version $version, Laying $laying): CacheItemInterface
    {
        $mark = PieceSet::of(array_values($laying->pieces), [$laying->size])->mark($laying->size);
        $on = $laying->usable->micrometres.($laying->oneWay ? ' one way' : '');

        return $this->cache->getItem('enough-'.hash('xxh128', $version->id.' '.$laying->size.' '.$mark.' '.$on));
    }

    /** @return ?EnoughCase null when there is no such claim, or nothing is short or tight about it */
    public function of(Account $account, string $project, string $claim): ?EnoughCase
    {
        $projects = $this->plan->projects($account);
        foreach ($projects as $own) {
            foreach ($own->id === $project ? $this->plan->check($account, $own->season, $projects)->projects : [] as $answer) {
                foreach ($answer->project->id === $project ? $answer->roles : [] as $role) {
                    if ($role->claim->id === $claim) {
                        return $this->case($account, $answer->project, $role);
                    }
                }
            }
        }

        return null;
    }

    private function case(Account $account, Project $project, RoleAnswer $role): ?EnoughCase
    {
        [$cloth, $cut, $amount] = [$role->claim->cloth, $role->claim->cut, $role->amount()];
        $version = $project->cutting($role->claim)?->version;
        if (null === $cloth || null === $cut || null === $amount || null === $role->spare || null === $version) {
            return null;
        }
        $toCut = ToCut::of($cloth, $cut, $this->settings->of($account)->assumptions, laid: true);
        if (null === $toCut->width || null === $toCut->length) {
            return null;
        }
        $settings = $this->settings->of($account);
        $size = $project->largestSize();
        $own = $version->pieces->in($size, $role->claim->role);
        $child = true === $project->person?->child;
        $pieces = [] === $own ? (new Block())->pieces($project->garment(), $version->table, $role->claim->role, $size, $child) : $own;
        $laying = Laying::of($pieces, $size, $toCut->width, $cloth->isOneWay(), $version->table->sizes);
        /** @var ?array<string, ?int> $laid */
        $laid = $this->item($version, $laying)->get();
        $free = $amount->plus($role->spare);
        $fitting = Verdict::largest($free, $settings->assumptions);
        $make = new MakeEnough(
            new Lays($laying, $laid ?? []),
            $amount,
            Verdict::Tight === $role->verdict ? $fitting : $free,
            [] !== $own,
            $fitting,
            $this->elsewhere($account, $cloth, $cut, $toCut->width),
        );

        return [] === $pieces ? null : new EnoughCase($project, $role, $cloth, $cut, $toCut, $free, $version, $pieces, $make);
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

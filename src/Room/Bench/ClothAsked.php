<?php

declare(strict_types=1);

namespace Octavum\Room\Bench;

use Octavum\Account\Account;
use Octavum\Account\AccountSettings;
use Octavum\Core\Cloth\Cloth;
use Octavum\Core\Cloth\Cut;
use Octavum\Core\Cloth\LedgerEntry;
use Octavum\Core\Cloth\LedgerKind;
use Octavum\Core\Cloth\ToCut;
use Octavum\Core\Haul\HaulReader;
use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Season\Promise;
use Octavum\Store\Plan;
use Octavum\Store\Stash;
use Symfony\Component\Clock\ClockInterface;

/** The cloth that is asked for: a cut of the stash by its id or its name, or one that is typed as a line of a haul. */
final readonly class ClothAsked
{
    /** A roll in a shop goes on for so long. */
    private const ROLL = '15';

    public function __construct(
        private Stash $stash,
        private Plan $plan,
        private AccountSettings $settings,
        private ClockInterface $clock,
    ) {
    }

    /**
     * @param bool $whole as if nothing of it were promised
     *
     * @return ?Lying null when nothing is asked for
     */
    public function of(Account $account, string $cut, string $words, bool $whole): ?Lying
    {
        $named = '' === $words ? null : $this->stash->named($account)[$words] ?? null;
        $own = $named ?? $this->stash->cut($account, $cut);

        return match (true) {
            null !== $own => $this->lying(
                $account,
                $own[0],
                $own[1],
                $whole ? [] : $this->plan->promised($account)[$own[1]->id] ?? [],
            ),
            '' === trim($words) => null,
            default => $this->typed($account, $words),
        };
    }

    /** @param list<Promise> $promises of the cut */
    public function lying(Account $account, Cloth $cloth, Cut $cut, array $promises): Lying
    {
        return new Lying($cloth, $cut, ToCut::of($cloth, $cut, $this->settings->of($account)->assumptions), $promises);
    }

    private function typed(Account $account, string $words): Lying
    {
        $settings = $this->settings->of($account);
        $line = (new HaulReader())->read($words, $settings->system);
        $today = $this->clock->now();
        $cloth = $line->cloth($settings->assumptions, $today);
        $roll = [new LedgerEntry($today, LedgerKind::Bought, Length::ofMetres(self::ROLL))];
        $cut = null === $line->length ? new Cut('', $roll) : $cloth->cuts[0];
        $unread = [] === $line->unread ? [] : [new Sentence('Not understood, and left out: {words}.', [
            'words' => implode(', ', $line->unread),
        ])];

        return new Lying(
            $cloth,
            $cut,
            ToCut::of($cloth, $cut, $settings->assumptions),
            typed: $words,
            doubts: [...$line->doubts, ...$unread],
            endless: null === $line->length,
        );
    }
}

<?php

declare(strict_types=1);

namespace Octavum\Room\Match;

use Octavum\Account\Account;
use Octavum\Account\AccountSettings;
use Octavum\Core\Cloth\Cloth;
use Octavum\Core\Cloth\Cut;
use Octavum\Core\Cloth\LedgerEntry;
use Octavum\Core\Cloth\LedgerKind;
use Octavum\Core\Cloth\ToCut;
use Octavum\Core\Haul\HaulReader;
use Octavum\Core\Measure\Figure;
use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Season\Reserve\Reservation;
use Octavum\Input\Entry;
use Octavum\Store\Cloth\Stash;
use Octavum\Store\Plan\PlanChecker;
use Symfony\Component\Clock\ClockInterface;
use Symfony\Component\Uid\Ulid;

/** The cloth that is asked for: a cut of the stash by its id or its name, or one that is typed as a line of a haul. */
final readonly class ClothAsked
{
    /** A roll in a shop goes on for so long. */
    private const ROLL = '15';

    /** Less than this is nothing to ask of, micrometres: a starting value of the house. */
    private const USEFUL = 200_000;

    /** Cloths that can lie there at once. */
    private const MOST = 6;

    public function __construct(
        private Stash $stash,
        private PlanChecker $checker,
        private AccountSettings $settings,
        private ClockInterface $clock,
    ) {
    }

    /**
     * The cloths that are asked for: those that lie there already with what is laid beside them, else one alone.
     *
     * @return list<Lying>
     */
    public function all(Account $account, Entry $entry): array
    {
        $words = trim($entry->raw('q'));
        $there = \is_array($entry->typed['with'] ?? null) ? array_values(array_filter($entry->typed['with'], is_string(...))) : [];
        $asked = match (true) {
            '' === $words && [] === $there => [$entry->raw('cut')],
            '' === $words => $there,
            $entry->boolean('beside') => [...$there, $words],
            default => [$words],
        };
        $lying = [];
        foreach ($asked as $one) {
            foreach ($this->asked($account, $one, $entry->boolean('whole')) as $found) {
                $lying[$found->asked()] = $found;
            }
        }

        return array_values(\array_slice($lying, 0, self::MOST));
    }

    /**
     * A name typed in full is that cloth, with all its cuts that are here; everything else is read as a line typed in a shop.
     *
     * @param string $asked id or name of a cut, name of a cloth, or a line of a haul
     * @param bool   $whole as if nothing of it were promised
     *
     * @return list<Lying>
     */
    private function asked(Account $account, string $asked, bool $whole): array
    {
        if ('' === $asked) {
            return [];
        }
        if (Ulid::isValid($asked)) {
            $own = array_filter([$this->stash->cut($account, $asked)]);
        } else {
            $named = $this->stash->named($account);
            $plain = mb_strtolower($asked);
            $own = isset($named[$asked]) ? [$named[$asked]] : array_values(array_filter(
                $named,
                static fn (array $pair): bool => !$pair[1]->gone && mb_strtolower($pair[0]->name) === $plain,
            ));
        }
        $promised = $whole || [] === $own ? [] : $this->checker->promised($account);
        $lying = array_map(fn (array $pair): Lying => $this->lying($account, $pair[0], $pair[1], $promised[$pair[1]->id] ?? []), $own);

        return [] === $lying && !Ulid::isValid($asked) ? [$this->typed($account, $asked)] : $lying;
    }

    /** @param list<Reservation> $promises of the cut */
    public function lying(Account $account, Cloth $cloth, Cut $cut, array $promises): Lying
    {
        $toCut = ToCut::of($cloth, $cut, $this->settings->load($account)->assumptions);
        $lying = new Lying($cloth, $cut, $toCut, $promises);
        if ([] === $promises || null === $lying->free || $lying->free->micrometres >= self::USEFUL) {
            return $lying;
        }
        $names = array_unique(array_map(static fn (Reservation $promise): string => $promise->project->name, $promises));
        $reserved = new Sentence('Reserved for {projects}, with {free} left over. What follows is shown as if all of it were free.', [
            'projects' => implode(', ', $names),
            'free' => Figure::owned($lying->free),
        ]);

        return new Lying($cloth, $cut, $toCut, doubts: [$reserved]);
    }

    private function typed(Account $account, string $words): Lying
    {
        $settings = $this->settings->load($account);
        $line = (new HaulReader())->readInShop($words, $settings->system);
        $today = $this->clock->now();
        $cloth = $line->cloth($settings->assumptions, $today);
        $roll = [new LedgerEntry($today, LedgerKind::Bought, Length::ofMetres(self::ROLL))];
        $cut = null === $line->cuts->length ? new Cut('', $roll) : $cloth->cuts[0];
        $unread = [] === $line->reading->unread ? [] : [new Sentence('Not understood, and left out: {words}.', [
            'words' => implode(', ', $line->reading->unread),
        ])];

        return new Lying(
            $cloth,
            $cut,
            ToCut::of($cloth, $cut, $settings->assumptions),
            typed: $words,
            doubts: [...$line->reading->doubts, ...$unread],
            endless: null === $line->cuts->length,
        );
    }
}

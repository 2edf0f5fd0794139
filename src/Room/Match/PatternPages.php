<?php

declare(strict_types=1);

namespace Octavum\Room\Match;

use Octavum\Account\Account;
use Octavum\Core\Cloth\Cloth;
use Octavum\Core\Match\Combine;
use Octavum\Core\Match\Criteria\Traits;
use Octavum\Core\Match\Group;
use Octavum\Core\Match\Making;
use Octavum\Core\Match\Overrule;
use Octavum\Core\Match\Proposal;
use Octavum\Core\Match\Toile;
use Octavum\Core\Match\WhatWouldDo;
use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Piece\Role;
use Octavum\Core\Season\Reserve\Reservation;
use Octavum\Core\Workroom\Settings;
use Octavum\Store\Cloth\Stash;
use Octavum\Store\Overrule\Overrules;
use Octavum\Store\Plan\PlanChecker;
use Octavum\Strip\Scale;

/** Lays a version before the stash, role by role, and draws what comes of it. */
final readonly class PatternPages
{
    /** Rows of each group of the main cloth, and of the other roles. */
    private const ROWS = 10;
    private const FEWER = 3;

    public function __construct(
        private Stash $stash,
        private PlanChecker $checker,
        private RowDrawing $rows,
        private Overrules $overrules,
    ) {
    }

    /** @return list<string> where cloths are kept */
    public function places(Account $account): array
    {
        $places = array_unique(array_map(static fn (Cloth $cloth): string => $cloth->keeping->place, $this->stash->all($account)));
        sort($places);

        return array_values(array_filter($places, static fn (string $place): bool => '' !== $place));
    }

    /** @param string $place where the cloth is kept; empty for anywhere */
    public function build(Making $making, Account $account, Settings $settings, string $place = ''): PatternPage
    {
        $cloths = array_values(array_filter(
            $this->stash->all($account),
            static fn (Cloth $cloth): bool => '' === $place || $place === $cloth->keeping->place,
        ));
        $promised = array_map(Reservation::total(...), $this->checker->promised($account));
        $would = new WhatWouldDo($settings->assumptions, Overrule::reasons($this->overrules->all($account)));
        $roles = $more = $main = $byRole = [];
        $asked = $making->version->table->roles();
        foreach ([] === $asked ? [Role::Main] : $asked as $role) {
            if (\in_array($role, [Role::Interfacing, Role::Wadding, Role::Trim], true)) {
                continue;
            }
            $all = $byRole[$role->value] = $would->propose($making, $role, $cloths, $promised);
            $main = Role::Main === $role ? $all : $main;
            $most = Role::Main === $role ? self::ROWS : self::FEWER;
            [$roles[$role->value], $more[$role->value]] = $this->groups($all, $most, $promised, $settings);
        }
        $best = $main[0] ?? null;
        $traits = null === $best?->cloth || !$best->group->mayBe() ? null : Traits::of($best->cloth, Making::DEAR);
        $why = (new Toile())->reasons($making, $traits);

        return new PatternPage(
            $making,
            (new Combine())->combine($byRole),
            $roles,
            more: $more,
            refused: $this->refused($main),
            toile: $why,
            toiles: [] === $why || null === $traits ? [] : $this->toiles($main, $best, $traits, $promised, $settings),
        );
    }

    /**
     * @param list<Proposal>        $all
     * @param array<string, Length> $promised
     *
     * @return array{array<string, list<Row>>, int} and how many more would do
     */
    private function groups(array $all, int $most, array $promised, Settings $settings): array
    {
        $longest = Length::ofMetres('1');
        $shown = [];
        foreach ($all as $proposal) {
            if (Group::Not !== $proposal->group && \count($shown[$proposal->group->value] ?? []) < $most) {
                $shown[$proposal->group->value][] = $proposal;
                $longest = $longest->larger($proposal->free ?? $longest)->larger($proposal->fit?->amount() ?? $longest);
            }
        }
        $scale = Scale::margin($longest, 280);
        $rows = array_map(
            fn (array $group): array => array_map(fn (Proposal $one): Row => $this->row($one, $scale, $promised, $settings), $group),
            $shown,
        );
        $would = array_filter($all, static fn (Proposal $one): bool => \in_array($one->group, [Group::MadeForIt, Group::WouldDo], true));

        return [$rows, \count($would) - \count($rows['made for it'] ?? []) - \count($rows['possible'] ?? [])];
    }

    /** @param array<string, Length> $promised */
    private function row(Proposal $proposal, Scale $scale, array $promised, Settings $settings): Row
    {
        return null === $proposal->cloth || null === $proposal->cut
            ? new Row($proposal, null)
            : $this->rows->draw(
                $proposal,
                $proposal->cloth,
                $proposal->cut,
                free: $proposal->free,
                promised: $promised,
                scale: $scale,
                settings: $settings,
            );
    }

    /**
     * @param list<Proposal> $all
     *
     * @return list<array{Sentence, int}> the commonest reason first
     */
    private function refused(array $all): array
    {
        $reasons = [];
        foreach ($all as $proposal) {
            if (null !== $proposal->refusal) {
                $reasons[(string) $proposal->refusal] ??= [$proposal->refusal, 0];
                ++$reasons[(string) $proposal->refusal][1];
            }
        }
        usort($reasons, static fn (array $a, array $b): int => $b[1] <=> $a[1]);

        return $reasons;
    }

    /**
     * Cheap cloth that hangs like the best there is, and is long enough.
     *
     * @param list<Proposal>        $all
     * @param array<string, Length> $promised
     *
     * @return list<Row>
     */
    private function toiles(array $all, Proposal $best, Traits $like, array $promised, Settings $settings): array
    {
        $toile = new Toile();
        $found = array_values(array_filter($all, static fn (Proposal $one): bool => $one->cloth !== $best->cloth
            && null !== $one->cloth
            && true === $one->fit?->isEnough()
            && ($one->cloth->purchase->pricePerMetre ?? Making::DEAR) < Making::DEAR
            && $toile->isLike(Traits::of($one->cloth, Making::DEAR), $like)));
        usort(
            $found,
            static fn (Proposal $a, Proposal $b): int => $a->cloth?->purchase->pricePerMetre <=> $b->cloth?->purchase->pricePerMetre,
        );
        $scale = Scale::margin(Length::ofMetres('4'), 280);

        return array_map(
            fn (Proposal $one): Row => $this->row($one, $scale, $promised, $settings),
            \array_slice($found, 0, self::FEWER),
        );
    }
}

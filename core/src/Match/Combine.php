<?php

declare(strict_types=1);

namespace Octavum\Core\Match;

use Octavum\Core\Measure\Length;
use Octavum\Core\Piece\Role;

/**
 * The best sets of cuts for all roles of a version: each suits and is enough, also where two roles are cut from one cut, and they
 * go with one another. Cost: every set of the best few of each role; of many roles the best sets of those before are kept.
 */
final readonly class Combine
{
    /** Of each role the best that are tried, the sets that are named, and those that are kept from role to role. */
    private const EACH = 8;
    private const NAMED = 3;
    private const KEPT = 100;

    /** What is seen beside the main cloth, so that colours count; a lining is seen by its wearer. */
    private const SEEN = [Role::Contrast, Role::Contrast2, Role::Contrast3, Role::Ribbing, Role::Lining, Role::Trim];

    /**
     * @param array<string, list<Proposal>> $byRole as WhatWouldDo gives them
     *
     * @return list<Combined> the best first; none unless two roles at least have a cut
     */
    public function combine(array $byRole): array
    {
        $enough = [];
        foreach ($byRole as $role => $proposals) {
            $suits = static fn (Proposal $one): bool => $one->group->mayBe() && true === $one->fit?->isEnough();
            $would = array_filter($proposals, $suits);
            if ([] !== $would) {
                $enough[$role] = \array_slice(array_values($would), 0, self::EACH);
            }
        }
        if (\count($enough) < 2 || !isset($enough[Role::Main->value])) {
            return [];
        }
        $sets = array_map($this->combined(...), $this->sets($enough));
        usort($sets, static fn (Combined $a, Combined $b): int => $b->points <=> $a->points);

        return \array_slice($sets, 0, self::NAMED);
    }

    /**
     * @param array<string, non-empty-list<Proposal>> $enough
     *
     * @return list<non-empty-array<string, Proposal>>
     */
    private function sets(array $enough): array
    {
        $sets = [[]];
        foreach ($enough as $role => $proposals) {
            $longer = [];
            foreach ($sets as $set) {
                foreach ($proposals as $proposal) {
                    if (self::isRoom($set, $proposal)) {
                        $longer[] = [...$set, $role => $proposal];
                    }
                }
            }
            usort($longer, static fn (array $a, array $b): int => self::points($b) <=> self::points($a));
            $sets = \array_slice($longer, 0, self::KEPT);
        }

        return array_values(array_filter($sets, static fn (array $set): bool => [] !== $set));
    }

    /** @param array<string, Proposal> $set */
    private static function points(array $set): int
    {
        return array_sum(array_column($set, 'points'));
    }

    /** @param array<string, Proposal> $set */
    private static function isRoom(array $set, Proposal $more): bool
    {
        $taken = Length::zero();
        foreach ([...array_values($set), $more] as $one) {
            $taken = $one->cut?->id === $more->cut?->id ? $taken->plus($one->fit?->amount() ?? Length::zero()) : $taken;
        }

        return false === $more->free?->isLessThan($taken);
    }

    /** @param non-empty-array<string, Proposal> $picks */
    private function combined(array $picks): Combined
    {
        $main = $picks[Role::Main->value]->cloth ?? null;
        $together = [];
        foreach ($picks as $role => $pick) {
            if (null !== $main && null !== $pick->cloth && \in_array(Role::from($role), self::SEEN, true)) {
                $together[] = (new GoesWith())->judge($main, $pick->cloth);
            }
        }

        return new Combined($picks, $together);
    }
}

<?php

declare(strict_types=1);

namespace Octavum\Core\Season\Check;

use Octavum\Core\Measure\Length;
use Octavum\Core\Season\Answer\ProjectAnswer;
use Octavum\Core\Season\Answer\RoleAnswer;
use Octavum\Core\Season\Reserve\Collision;
use Octavum\Core\Season\Reserve\Reservation;

/** Whom a project leaves short of a cut, and who leaves it short: by as much as would not be missing without the other. */
final readonly class Collisions
{
    /** @return list<Collision> */
    public function find(ProjectAnswer $answer): array
    {
        $collisions = $seen = [];
        foreach ($answer->roles as $role) {
            $cut = $role->claim->cut?->id;
            if (null !== $cut && !isset($seen[$cut])) {
                $seen[$cut] = true;
                $collisions = [...$collisions, ...$this->onCut($answer->project->id, $role)];
            }
        }

        return $collisions;
    }

    /** @return list<Collision> */
    private function onCut(string $project, RoleAnswer $role): array
    {
        $length = $role->toCut?->length;
        if (null === $length || null === $role->claim->cloth) {
            return [];
        }
        $collisions = $seen = [];
        $first = true;
        foreach ($role->promises as $promise) {
            $other = $promise->project->id;
            if ($other === $project) {
                $first = false;
            } elseif (!isset($seen[$other])) {
                $seen[$other] = true;
                [$harmed, $harms] = $first ? [$project, $other] : [$other, $project];
                $by = $this->missing($harmed, $role->promises, $length)->minus(
                    $this->missing($harmed, array_values(array_filter(
                        $role->promises,
                        static fn (Reservation $one): bool => $one->project->id !== $harms,
                    )), $length),
                );
                if ($by->micrometres > 0) {
                    $collisions[] = new Collision($promise->project, $role->claim->cloth, $by, $first);
                }
            }
        }

        return $collisions;
    }

    /**
     * What a project misses of a cut that is given out in order.
     *
     * @param list<Reservation> $promises
     */
    private function missing(string $project, array $promises, Length $length): Length
    {
        $missing = Length::zero();
        $left = $length;
        foreach ($promises as $promise) {
            if ($promise->project->id === $project) {
                $missing = $missing->plus($promise->amount->minus($left)->larger(Length::zero()));
            }
            $left = $left->minus($promise->amount)->larger(Length::zero());
        }

        return $missing;
    }
}

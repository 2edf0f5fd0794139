<?php

declare(strict_types=1);

namespace Octavum\Core\Season\Check;

use Octavum\Core\Cloth\ToCut;
use Octavum\Core\Measure\Assumptions;
use Octavum\Core\Need\Estimator;
use Octavum\Core\Need\LaidOut;
use Octavum\Core\Need\On;
use Octavum\Core\Season\Claim;
use Octavum\Core\Season\Project;
use Octavum\Core\Season\Promise;

/** Gives out the cuts: in rank order, an earlier season before a later one. */
final readonly class Promises
{
    public function __construct(private Estimator $estimator, private Assumptions $assumptions)
    {
    }

    /**
     * Who has which cut, in the order in which it is given out.
     *
     * @param list<Project> $projects of the whole workroom
     *
     * @return array<string, list<Promise>> by cut
     */
    public function of(array $projects): array
    {
        $promises = [];
        foreach ($this->inOrder($projects) as $project) {
            foreach ($project->claims as $claim) {
                foreach (null === $claim->cut || $claim->cutOut ? [] : $this->places($project, $claim) as [$placed, $laidOut]) {
                    if (null !== $placed->cut && null !== $placed->cloth) {
                        $on = On::cut($placed->cloth, ToCut::of($placed->cloth, $placed->cut, $this->assumptions, null !== $laidOut));
                        $need = $this->estimator->estimate($project->wanted($placed, $laidOut), $on);
                        $promises[$placed->cut->id][] = new Promise($project, $placed, $need);
                    }
                }
            }
        }

        return $promises;
    }

    /**
     * @param list<Project> $projects
     *
     * @return list<Project> the open ones, an earlier season first
     */
    public function inOrder(array $projects): array
    {
        $open = array_values(array_filter($projects, static fn (Project $project): bool => $project->state->isOpen()));
        $place = static fn (Project $project): array => [$project->season->starts, $project->season->id, $project->rank];
        usort($open, static fn (Project $a, Project $b): int => $place($a) <=> $place($b));

        return $open;
    }

    /**
     * The cuts a claim takes from: those of a lay that holds, or the one chosen.
     *
     * @return list<array{Claim, ?LaidOut}>
     */
    public function places(Project $project, Claim $claim): array
    {
        $lay = $claim->lay;
        $garment = $lay?->garmentOf($project->id, $claim->role);
        if (null === $lay || null === $garment || null !== $project->layStale($claim, $this->assumptions)) {
            return [[$claim, null]];
        }
        $places = [];
        foreach ($lay->sheetsOf($garment) as $sheet) {
            $placed = null === $sheet->cloth || null === $sheet->cut ? $claim : $claim->on($sheet->cloth, $sheet->cut);
            $places[] = [$placed, $lay->laidOut($garment, $sheet)];
        }

        return $places;
    }
}

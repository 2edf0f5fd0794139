<?php

declare(strict_types=1);

namespace Octavum\Core\Season\Reserve;

use Octavum\Core\Cloth\ToCut;
use Octavum\Core\Measure\Assumptions;
use Octavum\Core\Need\CuttingCloth;
use Octavum\Core\Need\Estimator;
use Octavum\Core\Need\LaidOut;
use Octavum\Core\Project\Claim;
use Octavum\Core\Project\Log\ProjectState;
use Octavum\Core\Project\Project;

/** Gives out the cuts: in rank order, an earlier season before a later one. */
final readonly class CutAllocator
{
    public function __construct(private Estimator $estimator, private Assumptions $assumptions)
    {
    }

    /**
     * Who has which cut, in the order in which it is given out.
     *
     * @param list<Project> $projects of the whole workroom
     *
     * @return array<string, list<Reservation>> by cut
     */
    public function allocate(array $projects): array
    {
        return $this->byCut(array_merge(...array_map($this->ofOne(...), $this->inOrder($projects))));
    }

    /**
     * What the options that do not lead might take: it counts in no sum.
     *
     * @param list<Project> $projects of the whole workroom
     *
     * @return array<string, list<Reservation>> by cut
     */
    public function perhaps(array $projects): array
    {
        $perhaps = [];
        foreach ($this->inOrder($projects) as $project) {
            foreach ($project->openOptions() as $option) {
                $perhaps = [...$perhaps, ...$this->ofOne($project->made($option))];
            }
        }

        return $this->byCut($perhaps);
    }

    /**
     * What would be promised if a project were made another way.
     *
     * @param array<string, list<Reservation>> $promises by cut
     * @param list<Project>                    $order    as inOrder() gave it
     * @param Project                          $made     with the other option leading
     *
     * @return array<string, list<Reservation>> by cut
     */
    public function taking(array $promises, array $order, Project $made): array
    {
        $place = array_flip(array_map(static fn (Project $project): string => '#'.$project->id, $order));
        $promises = self::without($promises, $made);
        foreach ($this->byCut($this->ofOne($made)) as $cut => $own) {
            $all = [...$promises[$cut] ?? [], ...$own];
            usort($all, static fn (Reservation $a, Reservation $b): int => $place['#'.$a->project->id] <=> $place['#'.$b->project->id]);
            $promises[$cut] = $all;
        }

        return $promises;
    }

    /**
     * @param array<string, list<Reservation>> $promises by cut
     *
     * @return array<string, list<Reservation>> those of all other projects
     */
    public static function without(array $promises, Project $project): array
    {
        $others = static fn (Reservation $promise): bool => $promise->project->id !== $project->id;

        return array_map(static fn (array $all): array => array_values(array_filter($all, $others)), $promises);
    }

    /** @return list<Reservation> of its claims and its copies', in their order */
    private function ofOne(Project $project): array
    {
        $promises = [];
        foreach ($project->lines() as $line) {
            foreach ($line->current->claims as $claim) {
                foreach (null === $claim->cut || $claim->cutOut ? [] : $this->places($line, $claim) as [$placed, $laidOut]) {
                    if (null !== $placed->cut && null !== $placed->cloth) {
                        $on = CuttingCloth::cut(
                            $placed->cloth,
                            ToCut::of($placed->cloth, $placed->cut, $this->assumptions, null !== $laidOut),
                        );
                        $promises[] = new Reservation($line, $placed, $this->estimator->estimate($line->wanted($placed, $laidOut), $on));
                    }
                }
            }
        }

        return $promises;
    }

    /**
     * @param list<Reservation> $promises
     *
     * @return array<string, list<Reservation>>
     */
    private function byCut(array $promises): array
    {
        $byCut = [];
        foreach ($promises as $promise) {
            if (null !== $promise->claim->cut) {
                $byCut[$promise->claim->cut->id][] = $promise;
            }
        }

        return $byCut;
    }

    /**
     * @param list<Project> $projects
     *
     * @return list<Project> the open ones, an earlier season first
     */
    public function inOrder(array $projects): array
    {
        $open = array_values(array_filter($projects, static fn (Project $project): bool => $project->log->state->isOpen()));
        $place = static fn (Project $project): array => [
            ProjectState::Idea === $project->log->state,
            $project->season->starts,
            $project->season->id,
            !$project->log->state->takesHours(),
            $project->rank,
        ];
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
        $garment = $lay?->garmentOf($project->id, $claim->role, $project->largestSize(), $claim->pieces);
        if (null === $lay || null === $garment || null !== $project->layStale($claim, $this->assumptions)) {
            return [[$claim, null]];
        }
        $places = [];
        foreach ($lay->sheetsOf($garment) as $sheet) {
            $placed = null === $sheet->cloth || null === $sheet->cut ? $claim : $claim->takenFrom($sheet->cloth, $sheet->cut);
            $places[] = [$placed, $lay->laidOut($garment, $sheet)];
        }

        return $places;
    }
}

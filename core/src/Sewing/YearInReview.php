<?php

declare(strict_types=1);

namespace Octavum\Core\Sewing;

use Octavum\Core\Cloth\Cloth;
use Octavum\Core\Cloth\Cut;
use Octavum\Core\Cloth\LedgerEntry;
use Octavum\Core\Cloth\LedgerKind;
use Octavum\Core\Measure\Length;
use Octavum\Core\Project\Log\ProjectState;
use Octavum\Core\Project\Log\TimeEntry;
use Octavum\Core\Project\Project;
use Octavum\Core\Project\Time\Hours;
use Octavum\Core\Project\Time\Pace;

/**
 * What became of a year: what was sewn and in how many hours, the cloth that came and went by the ledgers, what a garment cost in
 * cloth, and what never got made. What has no day, or no price, counts nowhere.
 */
final readonly class YearInReview
{
    /** By what the length is less than before it, cloth went; what is taken apart or made a remnant stays in the stash. */
    private const OUT = [LedgerKind::Cut, LedgerKind::GivenAway, LedgerKind::Spoilt];

    /**
     * @param list<Project>      $projects of all seasons
     * @param list<Cloth>        $cloths
     * @param \DateTimeImmutable $today    a season that is not over yet has missed nothing
     */
    public function review(int $year, array $projects, array $cloths, \DateTimeImmutable $today): Review
    {
        $sewn = $given = $not = [];
        foreach ($projects as $project) {
            $done = ProjectState::Done === $project->log->state ? $this->doneOn($project) : null;
            if (self::isIn($year, $done)) {
                $sewn[] = new Costed($project, $done, $this->cost($project));
            }
            $up = ProjectState::GivenUp === $project->log->state ? $project->log->sewing->entered(ProjectState::GivenUp) : null;
            if (null !== $up && self::isIn($year, $up->on)) {
                $given[] = ['project' => $project, 'why' => $up->why];
            }
            $season = $project->season;
            if ($project->log->state->isOpen() && !$season->undated && $season->ends() < $today && self::isIn($year, $season->ends())) {
                $not[] = $project;
            }
        }
        usort($sewn, static fn (Costed $a, Costed $b): int => $a->done <=> $b->done);

        return new Review(
            $year,
            $sewn,
            $this->months($year, $projects, $sewn, $cloths),
            given: $given,
            not: $not,
            seasons: $this->seasons($year, $projects),
        );
    }

    /**
     * @param list<Project> $projects
     *
     * @return list<int> years of which there is something to say, the latest first
     */
    public function years(array $projects): array
    {
        $years = [];
        foreach ($projects as $project) {
            foreach ([...$project->log->sewing->stretches, ...$project->log->sewing->states] as $dated) {
                $years[] = (int) $dated->on->format('Y');
            }
        }
        $years = array_values(array_unique($years));
        rsort($years);

        return $years;
    }

    private function doneOn(Project $project): ?\DateTimeImmutable
    {
        return $project->log->sewing->since(ProjectState::Done) ?? $project->log->sewing->finding?->on;
    }

    /** Of its cloth, in the smallest coin; null when of any of it the length or the price is not known. */
    private function cost(Project $project): ?int
    {
        $cost = 0.0;
        $claims = array_merge(...array_map(static fn (Project $line): array => $line->current->claims, $project->lines()));
        foreach ($claims as $claim) {
            if (null === $claim->cloth?->purchase->pricePerMetre || null === $claim->used) {
                return null;
            }
            $cost += ($claim->used->micrometres * $claim->cloth->purchase->pricePerMetre) / 1e6;
        }

        return [] === $claims ? null : (int) round($cost);
    }

    /**
     * @param list<Project> $projects
     * @param list<Costed>  $sewn
     * @param list<Cloth>   $cloths
     *
     * @return list<Month>
     */
    private function months(int $year, array $projects, array $sewn, array $cloths): array
    {
        $stretches = array_merge([], ...array_map(static fn (Project $project): array => $project->log->sewing->stretches, $projects));
        $cuts = array_merge([], ...array_map(static fn (Cloth $cloth): array => $cloth->cuts, $cloths));
        $came = array_merge([], ...array_map($this->came(...), $cuts));
        $went = array_merge([], ...array_map($this->went(...), $cuts));
        $is = static fn (?\DateTimeImmutable $on, int $month): bool => $on?->format('Y-n') === $year.'-'.$month;

        return array_map(
            static fn (int $month): Month => new Month(
                $month,
                \count(array_filter($sewn, static fn (Costed $one): bool => $is($one->done, $month))),
                array_sum(array_map(static fn (TimeEntry $one): int => $is($one->on, $month) ? $one->minutes : 0, $stretches)),
                self::sum($came, $is, $month),
                self::sum($went, $is, $month),
            ),
            range(1, 12),
        );
    }

    /**
     * @param list<LedgerEntry>                        $moves
     * @param \Closure(?\DateTimeImmutable, int): bool $is
     */
    private static function sum(array $moves, \Closure $is, int $month): Length
    {
        $sum = Length::zero();
        foreach ($moves as $move) {
            $sum = $is($move->on, $month) && null !== $move->length ? $sum->plus($move->length) : $sum;
        }

        return $sum;
    }

    /** @return list<LedgerEntry> with the length that came: the first that was measured */
    private function came(Cut $cut): array
    {
        $came = [];
        $bought = null;
        foreach ($cut->ledger as $entry) {
            $bought = LedgerKind::Bought === $entry->kind ? $entry : $bought;
            if (null !== $bought && null !== $entry->length) {
                $came[] = new LedgerEntry($bought->on, $bought->kind, $entry->length);
                $bought = null;
            }
        }

        return $came;
    }

    /** @return list<LedgerEntry> with the length that went, as far as anybody knows it */
    private function went(Cut $cut): array
    {
        $entries = $cut->ledger;
        usort($entries, static fn (LedgerEntry $a, LedgerEntry $b): int => $a->on <=> $b->on);
        $before = $open = null;
        $went = [];
        foreach ($entries as $entry) {
            $left = $entry->length ?? ($entry->kind->takesAll() ? Length::zero() : null);
            // what was cut into without a figure went on that day; how much, the next measure tells
            $open ??= \in_array($entry->kind, self::OUT, true) ? $entry : null;
            if (null === $left) {
                continue;
            }
            if (null !== $open && true === $before?->minus($left)->isPositive()) {
                $went[] = new LedgerEntry($open->on, $open->kind, $before->minus($left));
            }
            [$before, $open] = [$left, null];
        }

        return $went;
    }

    /**
     * @param list<Project> $projects
     *
     * @return list<SeasonTold> the earliest first
     */
    private function seasons(int $year, array $projects): array
    {
        $bySeason = [];
        foreach ($projects as $project) {
            $season = $project->season;
            if (!$season->undated && (self::isIn($year, $season->starts) || self::isIn($year, $season->ends()))) {
                $bySeason['#'.$season->id][] = $project;
            }
        }
        $pace = Pace::of($projects);
        $told = array_map(static fn (array $of): SeasonTold => new SeasonTold(
            $of[0]->season,
            \count($of),
            \count(array_filter($of, static fn (Project $project): bool => ProjectState::Done === $project->log->state)),
            array_sum(array_map(static fn (Project $project): int => Hours::of($project, $pace)->all ?? 0, $of)),
            array_sum(array_map(static fn (Project $project): int => $project->log->sewing->spent(), $of)),
        ), array_values($bySeason));
        usort($told, static fn (SeasonTold $a, SeasonTold $b): int => $a->season->starts <=> $b->season->starts);

        return $told;
    }

    private static function isIn(int $year, ?\DateTimeImmutable $day): bool
    {
        return (int) $day?->format('Y') === $year;
    }
}

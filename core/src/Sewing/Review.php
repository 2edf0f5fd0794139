<?php

declare(strict_types=1);

namespace Octavum\Core\Sewing;

use Octavum\Core\Measure\Length;
use Octavum\Core\Project\Project;

/** A year looked back on. */
final readonly class Review
{
    /**
     * @param list<Costed>                               $sewn    done in it, the earliest first
     * @param list<Month>                                $months  all twelve
     * @param list<array{project: Project, why: string}> $given   up in it
     * @param list<Project>                              $not     of a season that ended in it, neither sewn nor given up
     * @param list<SeasonTold>                           $seasons that touch it, the earliest first
     */
    public function __construct(
        public int $year,
        public array $sewn,
        public array $months,
        public array $given,
        public array $not,
        public array $seasons,
    ) {
    }

    public function minutes(): int
    {
        return array_sum(array_map(static fn (Month $month): int => $month->minutes, $this->months));
    }

    public function in(): Length
    {
        return array_reduce($this->months, static fn (Length $sum, Month $month): Length => $sum->plus($month->in), Length::zero());
    }

    public function out(): Length
    {
        return array_reduce($this->months, static fn (Length $sum, Month $month): Length => $sum->plus($month->out), Length::zero());
    }

    /** In the smallest coin, of the garments of which it is known; null when it is of none. */
    public function averageCost(): ?int
    {
        $known = array_filter(array_map(static fn (Costed $one): ?int => $one->cost, $this->sewn), is_int(...));

        return [] === $known ? null : (int) round(array_sum($known) / \count($known));
    }

    public function hasAnything(): bool
    {
        return [] !== $this->sewn || [] !== $this->given || [] !== $this->not || [] !== $this->seasons || $this->minutes() > 0;
    }
}

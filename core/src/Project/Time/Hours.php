<?php

declare(strict_types=1);

namespace Octavum\Core\Project\Time;

use Octavum\Core\Measure\Sentence;
use Octavum\Core\Project\Log\Step;
use Octavum\Core\Project\Log\StepKind;
use Octavum\Core\Project\Project;

/** What a project takes, in minutes, and how that is made up. */
final readonly class Hours
{
    /**
     * @param list<Step> $steps    as Steps::of() gives them
     * @param int        $prepared tracing, cutting out and the like; 0 of what has none
     * @param int        $tried    toile and trying on
     * @param ?int       $said     the sewing as it is said, at nobody's pace; null when nobody has said
     * @param ?int       $all      from tracing to hem, at the sewist's pace
     * @param ?int       $left     of it, still to come
     * @param int        $spent    in its season so far
     */
    private function __construct(
        public array $steps,
        public Pace $pace,
        public int $prepared,
        public int $tried,
        public ?int $said,
        public ?int $all,
        public ?int $left,
        public int $spent,
    ) {
    }

    /** @param Pace $pace of whoever sews; a figure of their own for a project has it in it already */
    public static function of(Project $project, Pace $pace): self
    {
        $pace = null === $project->current->minutes ? $pace : Pace::asSaid();
        $steps = Steps::of($project);
        $prepared = $tried = $sewn = $left = $said = 0;
        $known = true;
        foreach ($steps as $step) {
            $minutes = self::taken($step, $pace);
            $known = $known && (null !== $minutes || !$step->kind->isSewing());
            $said += $step->kind->isSewing() ? $step->minutes ?? 0 : 0;
            $sewn += $step->kind->isSewing() ? $minutes ?? 0 : 0;
            $tried += \in_array($step->kind, [StepKind::Toile, StepKind::Fit], true) ? $minutes ?? 0 : 0;
            $prepared += $step->kind->isPreparation() && StepKind::Toile !== $step->kind ? $minutes ?? 0 : 0;
            $left += null === $step->done ? max(0, ($minutes ?? 0) - $project->log->sewing->spent($step->id)) : 0;
        }
        $left = max(0, $left - $project->log->sewing->spent(''));
        $season = $project->season;

        return new self(
            $steps,
            $pace,
            $prepared,
            tried: $tried,
            said: $known ? $said : null,
            all: $known ? $prepared + $tried + $sewn : null,
            left: $known ? $left : null,
            spent: $season->undated ? 0 : $project->log->sewing->spentBetween($season->starts, $season->ends()),
        );
    }

    /** What it takes of its season's hours: those spent in it, and those to come. */
    public function ofSeason(): ?int
    {
        return null === $this->left ? null : $this->spent + $this->left;
    }

    /** What a step takes at the sewist's pace; preparation and trying on are as they are said. */
    public function minutes(Step $step): ?int
    {
        return self::taken($step, $this->pace);
    }

    public function next(): ?Step
    {
        return Steps::next($this->steps);
    }

    /**
     * Minutes of it before a step can be begun.
     */
    public function before(Project $project, Step $until): int
    {
        $minutes = 0;
        foreach ($this->steps as $step) {
            if ($step->id === $until->id) {
                break;
            }
            $minutes += null === $step->done ? max(0, ($this->minutes($step) ?? 0) - $project->log->sewing->spent($step->id)) : 0;
        }

        return $minutes;
    }

    /** @return list<array{Sentence, int}> the arithmetic, its sum last; none when nobody has said how long it takes */
    public function working(): array
    {
        if (null === $this->all || null === $this->said || null === $this->left) {
            return [];
        }
        $lines = [[new Sentence('Sewing, as the pattern says'), $this->said]];
        $sewn = $this->all - $this->prepared - $this->tried;
        if ($sewn !== $this->said) {
            $lines[] = [
                new Sentence('Your pace, {pace} × the pattern’s hours, from {count, plural, one {# project} other {# projects}} done', [
                    'pace' => $this->pace->factor(),
                    'count' => $this->pace->projects,
                ]),
                $sewn - $this->said,
            ];
        }
        if ($this->prepared > 0) {
            $lines[] = [new Sentence('Paper, wash and cutting out'), $this->prepared];
        }
        if ($this->tried > 0) {
            $lines[] = [new Sentence('Toile and trying on'), $this->tried];
        }
        $lines[] = [new Sentence('In all'), $this->all];
        if ($this->left !== $this->all) {
            $lines[] = [new Sentence('Still to come'), $this->left];
        }

        return $lines;
    }

    private static function taken(Step $step, Pace $pace): ?int
    {
        return null !== $step->minutes && $step->kind->isSewing() ? $pace->applied($step->minutes) : $step->minutes;
    }
}

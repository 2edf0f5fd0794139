<?php

declare(strict_types=1);

namespace Octavum\Core\Sewing;

use Octavum\Core\Project\Log\ProjectState;
use Octavum\Core\Project\Log\Sewing;
use Octavum\Core\Project\Log\Step;
use Octavum\Core\Project\Log\StepKind;
use Octavum\Core\Project\Log\TimeEntry;
use Octavum\Core\Project\Log\Timer;
use Octavum\Core\Project\Project;
use Octavum\Core\Project\Time\Steps;

/** what becomes of the sewing of a project when somebody begins a step, pauses, or is done with it. */
final readonly class Progress
{
    /** With the template's steps as its own, where it had none yet. */
    private Sewing $sewing;

    public function __construct(private Project $project)
    {
        $this->sewing = $project->log->sewing->steps(Steps::of($project));
    }

    public function step(string $id): ?Step
    {
        foreach ($this->sewing->steps as $step) {
            if ($step->id === $id) {
                return $step;
            }
        }

        return null;
    }

    public function started(string $step, \DateTimeImmutable $now): Sewing
    {
        return $this->sewing->timed(new Timer($step, $now));
    }

    /** @param int $minutes since it was started, as far as they are believed */
    public function paused(int $minutes, \DateTimeImmutable $today): Sewing
    {
        $step = $this->sewing->timer->step ?? '';

        return $this->spent($step, $minutes, $today)->timed(null);
    }

    /** Minutes that were spent without the timer. */
    public function spent(string $step, int $minutes, \DateTimeImmutable $today): Sewing
    {
        $all = $this->sewing->stretches;
        if ($minutes > 0) {
            $all[] = new TimeEntry($today, $minutes, $step);
        }
        usort($all, static fn (TimeEntry $a, TimeEntry $b): int => $a->on <=> $b->on);

        return $this->sewing->stretches($all);
    }

    /** @param ?\DateTimeImmutable $today null when it is not done after all */
    public function done(string $id, ?\DateTimeImmutable $today): Sewing
    {
        return $this->sewing->steps(array_map(
            static fn (Step $step): Step => $step->id === $id ? $step->doneOn($today) : $step,
            $this->sewing->steps,
        ));
    }

    /** The state that its steps show; done it is only when somebody says so. */
    public function state(Sewing $sewing): ProjectState
    {
        $state = $this->project->log->state;
        if (!$state->isOpen()) {
            return $state;
        }
        $at = [$sewing->timer->step ?? '', ...array_map(static fn (TimeEntry $stretch): string => $stretch->step, $sewing->stretches)];
        $begun = array_filter(
            $sewing->steps,
            static fn (Step $step): bool => $step->kind->isSewing() && (null !== $step->done || \in_array($step->id, $at, true)),
        );
        $open = array_filter($sewing->steps, static fn (Step $step): bool => null === $step->done);
        $finishing = array_filter($open, static fn (Step $step): bool => StepKind::Finish === $step->kind);
        $cut = array_filter($sewing->steps, static fn (Step $step): bool => StepKind::CutOut === $step->kind && null !== $step->done);

        return match (true) {
            [] !== $begun && \count($open) === \count($finishing) => ProjectState::Finishing,
            [] !== $begun => ProjectState::Sewing,
            [] !== $cut && !$state->isCut() => ProjectState::Cut,
            ProjectState::Resting === $state, ProjectState::Idea === $state => ProjectState::Planned,
            default => $state,
        };
    }
}

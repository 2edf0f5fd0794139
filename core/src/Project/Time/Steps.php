<?php

declare(strict_types=1);

namespace Octavum\Core\Project\Time;

use Octavum\Core\Project\Log\ProjectState;
use Octavum\Core\Project\Log\Step;
use Octavum\Core\Project\Log\StepKind;
use Octavum\Core\Project\Project;

/** The steps of a project as they stand: its own, or the template's; what its state says is behind it counts as done. */
final readonly class Steps
{
    /** @return list<Step> in order */
    public static function of(Project $project): array
    {
        $steps = [] === $project->log->sewing->steps ? (new Template())->build($project) : $project->log->sewing->steps;
        $cut = $project->log->state->isCut() ? $project->log->sewing->since(ProjectState::Cut) ?? self::someDay() : null;
        $done = ProjectState::Done === $project->log->state ? $project->log->sewing->since(ProjectState::Done) ?? self::someDay() : null;

        $ready = ProjectState::Ready === $project->log->state ? $project->log->sewing->since(ProjectState::Ready) ?? self::someDay() : null;

        return array_map(static function (Step $step) use ($cut, $done, $ready): Step {
            $by = match (true) {
                StepKind::CutOut === $step->kind, StepKind::Wash === $step->kind => $cut ?? $done,
                $step->kind->isPreparation(), 'fit-toile' === $step->id => $ready ?? $cut ?? $done,
                default => $done,
            };

            return null === $step->done && null !== $by ? $step->doneOn($by) : $step;
        }, $steps);
    }

    /** @param list<Step> $steps */
    public static function next(array $steps): ?Step
    {
        foreach ($steps as $step) {
            if (null === $step->done && !$step->kind->isAtAnyTime()) {
                return $step;
            }
        }

        return null;
    }

    /** Of what is behind it without a day that anybody kept. */
    private static function someDay(): \DateTimeImmutable
    {
        return new \DateTimeImmutable('@0');
    }
}

<?php

declare(strict_types=1);

namespace Octavum\Core\Sewing;

use Octavum\Core\Season\Answer\ProjectAnswer;

/** The day by which each step to come is done, if the hours of the season are sewn as planned. */
final readonly class StepDays
{
    /** @return array<string, \DateTimeImmutable> by step; none below the chalk line, in no season, or once nothing is to come */
    public function find(ProjectAnswer $answer): array
    {
        $project = $answer->project;
        if ($project->season->undated || $answer->turn->below || !$project->log->state->takesHours()) {
            return [];
        }
        $days = [];
        $at = $answer->turn->from;
        foreach ($answer->hours->steps as $step) {
            if (null === $step->done) {
                $at += $answer->hours->minutes($step) ?? 0;
                $days[$step->id] = $project->season->doneOn(min($at, $answer->turn->to));
            }
        }

        return $days;
    }
}

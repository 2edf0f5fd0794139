<?php

declare(strict_types=1);

namespace Octavum\Core\Sewing;

use Octavum\Core\Measure\Sentence;
use Octavum\Core\Need\Verdict;
use Octavum\Core\Project\Log\ProjectState;
use Octavum\Core\Project\Log\Step;
use Octavum\Core\Project\Log\StepKind;
use Octavum\Core\Season\Answer\ProjectAnswer;
use Octavum\Core\Season\Answer\RoleAnswer;
use Octavum\Core\Season\Snag\Action;
use Octavum\Core\Season\Snag\Concern;
use Octavum\Core\Season\Snag\Severity;
use Octavum\Core\Season\Snag\Snag;

/** Finds the stops of a project from planned to worn, which of them are behind it, and which snags stand at which. */
final readonly class PathFinder
{
    /** @return non-empty-list<PathStop> in order */
    public function find(ProjectAnswer $answer): array
    {
        $state = $answer->project->log->state;
        $isDone = ProjectState::Done === $state;
        $isCut = $isDone || $this->isCut($answer);
        $at = [];
        foreach ($answer->snags as $snag) {
            $at[$this->stage($snag)->value][] = [$snag->severity, $snag->sentence];
        }
        $stop = static fn (PathStage $stage, bool $done): PathStop => new PathStop($stage, $done, $at[$stage->value] ?? []);

        return [
            $stop(PathStage::Planned, ProjectState::Idea !== $state),
            $stop(PathStage::Enough, $isCut || $this->isEnough($answer)),
            ...$this->hasCloth($answer) || isset($at[PathStage::Washed->value])
                ? [$stop(PathStage::Washed, $isCut || !isset($at[PathStage::Washed->value]))]
                : [],
            ...$this->steps($answer, PathStage::Toile),
            $stop(PathStage::BeforeCutting, $isCut),
            $stop(PathStage::CutOut, $isCut),
            ...$this->steps($answer, PathStage::Step),
            $stop(PathStage::Worn, $isDone && [] !== $answer->project->log->sewing->worn),
        ];
    }

    /** Whether the scissors have been through all of its cloth. */
    public function isCut(ProjectAnswer $answer): bool
    {
        $uncut = array_filter($answer->roles, static fn (RoleAnswer $role): bool => !$role->claim->cutOut);

        return [] === $answer->roles ? $answer->project->log->state->isCut() : [] === $uncut;
    }

    private function isEnough(ProjectAnswer $answer): bool
    {
        foreach ($answer->roles as $role) {
            if (!\in_array($role->verdict, [null, Verdict::Fits, Verdict::Tight], true)) {
                return false;
            }
        }

        return [] !== $answer->roles;
    }

    private function hasCloth(ProjectAnswer $answer): bool
    {
        return [] !== array_filter($answer->roles, static fn (RoleAnswer $role): bool => null !== $role->claim->cut);
    }

    /** @return list<PathStop> the steps of a toile before the scissors, or those of the sewing after them */
    private function steps(ProjectAnswer $answer, PathStage $stage): array
    {
        $stops = [];
        $waits = new WhatWaits();
        $isAfter = false;
        foreach ($answer->hours->steps as $step) {
            $isAfter = $isAfter || StepKind::CutOut === $step->kind;
            $isStop = PathStage::Toile === $stage
                ? !$isAfter && StepKind::Toile === $step->kind
                : !$step->kind->isPreparation() && ($isAfter || StepKind::Fit !== $step->kind);
            if ($isStop) {
                $stops[] = new PathStop($stage, null !== $step->done, $this->pins($waits, $answer, $step), $step->name);
            }
        }

        return $stops;
    }

    /** @return list<array{Severity, Sentence}> */
    private function pins(WhatWaits $waits, ProjectAnswer $answer, Step $step): array
    {
        $why = null === $step->done ? $waits->why($answer, $step) : null;

        return null === $why ? [] : [[Severity::Tight, $why]];
    }

    private function stage(Snag $snag): PathStage
    {
        return match (true) {
            \in_array($snag->action, [Action::MarkWashed, Action::MarkSteamed], true) => PathStage::Washed,
            // washed, and not measured since; a length that nobody knows is graver
            Action::MeasureLength === $snag->action && Severity::Note === $snag->severity => PathStage::Washed,
            Action::EnterTable === $snag->action => PathStage::Enough,
            Action::MoveRank === $snag->action => PathStage::Worn,
            \in_array($snag->action->concern(), [Concern::Pattern, Concern::Notions], true) => PathStage::BeforeCutting,
            default => PathStage::Enough,
        };
    }
}

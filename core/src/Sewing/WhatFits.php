<?php

declare(strict_types=1);

namespace Octavum\Core\Sewing;

use Octavum\Core\Project\Log\Step;
use Octavum\Core\Project\Log\StepKind;
use Octavum\Core\Season\Answer\ProjectAnswer;

/** What can be done now in the time there is: the next step of each project, and the wash, which waits for no other step. */
final readonly class WhatFits
{
    /** @var list<Doable> what can be done now, whatever it takes */
    private array $doable;

    /** @var list<Waiting> */
    public array $waiting;

    /** @param list<ProjectAnswer> $answers in the order in which they are offered */
    public function __construct(array $answers)
    {
        $waits = new WhatWaits();
        $doable = $waiting = [];
        foreach ($answers as $answer) {
            foreach ($this->candidates($answer) as $step) {
                $why = $waits->why($answer, $step);
                if (null === $why) {
                    $doable[] = $this->doable($answer, $step);
                } else {
                    $waiting[] = new Waiting($answer, $step, $why);
                }
            }
        }
        $this->doable = $doable;
        $this->waiting = $waiting;
    }

    /** @return list<Doable> that are done within so many minutes; what nobody knows the minutes of is not among them */
    public function within(int $minutes): array
    {
        return array_values(array_filter(
            $this->doable,
            static fn (Doable $one): bool => null !== $one->minutes && $one->minutes <= $minutes,
        ));
    }

    /** @return list<Doable> of which only a part would be done in that time, or nobody knows */
    public function longer(int $minutes): array
    {
        return array_values(array_filter(
            $this->doable,
            static fn (Doable $one): bool => null === $one->minutes || $one->minutes > $minutes,
        ));
    }

    /** @return list<Step> */
    private function candidates(ProjectAnswer $answer): array
    {
        $next = $answer->hours->next();
        $open = array_filter(
            $answer->hours->steps,
            static fn (Step $step): bool => null === $step->done && ($step === $next || $step->kind->isAtAnyTime()),
        );
        // a cloth that is not washed is not cut
        $unwashed = StepKind::CutOut === $next?->kind && \count($open) > 1;

        return array_values($unwashed ? array_filter($open, static fn (Step $step): bool => $step !== $next) : $open);
    }

    private function doable(ProjectAnswer $answer, Step $step): Doable
    {
        $minutes = $answer->hours->minutes($step);
        $after = false;
        $then = null;
        foreach ($answer->hours->steps as $one) {
            $then ??= $after && null === $one->done && $one !== $step ? $one : null;
            $after = $after || $one === $step;
        }

        return new Doable(
            $answer,
            $step,
            null === $minutes ? null : max(1, $minutes - $answer->project->log->sewing->spent($step->id)),
            $then,
        );
    }
}

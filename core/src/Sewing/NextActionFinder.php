<?php

declare(strict_types=1);

namespace Octavum\Core\Sewing;

use Octavum\Core\Need\Verdict;
use Octavum\Core\Project\Log\ProjectState;
use Octavum\Core\Project\Log\StepKind;
use Octavum\Core\Season\Answer\ProjectAnswer;
use Octavum\Core\Season\Answer\RoleAnswer;
use Octavum\Core\Season\Snag\Severity;
use Octavum\Core\Season\Snag\Snag;

/** Finds what brings a project on: cloth enough, then the checks before cutting, then its steps, then how it turned out. */
final readonly class NextActionFinder
{
    /** Null for what is given up, or done and told. */
    public function find(ProjectAnswer $answer): ?NextAction
    {
        $log = $answer->project->log;
        if (ProjectState::GivenUp === $log->state) {
            return null;
        }
        if (ProjectState::Done === $log->state) {
            return null === $log->sewing->finding ? new NextAction(NextKind::TellFinding) : null;
        }
        $role = $this->leading($answer);

        return match (true) {
            ProjectState::Idea === $log->state => new NextAction(NextKind::PlanIt),
            null !== $role => $this->forCloth($answer, $role),
            [] === $answer->roles && !$log->state->isCut() => new NextAction(NextKind::ChooseCloth),
            default => $this->forSewing($answer),
        };
    }

    /** The role that is not cut out yet and has the gravest verdict, the first of several. */
    public function leading(ProjectAnswer $answer): ?RoleAnswer
    {
        $leading = null;
        foreach ($answer->roles as $role) {
            $isGraver = null !== $role->verdict
                && (null === $leading?->verdict
                    || ($leading->verdict !== $role->verdict && $role->verdict === $leading->verdict->graver($role->verdict)));
            $leading = $isGraver ? $role : $leading;
        }

        return $leading;
    }

    private function forCloth(ProjectAnswer $answer, RoleAnswer $role): NextAction
    {
        $unknown = array_values(array_filter(
            [...$role->snags, ...$answer->snags],
            static fn (Snag $snag): bool => Severity::NotKnown === $snag->severity,
        ));

        return match (true) {
            $role->isEnoughLaid() => new NextAction(NextKind::KeepLay, $role),
            Verdict::Short === $role->verdict => new NextAction(NextKind::MakeEnough, $role),
            null === $role->claim->cut && null === $role->claim->wish => new NextAction(NextKind::ChooseCloth, $role),
            Verdict::NotKnown === $role->verdict && [] !== $unknown => new NextAction(NextKind::ClearSnag, $role, $unknown[0]),
            Verdict::ToBuy === $role->verdict => new NextAction(NextKind::Buy, $role),
            null === $role->claim->cut => new NextAction(NextKind::ChooseCloth, $role),
            StepKind::Toile === $answer->hours->next()?->kind => new NextAction(NextKind::SewStep, step: $answer->hours->next()),
            default => new NextAction(NextKind::PassGate, $role),
        };
    }

    private function forSewing(ProjectAnswer $answer): NextAction
    {
        $step = $answer->hours->next();

        return null === $step ? new NextAction(NextKind::TellFinding) : new NextAction(NextKind::SewStep, step: $step);
    }
}

<?php

declare(strict_types=1);

namespace Octavum\Core\Season\Snag;

use Octavum\Core\Measure\Sentence;
use Octavum\Core\Notion\NotionAnswer;
use Octavum\Core\Piece\Role;
use Octavum\Core\Project\Log\Step;
use Octavum\Core\Project\Log\StepKind;
use Octavum\Core\Project\Project;
use Octavum\Core\Project\Time\Hours;
use Octavum\Core\Project\Time\Turn;

/** Hours nobody has said, a deadline that is missed, and what comes after its turn. */
final readonly class TimeSnags
{
    /**
     * @param list<NotionAnswer> $notions it asks for
     *
     * @return list<Snag>
     */
    public function find(Turn $turn, array $notions = []): array
    {
        [$project, $hours, $from] = [$turn->project, $turn->hours, $turn->from];

        return $project->season->undated || !$project->log->state->takesHours() ? [] : [
            ...$this->hours($project, $hours),
            ...$this->deadline($project, $turn->to),
            ...$this->waits($turn),
            ...$this->parcels($project, $hours, $from),
            ...$this->notions($project, $hours, $from, $notions),
        ];
    }

    /** @return list<Snag> */
    private function hours(Project $project, Hours $hours): array
    {
        $sentence = new Sentence('{project}: the hours are not set, so none are counted.', ['project' => $project->name]);

        return null !== $hours->all || $project->season->isCounted()
            ? []
            : [new Snag(Severity::Note, $sentence, Action::ChooseInProject, $project->id)];
    }

    /** @return list<Snag> */
    private function deadline(Project $project, int $to): array
    {
        $late = $project->daysLate($project->season->doneOn($to));
        if (0 === $late) {
            return [];
        }
        $sentence = new Sentence(
            '{project} would be done {days, plural, one {# day} other {# days}} after its deadline at this place in the list.',
            ['project' => $project->name, 'days' => $late],
        );

        return [new Snag($project->brief->dates->soft ? Severity::Note : Severity::Short, $sentence, Action::MoveRank, $project->id)];
    }

    /** @return list<Snag> hours that nothing takes, since it may not be begun sooner */
    private function waits(Turn $turn): array
    {
        $project = $turn->project;

        return 0 === $turn->free ? [] : [
            new Snag(
                Severity::Note,
                new Sentence('{project} cannot begin before {day}: {hours} of sewing before it are free. Move something up.', [
                    'project' => $project->name,
                    'day' => $project->brief->dates->notBefore ?? $project->season->starts,
                    'hours' => new Sentence('{hours} h', ['hours' => (string) (round($turn->free / 30) / 2)]),
                ]),
                Action::ChooseInProject,
                $project->id,
            ),
        ];
    }

    /**
     * Cloth that comes after the step that needs it; ribbing that is sewn on last may come later than the rest.
     *
     * @return list<Snag>
     */
    private function parcels(Project $project, Hours $hours, int $from): array
    {
        $snags = [];
        foreach ($project->current->claims as $claim) {
            $comes = $claim->comes();
            $step = null === $comes ? null : $this->needing($hours->steps, $claim->role);
            if (null !== $comes && null !== $step) {
                $sentence = $this->late($project, $hours, $from, step: $step, what: $claim->cloth->name ?? '', comes: $comes);
                $snags = [...$snags, ...null === $sentence ? [] : [new Snag(Severity::Tight, $sentence, Action::MoveRank, $project->id)]];
            }
        }

        return $snags;
    }

    /**
     * Notions likewise: of a step that says it needs them, else of the first that is sewn.
     *
     * @param list<NotionAnswer> $notions
     *
     * @return list<Snag>
     */
    private function notions(Project $project, Hours $hours, int $from, array $notions): array
    {
        $snags = [];
        foreach ($notions as $notion) {
            $step = null === $notion->comes ? null : $this->first(
                $hours->steps,
                static fn (Step $step): bool => \in_array($notion->wanted->kind, $step->needs, true),
                static fn (Step $step): bool => $step->kind->isSewing(),
            );
            if (null !== $notion->comes && null !== $step) {
                $sentence = $this->late($project, $hours, $from, step: $step, what: $notion->text, comes: $notion->comes);
                $snags = [
                    ...$snags,
                    ...null === $sentence ? [] : [new Snag(Severity::Tight, $sentence, Action::BuyNotions, $project->season->id)],
                ];
            }
        }

        return $snags;
    }

    /** What comes after the day on which a step is about to be begun; null when it is there by then. */
    private function late(
        Project $project,
        Hours $hours,
        int $from,
        Step $step,
        string $what,
        \DateTimeImmutable $comes,
    ): ?Sentence {
        $wanted = $project->season->dayAfter($from + ($project->season->isCounted() ? 0 : $hours->before($project, $step)));

        return $comes <= $wanted ? null : new Sentence(
            '{project}: {cloth} comes about {day}, {days, plural, one {# day} other {# days}} after “{step}”, about {wanted}.',
            [
                'project' => $project->name,
                'cloth' => $what,
                'day' => $comes,
                'days' => max(1, $wanted->diff($comes)->days),
                'step' => $step->name,
                'wanted' => $wanted,
            ],
        );
    }

    /**
     * The first step that is to come and needs a role: the one that says so, else the cutting out; null when all of that is done.
     *
     * @param list<Step> $steps
     */
    private function needing(array $steps, Role $role): ?Step
    {
        return $this->first(
            $steps,
            static fn (Step $step): bool => \in_array($role, $step->cloths, true),
            static fn (Step $step): bool => StepKind::CutOut === $step->kind,
            static fn (Step $step): bool => $step->kind->isSewing(),
        );
    }

    /**
     * The first step that is to come and is such a one; where there is none, of the next kind.
     *
     * @param list<Step>           $steps
     * @param \Closure(Step): bool ...$kinds
     */
    private function first(array $steps, \Closure ...$kinds): ?Step
    {
        foreach ($kinds as $is) {
            foreach ($steps as $step) {
                if (null === $step->done && $is($step)) {
                    return $step;
                }
            }
        }

        return null;
    }
}

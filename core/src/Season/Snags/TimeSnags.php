<?php

declare(strict_types=1);

namespace Octavum\Core\Season\Snags;

use Octavum\Core\Cloth\CutState;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Season\Action;
use Octavum\Core\Season\Claim;
use Octavum\Core\Season\Project;
use Octavum\Core\Season\Severity;
use Octavum\Core\Season\Snag;

/** Hours nobody has said, a deadline that is missed, and cloth that comes after its turn. */
final readonly class TimeSnags
{
    /**
     * @param int $from minutes of sewing before it
     * @param int $to   minutes of sewing when it is done
     *
     * @return list<Snag>
     */
    public function of(Project $project, int $from, int $to): array
    {
        return $project->season->undated ? [] : [
            ...$this->hours($project),
            ...$this->deadline($project, $to),
            ...$this->tooEarly($project, $from),
            ...$this->parcels($project, $from),
        ];
    }

    /** @return list<Snag> */
    private function hours(Project $project): array
    {
        $sentence = new Sentence('{project}: nobody has said how many hours it takes, so it counts none.', ['project' => $project->name]);

        return null !== $project->expectedMinutes() ? [] : [new Snag(Severity::Note, $sentence, Action::ChooseInProject, $project->id)];
    }

    /** @return list<Snag> */
    private function deadline(Project $project, int $to): array
    {
        $late = $project->daysLate($project->season->dayAfter($to));
        if (0 === $late) {
            return [];
        }
        $sentence = new Sentence('{project} would be done {days, plural, one {# day} other {# days}} after its deadline at this rank.', [
            'project' => $project->name,
            'days' => $late,
        ]);

        return [new Snag($project->soft ? Severity::Note : Severity::Short, $sentence, Action::MoveRank, $project->id)];
    }

    /** @return list<Snag> */
    private function tooEarly(Project $project, int $from): array
    {
        $begins = $project->season->dayAfter($from);

        return null === $project->notBefore || $begins >= $project->notBefore ? [] : [
            new Snag(
                Severity::Tight,
                new Sentence('{project} would begin about {start}, and cannot before {day}.', [
                    'project' => $project->name,
                    'start' => $begins,
                    'day' => $project->notBefore,
                ]),
                Action::ChooseInProject,
                $project->id,
            ),
        ];
    }

    /** @return list<Snag> */
    private function parcels(Project $project, int $from): array
    {
        $begins = $project->season->dayAfter($from);
        $late = array_filter(
            $project->claims,
            static fn (Claim $claim): bool => CutState::Ordered === $claim->cut?->state
                && null !== $claim->cut->expected
                && $claim->cut->expected > $begins,
        );

        return array_map(
            static fn (): Snag => new Snag(
                Severity::Tight,
                new Sentence('{project} begins about {start}, before its cloth is here.', [
                    'project' => $project->name,
                    'start' => $begins,
                ]),
                Action::MoveRank,
                $project->id,
            ),
            array_values($late),
        );
    }
}

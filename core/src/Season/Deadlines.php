<?php

declare(strict_types=1);

namespace Octavum\Core\Season;

use Octavum\Core\Measure\Sentence;

/**
 * Whether all deadlines of a season can be met: the earliest first, before anything else. If any order meets them all, this one
 * does (Jackson's rule, 1955). Deadlines that are wishes count for nothing, and hours nobody said take none.
 */
final readonly class Deadlines
{
    /** @return list<Due> the earliest deadline first; of one day in rank order */
    public function of(CheckedSeason $checked): array
    {
        $answers = array_values(array_filter(
            $checked->projects,
            static fn (ProjectAnswer $answer): bool => null !== $answer->project->deadline
                && !$answer->project->soft
                && !$answer->project->season->undated
                && $answer->project->state->takesHours(),
        ));
        usort($answers, static fn (ProjectAnswer $a, ProjectAnswer $b): int => $a->project->deadline <=> $b->project->deadline);
        $due = [];
        $minutes = 0;
        foreach ($answers as $answer) {
            $minutes += $answer->to - $answer->from;
            $done = $checked->season->dayAfter($minutes);
            $due[] = new Due($answer->project, $done, $answer->project->daysLate($done));
        }

        return $due;
    }

    /** What is to be said of them; nothing while the rank meets them all. */
    public function says(CheckedSeason $checked): ?Sentence
    {
        $due = $this->of($checked);
        $late = array_values(array_filter($due, static fn (Due $one): bool => $one->late > 0));
        $ends = [];
        foreach ($checked->projects as $answer) {
            $ends[$answer->project->id] = $checked->season->dayAfter($answer->to);
        }
        $missed = array_filter($due, static fn (Due $one): bool => $one->project->daysLate($ends[$one->project->id]) > 0);

        return match (true) {
            [] === $missed => null,
            [] === $late => new Sentence('All deadlines can be met: {projects} first, in this order.', [
                'projects' => implode(', ', array_map(static fn (Due $one): string => $one->project->name, $due)),
            ]),
            default => new Sentence(
                'Even with the earliest deadline first, {project} is done {days, plural, one {# day} other {# days}} late: fewer hours before it, or a later day.',
                ['project' => $late[0]->project->name, 'days' => $late[0]->late],
            ),
        };
    }
}

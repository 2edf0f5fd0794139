<?php

declare(strict_types=1);

namespace Octavum\Core\Season;

use Octavum\Core\Measure\Sentence;
use Octavum\Core\Project\Season;
use Octavum\Core\Season\Answer\CheckedSeason;
use Octavum\Core\Season\Answer\ProjectAnswer;

/**
 * Whether all deadlines of a season can be met: the earliest first, before anything else. If any order meets them all, this one
 * does (Jackson's rule, 1955; with work that is interrupted for what may be begun later and is due sooner, W. Horn, 1974). Deadlines
 * that are wishes count for nothing, and hours nobody said take none.
 */
final readonly class Deadlines
{
    /** @return list<Due> the earliest deadline first; of one day in rank order */
    public function check(CheckedSeason $checked): array
    {
        $answers = array_values(
            array_filter(
                $checked->projects,
                static fn (ProjectAnswer $answer): bool => null !== $answer->project->brief->dates->deadline
                    && !$answer->project->brief->dates->soft
                    && !$answer->project->season->undated
                    && $answer->project->log->state->takesHours(),
            ),
        );
        $deadline = static fn (ProjectAnswer $answer): ?\DateTimeImmutable => $answer->project->brief->dates->deadline;
        usort($answers, static fn (ProjectAnswer $a, ProjectAnswer $b): int => $deadline($a) <=> $deadline($b));
        $ends = $this->ends($answers, $checked->season);

        return array_map(static function (ProjectAnswer $answer) use ($ends, $checked): Due {
            $done = $checked->season->doneOn($ends['#'.$answer->project->id]);

            return new Due($answer->project, $done, $answer->project->daysLate($done));
        }, $answers);
    }

    /**
     * Of what may be begun, the earliest deadline first; what may be begun later takes its turn when its day comes.
     *
     * @param list<ProjectAnswer> $answers the earliest deadline first
     *
     * @return array<string, int> minutes of sewing when each is done, by # and project
     */
    private function ends(array $answers, Season $season): array
    {
        $left = $begins = $ends = [];
        foreach ($answers as $answer) {
            $project = $answer->project;
            $left['#'.$project->id] = $answer->turn->to - $answer->turn->from;
            $notBefore = $project->brief->dates->notBefore;
            $begins['#'.$project->id] = null === $notBefore ? 0 : $season->minutesBefore($notBefore);
        }
        $now = 0;
        while ([] !== $left) {
            $open = array_filter(
                $begins,
                static fn (int $begin, string $id): bool => isset($left[$id]) && $begin <= $now,
                \ARRAY_FILTER_USE_BOTH,
            );
            $later = array_filter($begins, static fn (int $begin): bool => $begin > $now);
            $id = array_key_first($open);
            if (null === $id) {
                $now = min([\PHP_INT_MAX, ...array_values($later)]);
                continue;
            }
            $spent = min($left[$id], [] === $later ? $left[$id] : min($later) - $now);
            $now += $spent;
            $left[$id] -= $spent;
            if (0 === $left[$id]) {
                $ends[$id] = $now;
                unset($left[$id]);
            }
        }

        return $ends;
    }

    /** What is to be said of them; nothing while the rank meets them all. */
    public function says(CheckedSeason $checked): ?Sentence
    {
        $due = $this->check($checked);
        $late = array_values(array_filter($due, static fn (Due $one): bool => $one->late > 0));
        $ends = [];
        foreach ($checked->projects as $answer) {
            $ends[$answer->project->id] = $checked->season->doneOn($answer->turn->to);
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

<?php

declare(strict_types=1);

namespace Octavum\Core\Season;

use Octavum\Core\Cloth\CutState;
use Octavum\Core\Measure\Sentence;

/** The days of a season: when each project is begun as the hours fall, what is due, and which parcels come. */
final readonly class Diary
{
    /** @return list<Dated> the earliest first */
    public function of(CheckedSeason $checked): array
    {
        $days = [];
        foreach ($checked->projects as $answer) {
            $project = $answer->project;
            $with = ['project' => $project->name];
            if (!$project->season->undated && !$answer->belowChalkLine && $project->state->takesHours()) {
                $begin = $project->season->dayAfter($answer->from);
                $begin = null !== $project->notBefore && $begin < $project->notBefore ? $project->notBefore : $begin;
                $days[] = new Dated('begin-'.$project->id, $begin, new Sentence('Begin {project}', $with));
            }
            if (null !== $project->deadline) {
                $due = new Sentence($project->soft ? '{project} would be nice by now' : '{project} is due', $with);
                $days[] = new Dated('due-'.$project->id, $project->deadline, $due);
            }
            foreach ($answer->roles as $role) {
                $cut = $role->claim->cut;
                if (CutState::Ordered === $cut?->state && null !== $cut->expected) {
                    $parcel = new Sentence('{cloth} is to come, for {project}', $with + ['cloth' => $role->claim->cloth->name ?? '']);
                    $days[] = new Dated('parcel-'.$role->claim->id, $cut->expected, $parcel);
                }
            }
        }
        usort($days, static fn (Dated $a, Dated $b): int => $a->on <=> $b->on);

        return $days;
    }
}

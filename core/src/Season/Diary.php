<?php

declare(strict_types=1);

namespace Octavum\Core\Season;

use Octavum\Core\Measure\Sentence;
use Octavum\Core\Season\Answer\CheckedSeason;

/** The days of a season: when each project is begun as the hours fall, what is due, and which parcels come. */
final readonly class Diary
{
    /** @return list<Dated> the earliest first */
    public function compile(CheckedSeason $checked): array
    {
        $days = [];
        foreach ($checked->projects as $answer) {
            $project = $answer->project;
            $with = ['project' => $project->name];
            if (!$project->season->undated && !$answer->turn->below && $project->log->state->takesHours()) {
                $begin = $project->season->dayAfter($answer->turn->from);
                $notBefore = $project->brief->dates->notBefore;
                $begin = null !== $notBefore && $begin < $notBefore ? $notBefore : $begin;
                $days[] = new Dated('begin-'.$project->id, $begin, new Sentence('Begin {project}', $with));
            }
            if (null !== $project->brief->dates->deadline) {
                $due = new Sentence($project->brief->dates->soft ? '{project} would be nice by now' : '{project} is due', $with);
                $days[] = new Dated('due-'.$project->id, $project->brief->dates->deadline, $due);
            }
            foreach ($answer->parcels() as $key => [$what, $comes]) {
                $days[] = new Dated($key, $comes, new Sentence('A parcel for {project}: {cloth}', $with + ['cloth' => $what]));
            }
        }
        usort($days, static fn (Dated $a, Dated $b): int => $a->on <=> $b->on);

        return $days;
    }
}

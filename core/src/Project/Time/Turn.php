<?php

declare(strict_types=1);

namespace Octavum\Core\Project\Time;

use Octavum\Core\Project\Project;

/** When a project has its turn, going down the list of a season: in minutes of sewing. */
final readonly class Turn
{
    /**
     * @param int  $free  minutes before it that nothing takes, since it may not be begun sooner
     * @param int  $from  minutes before it
     * @param int  $to    minutes when it is done
     * @param bool $below the hours of its season, or the count, run out before it is done
     */
    private function __construct(
        public Project $project,
        public Hours $hours,
        public int $free,
        public int $from,
        public int $to,
        public bool $below,
    ) {
    }

    /** Of a project that stands in no list. */
    public static function outside(Project $project, Pace $pace): self
    {
        return new self($project, Hours::of($project, $pace), 0, from: 0, to: 0, below: false);
    }

    /**
     * @param list<Project> $projects of one season, in its order
     *
     * @return list<self>
     */
    public static function of(array $projects, Pace $pace): array
    {
        $turns = [];
        $minutes = $count = 0;
        foreach ($projects as $project) {
            $season = $project->season;
            $isSewn = $project->log->state->takesHours();
            $hours = Hours::of($project, $pace);
            // what may not be begun sooner moves, and what follows with it
            $notBefore = $project->brief->dates->notBefore;
            $from = $isSewn && null !== $notBefore ? max($minutes, $season->minutesBefore($notBefore)) : $minutes;
            $to = $from + self::takes($project, $hours);
            $count += $isSewn ? 1 : 0;
            $below = !$season->undated && $isSewn && ($to > $season->minutes() || (null !== $season->most && $count > $season->most));
            $turns[] = new self($project, $hours, $from - $minutes, from: $from, to: $to, below: $below);
            $minutes = $to;
        }

        return $turns;
    }

    /** Minutes of its season; of one that is counted, a share of its time. */
    private static function takes(Project $project, Hours $hours): int
    {
        return match (true) {
            !$project->log->state->takesHours() => 0,
            $project->season->isCounted() => $project->season->eachOfCounted(),
            default => $hours->ofSeason() ?? 0,
        };
    }
}

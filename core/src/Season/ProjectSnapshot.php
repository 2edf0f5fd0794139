<?php

declare(strict_types=1);

namespace Octavum\Core\Season;

use Octavum\Core\Need\Verdict;
use Octavum\Core\Season\Answer\CheckedSeason;

/** How a project stands, in as few words as it takes to tell later what a change did to it. */
final readonly class ProjectSnapshot
{
    /** @param int $late days past its deadline; nought when in time, or without one */
    public function __construct(public int $late, public bool $below, public ?Verdict $verdict)
    {
    }

    /** @return array<string, self> by project */
    public static function all(CheckedSeason $checked): array
    {
        $all = [];
        foreach ($checked->projects as $answer) {
            $project = $answer->project;
            $late = $project->season->undated || !$project->log->state->takesHours()
                ? 0
                : $project->daysLate($project->season->doneOn($answer->turn->to));
            $all['#'.$project->id] = new self($late, $answer->turn->below, $answer->verdict);
        }

        return $all;
    }

    /** @return array{int, bool, ?string} to be kept until the next look */
    public function packed(): array
    {
        return [$this->late, $this->below, $this->verdict?->value];
    }

    /** @param mixed $packed as packed() gave it; null of anything else */
    public static function unpacked(mixed $packed): ?self
    {
        return \is_array($packed) && \is_int($packed[0] ?? null) && \is_bool($packed[1] ?? null)
            ? new self($packed[0], $packed[1], \is_string($packed[2] ?? null) ? Verdict::tryFrom($packed[2]) : null)
            : null;
    }
}

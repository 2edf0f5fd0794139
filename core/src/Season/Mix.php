<?php

declare(strict_types=1);

namespace Octavum\Core\Season;

use Octavum\Core\Season\Answer\CheckedSeason;

/** What a season's garments are wanted for, and by whom. */
final readonly class Mix
{
    /**
     * @param array<string, int> $purposes number of garments; '' of those of which nobody said
     * @param array<string, int> $people   by name, the most first; '' likewise
     */
    private function __construct(public array $purposes, public array $people)
    {
    }

    public static function of(CheckedSeason $checked): self
    {
        $purposes = ['practical' => 0, 'just for joy' => 0, '' => 0];
        $people = [];
        foreach ($checked->projects as $answer) {
            $project = $answer->project;
            if ($project->log->state->takesHours()) {
                ++$purposes[$project->brief->purpose->value ?? ''];
                foreach ($project->lines() as $line) {
                    $name = $line->brief->person->name ?? '';
                    $people[$name] = ($people[$name] ?? 0) + 1;
                }
            }
        }
        arsort($people);

        return new self($purposes, $people);
    }

    public function isSaid(): bool
    {
        return $this->purposes['practical'] + $this->purposes['just for joy'] > 0 || \count($this->people) > 1;
    }
}

<?php

declare(strict_types=1);

namespace Octavum\Core\Season;

use Octavum\Core\Measure\Figure;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Need\Verdict;
use Octavum\Core\Season\Answer\CheckedSeason;
use Octavum\Core\Season\Answer\ProjectAnswer;

/** What a move did to a season's projects: who is late now, or in time, who fell below the chalk line, whose cloth is short. */
final readonly class WhatChanged
{
    /**
     * @param array<string, ProjectSnapshot> $before as Standing::all() gave it
     *
     * @return list<Sentence> what it costs first, then what it wins
     */
    public function since(array $before, CheckedSeason $now): array
    {
        $costs = $wins = [];
        $standing = ProjectSnapshot::all($now);
        foreach ($now->projects as $answer) {
            $key = '#'.$answer->project->id;
            if (isset($before[$key], $standing[$key])) {
                foreach ($this->of($answer, $before[$key], $standing[$key]) as [$costly, $sentence]) {
                    if ($costly) {
                        $costs[] = $sentence;
                    } else {
                        $wins[] = $sentence;
                    }
                }
            }
        }

        return [...$costs, ...$wins];
    }

    /** @return list<array{bool, Sentence}> whether it costs something, and what */
    private function of(ProjectAnswer $answer, ProjectSnapshot $was, ProjectSnapshot $is): array
    {
        $with = ['project' => $answer->project->name];
        $late = $with + ['days' => $is->late, 'was' => $was->late];
        $says = [];
        if ($is->late !== $was->late) {
            $says[] = [$is->late > $was->late, match (true) {
                0 === $is->late => new Sentence('{project} is in time now.', $late),
                0 === $was->late => new Sentence('{project} is {days, plural, one {# day} other {# days}} late now.', $late),
                default => new Sentence('{project} is {days, plural, one {# day} other {# days}} late now, not {was}.', $late),
            }];
        }
        if ($is->below !== $was->below) {
            $says[] = [$is->below, $is->below
                ? new Sentence('{project} falls below the chalk line.', $with)
                : new Sentence('{project} comes above the chalk line.', $with)];
        }
        if ($is->verdict !== $was->verdict && null !== $is->verdict) {
            $says[] = [Verdict::Fits !== $is->verdict, $this->cloth($answer, $is->verdict)];
        }

        return $says;
    }

    private function cloth(ProjectAnswer $answer, Verdict $verdict): Sentence
    {
        foreach ($answer->roles as $role) {
            if (Verdict::Short === $verdict && null !== $role->missing()) {
                return new Sentence('{project} is {length} short now.', [
                    'project' => $answer->project->name,
                    'length' => Figure::needed($role->missing()),
                ]);
            }
        }

        return new Sentence('The cloth of {project}: {verdict} now.', [
            'project' => $answer->project->name,
            'verdict' => new Sentence($verdict->value),
        ]);
    }
}

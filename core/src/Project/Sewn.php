<?php

declare(strict_types=1);

namespace Octavum\Core\Project;

use Octavum\Core\Body\Person;
use Octavum\Core\Match\Criteria\MadeBefore;
use Octavum\Core\Project\Log\ProjectState;

/** What the projects of all seasons tell of who is sewn for, in which sizes, and what was made before. */
final readonly class Sewn
{
    /** @param list<Project> $projects */
    public function __construct(private array $projects)
    {
    }

    /**
     * Who is sewn for most.
     *
     * @param array<string, Person> $people by id
     */
    public function mostFor(array $people): ?Person
    {
        $count = array_fill_keys(array_keys($people), 0);
        foreach ($this->projects as $project) {
            if (isset($count[$project->brief->person->id ?? ''])) {
                ++$count[$project->brief->person->id ?? ''];
            }
        }
        arsort($count);

        return $people[array_key_first($count) ?? ''] ?? null;
    }

    /** @return list<string> sizes sewn for a person, the most usual first */
    public function usual(?Person $person): array
    {
        $sizes = [];
        foreach ($this->projects as $project) {
            if ($project->brief->person?->id === $person?->id && null !== $project->current->size) {
                $sizes[] = $project->current->size;
            }
        }
        $count = array_count_values($sizes);
        arsort($count);

        return array_map(strval(...), array_keys($count));
    }

    /** @return array<string, list<MadeBefore>> what was sewn of each pattern, and how it turned out */
    public function made(): array
    {
        $made = [];
        foreach ($this->projects as $project) {
            foreach (ProjectState::Done === $project->log->state ? $project->lines() : [] as $line) {
                if (null !== $line->current->pattern && null !== $line->current->version) {
                    $made[$line->current->pattern->id][] = $this->before($project, $line, $line->current->version->id);
                }
            }
        }

        return $made;
    }

    private function before(Project $project, Project $line, string $version): MadeBefore
    {
        $finding = $project->log->sewing->finding;
        $on = $finding->on ?? $project->log->sewing->since(ProjectState::Done);

        $person = $line->brief->person?->id;

        return new MadeBefore(
            $version,
            $person,
            $line->largestSize(),
            isGood: $finding?->isGood(),
            words: $finding?->words() ?? '',
            on: $on,
        );
    }
}

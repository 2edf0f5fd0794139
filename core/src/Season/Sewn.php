<?php

declare(strict_types=1);

namespace Octavum\Core\Season;

use Octavum\Core\Body\Person;

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
            if (isset($count[$project->person->id ?? ''])) {
                ++$count[$project->person->id ?? ''];
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
            if ($project->person?->id === $person?->id && null !== $project->size) {
                $sizes[] = $project->size;
            }
        }
        $count = array_count_values($sizes);
        arsort($count);

        return array_map(strval(...), array_keys($count));
    }

    /** @return array<string, int> how often each pattern was made */
    public function made(): array
    {
        $made = [];
        foreach ($this->projects as $project) {
            if (null !== $project->pattern && ProjectState::Done === $project->state) {
                $made[$project->pattern->id] = ($made[$project->pattern->id] ?? 0) + 1;
            }
        }

        return $made;
    }
}

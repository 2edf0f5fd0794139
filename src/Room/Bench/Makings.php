<?php

declare(strict_types=1);

namespace Octavum\Room\Bench;

use Octavum\Account\Account;
use Octavum\Account\AccountSettings;
use Octavum\Core\Body\Person;
use Octavum\Core\Match\Making;
use Octavum\Core\Pattern\Pattern;
use Octavum\Core\Pattern\Version;
use Octavum\Core\Season\Project;
use Octavum\Core\Season\ProjectState;
use Octavum\Store\Library;
use Octavum\Store\Plan;

/** What an account could make: the versions in the house, in the size each comes in for a person. */
final readonly class Makings
{
    public function __construct(private Library $library, private Plan $plan, private AccountSettings $settings)
    {
    }

    /** @return list<Making> */
    public function of(Account $account, ?Person $person, Filter $filter): array
    {
        $projects = $this->plan->drawn($account);
        $usual = $this->usual($projects, $person);
        $sewist = $this->settings->of($account)->sewist->having($this->made($projects), $filter->days);
        $makings = [];
        foreach ($this->library->all($account) as $pattern) {
            foreach ($pattern->versions as $version) {
                $making = Making::of($pattern, $version, $person, $sewist, $usual);
                if ($filter->lets($making)) {
                    $makings[] = $making;
                }
            }
        }

        return $makings;
    }

    public function one(Account $account, Pattern $pattern, Version $version, ?Person $person): Making
    {
        $projects = $this->plan->drawn($account);

        $sewist = $this->settings->of($account)->sewist->having($this->made($projects));

        return Making::of($pattern, $version, $person, $sewist, $this->usual($projects, $person));
    }

    /**
     * Who was asked for, or is sewn for most.
     *
     * @param array<string, Person> $people by id
     */
    public function person(Account $account, array $people, string $asked): ?Person
    {
        $count = array_fill_keys(array_keys($people), 0);
        foreach ($this->plan->drawn($account) as $project) {
            if (isset($count[$project->person->id ?? ''])) {
                ++$count[$project->person->id ?? ''];
            }
        }
        arsort($count);

        return $people[$asked] ?? $people[array_key_first($count) ?? ''] ?? null;
    }

    /**
     * @param list<Project> $projects
     *
     * @return list<string> sizes sewn for a person, the most usual first
     */
    private function usual(array $projects, ?Person $person): array
    {
        $sizes = [];
        foreach ($projects as $project) {
            if ($project->person?->id === $person?->id && null !== $project->size) {
                $sizes[] = $project->size;
            }
        }
        $count = array_count_values($sizes);
        arsort($count);

        return array_map(strval(...), array_keys($count));
    }

    /**
     * @param list<Project> $projects
     *
     * @return array<string, int> how often each pattern was made
     */
    private function made(array $projects): array
    {
        $made = [];
        foreach ($projects as $project) {
            if (null !== $project->pattern && ProjectState::Finished === $project->state) {
                $made[$project->pattern->id] = ($made[$project->pattern->id] ?? 0) + 1;
            }
        }

        return $made;
    }
}

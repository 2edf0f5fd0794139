<?php

declare(strict_types=1);

namespace Octavum\Core\Season\Lists;

use Octavum\Core\Project\Project;

/** A list beside the seasons: nine for the year, a challenge with a rule and a closing day, a series, someday. */
final readonly class SewingList
{
    /**
     * @param ?int         $target   how many are meant
     * @param string       $subject  of its rule: the sewist's own name (for others than …), makers with commas, or a pattern's title
     * @param list<string> $projects ids, in the order they were put on it
     */
    public function __construct(
        public string $id,
        public string $name,
        public ListDates $dates = new ListDates(),
        public ?int $target = null,
        public ?ListRule $rule = null,
        public string $subject = '',
        public array $projects = [],
        public string $notes = '',
    ) {
    }

    /** @param list<string> $projects ids: others are left out */
    public function withKnown(array $projects): self
    {
        return new self(
            $this->id,
            $this->name,
            $this->dates,
            target: $this->target,
            rule: $this->rule,
            subject: $this->subject,
            projects: array_values(array_intersect($this->projects, $projects)),
            notes: $this->notes,
        );
    }

    /**
     * How it stands.
     *
     * @param list<Project> $all of the workroom; ids that are not among them are passed over
     */
    public function answer(array $all): ListAnswer
    {
        $byId = [];
        foreach ($all as $project) {
            $byId['#'.$project->id] = $project;
        }
        $rows = [];
        foreach ($this->projects as $id) {
            if (isset($byId['#'.$id])) {
                $project = $byId['#'.$id];
                $without = $project->log->state->isOpen() && !$this->hasCloth($project);
                $rows[] = new ListRow($project, $without, (new ListBreach())->find($this, $project));
            }
        }

        return new ListAnswer($this, $rows);
    }

    private function hasCloth(Project $project): bool
    {
        foreach ($project->current->claims as $claim) {
            if (null === $claim->cut && null === $claim->wish && !$claim->cutOut) {
                return false;
            }
        }

        return [] !== $project->current->claims;
    }
}

<?php

declare(strict_types=1);

namespace Octavum\Core\Workroom;

use Octavum\Core\Body\Person;
use Octavum\Core\Cloth\Cloth;
use Octavum\Core\Laid\SavedLay;
use Octavum\Core\Match\Overrule;
use Octavum\Core\Notion\Notion;
use Octavum\Core\Pattern\Pattern;
use Octavum\Core\Pattern\Version;
use Octavum\Core\Project\Project;
use Octavum\Core\Project\Season;
use Octavum\Core\Season\Lists\SewingList;

/** Everything one sewist has and plans. */
final readonly class Workroom
{
    /**
     * @param list<Person>     $people
     * @param list<Cloth>      $cloths
     * @param list<Pattern>    $patterns
     * @param list<Season>     $seasons
     * @param list<Project>    $projects
     * @param list<SavedLay>   $lays
     * @param list<Notion>     $notions
     * @param list<SewingList> $lists
     * @param list<Overrule>   $overrules
     * @param int              $unjudged  how many of its lays there was no time to judge, and which count as not sound
     */
    public function __construct(
        public string $name,
        public Settings $settings,
        public array $people = [],
        public array $cloths = [],
        public array $patterns = [],
        public array $seasons = [],
        public array $projects = [],
        public array $lays = [],
        public array $notions = [],
        public array $lists = [],
        public array $overrules = [],
        public int $unjudged = 0,
    ) {
    }

    /** Without what its lists and lays name that is not in it, as what was taken out of it is not. */
    public function withKnownReferences(): self
    {
        $projects = array_map(static fn (Project $project): string => $project->id, $this->projects);
        $versions = array_merge(...array_map(
            static fn (Pattern $pattern): array => array_map(static fn (Version $version): string => $version->id, $pattern->versions),
            $this->patterns,
        ));

        return new self(
            $this->name,
            $this->settings,
            $this->people,
            cloths: $this->cloths,
            patterns: $this->patterns,
            seasons: $this->seasons,
            projects: $this->projects,
            lays: array_map(static fn (SavedLay $lay): SavedLay => $lay->withKnown($projects, $versions), $this->lays),
            notions: $this->notions,
            lists: array_map(static fn (SewingList $list): SewingList => $list->withKnown($projects), $this->lists),
            overrules: $this->overrules,
            unjudged: $this->unjudged,
        );
    }

    /** The season with the most projects to sew, of several the latest: the one to look at first. Null without one. */
    public function fullest(): ?Season
    {
        $count = fn (Season $season): int => \count(array_filter(
            $this->projects,
            static fn (Project $project): bool => $project->season->id === $season->id && $project->log->state->takesHours(),
        ));
        $seasons = $this->seasons;
        usort($seasons, static fn (Season $a, Season $b): int => [$count($b), $b->starts] <=> [$count($a), $a->starts]);

        return $seasons[0] ?? null;
    }
}

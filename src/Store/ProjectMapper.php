<?php

declare(strict_types=1);

namespace Octavum\Store;

use Octavum\Core\Cloth\Cloth;
use Octavum\Core\Cloth\Cut;
use Octavum\Core\Measure\Assumptions;
use Octavum\Core\Measure\Length;
use Octavum\Core\Pattern\Pattern;
use Octavum\Core\Pattern\Version;
use Octavum\Core\Piece\Role;
use Octavum\Core\Season\Claim;
use Octavum\Core\Season\Project;
use Octavum\Core\Season\Season;
use Octavum\Document\AlterationCodec;
use Octavum\Document\Node;
use Octavum\Document\WishCodec;

/** Stored seasons, people and projects to the core's and back. */
final readonly class ProjectMapper
{
    public function __construct(
        private ClothMapper $cloths,
        private PatternMapper $patterns,
        private AlterationCodec $alterations,
        private WishCodec $wishes,
        private LayMapper $lays,
        private People $people,
    ) {
    }

    /**
     * @param iterable<ProjectRecord> $records
     * @param array<string, Cloth>    $cloths   built already, by id
     * @param array<string, Pattern>  $patterns built already, by id
     *
     * @return list<Project> sharing one Cloth for each cloth
     */
    public function projects(iterable $records, Assumptions $assumptions, array $cloths = [], array $patterns = []): array
    {
        $projects = $lays = $people = [];
        foreach ($records as $record) {
            $stored = $record->version?->pattern;
            $pattern =
                null === $stored || null !== $stored->removedAt ? null : ($patterns[$stored->id] ??= $this->patterns->pattern($stored));
            $claims = [];
            foreach ($record->claims as $claim) {
                $stored = $claim->cut?->cloth;
                $cloth =
                    null === $stored || null !== $stored->removedAt
                        ? null
                        : ($cloths[$stored->id] ??= $this->cloths->cloth($stored, $assumptions));
                $claims[] = new Claim(
                    $claim->id,
                    $claim->role,
                    $cloth,
                    $this->find($cloth->cuts ?? [], $claim->cut?->id),
                    null === $claim->buy ? null : $this->wishes->read(Node::stored($claim->buy, 'claim '.$claim->id)),
                    null === $claim->stated ? null : Length::ofMicrometres($claim->stated),
                    $claim->cutOut,
                    null === $claim->lay || null !== $claim->lay->removedAt
                        ? null
                        : ($lays[$claim->lay->id] ??= $this->lays->lay($claim->lay, $assumptions, $cloths)),
                );
            }
            $projects[] = new Project(
                $record->id,
                $record->name,
                $this->season($record->season),
                $record->rank,
                null === $record->person || null !== $record->person->removedAt
                    ? null
                    : ($people[$record->person->id] ??= $this->people->person($record->person)),
                $pattern,
                $this->find($pattern->versions ?? [], $record->version?->id),
                $record->size,
                $record->gradedTo,
                $record->certainty,
                $record->state,
                $record->deadline,
                $record->minutes,
                $this->alterations->read(Node::stored($record->alterations, 'project '.$record->id)),
                $claims,
                $record->notes,
                $record->notionsTaken,
                $record->matching,
                $record->leftOut,
                array_map(Role::from(...), $record->declined),
            );
        }

        return $projects;
    }

    public function season(SeasonRecord $record): Season
    {
        return new Season($record->id, $record->name, $record->starts, $record->weeks, $record->minutesPerWeek, $record->notes);
    }

    /** Everything but season, person, version and claims, which are other records. */
    public function store(Project $project, ProjectRecord $record): void
    {
        $record->name = $project->name;
        $record->rank = $project->rank;
        $record->size = $project->size;
        $record->gradedTo = $project->gradedTo;
        $record->certainty = $project->certainty;
        $record->state = $project->state;
        $record->deadline = $project->deadline;
        $record->minutes = $project->minutes;
        $record->alterations = $this->alterations->write($project->alterations);
        $record->notes = $project->notes;
        $record->notionsTaken = $project->notionsTaken;
        $record->matching = $project->matching;
        $record->leftOut = $project->leftOut;
        $record->declined = array_map(static fn (Role $role): string => $role->value, $project->declined);
    }

    /** Everything but cut and lay, which are other records. */
    public function storeClaim(Claim $claim, ClaimRecord $record): void
    {
        $record->role = $claim->role;
        $record->buy = null === $claim->wish ? null : $this->wishes->write($claim->wish);
        $record->stated = $claim->stated?->micrometres;
        $record->cutOut = $claim->cutOut;
    }

    /**
     * @template T of Cut|Version
     *
     * @param list<T> $all
     *
     * @return ?T
     */
    private function find(array $all, ?string $id): Cut|Version|null
    {
        foreach ($all as $one) {
            if ($one->id === $id) {
                return $one;
            }
        }

        return null;
    }
}

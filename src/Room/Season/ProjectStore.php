<?php

declare(strict_types=1);

namespace Octavum\Room\Season;

use Doctrine\ORM\EntityManagerInterface;
use Octavum\Account\Account;
use Octavum\Core\Season\Claim;
use Octavum\Core\Season\Option;
use Octavum\Core\Season\Project;
use Octavum\Store\ClaimRecord;
use Octavum\Store\OptionRecord;
use Octavum\Store\PersonRecord;
use Octavum\Store\ProjectMapper;
use Octavum\Store\ProjectRecord;
use Octavum\Store\ProjectRepository;
use Octavum\Store\SeasonRecord;
use Octavum\Store\Stash;
use Octavum\Store\VersionRecord;

/** Saves a project and its options as they were typed. */
final readonly class ProjectStore
{
    public function __construct(
        private EntityManagerInterface $entities,
        private ProjectRepository $projects,
        private ProjectMapper $mapper,
        private Stash $stash,
    ) {
    }

    /** @param ?ProjectRecord $record null for a new one */
    public function save(Project $project, ?ProjectRecord $record, Account $account): ProjectRecord
    {
        $season = $this->entities->find(SeasonRecord::class, $project->season->id) ?? throw new \LogicException('Its season is there.');
        $record ??= new ProjectRecord($season);
        $record->season = $season;
        $this->mapper->store($project, $record);
        $record->person = null === $project->person ? null : $this->entities->getReference(PersonRecord::class, $project->person->id);
        $record->version = $this->version($project->lead());
        $this->claims($record, null, $project->claims, $account);
        $this->entities->persist($record);
        $this->entities->flush();
        $this->projects->renumber($record);

        return $record;
    }

    /** @param ?OptionRecord $record null for a new one */
    public function saveOption(Option $option, ProjectRecord $project, ?OptionRecord $record, Account $account): OptionRecord
    {
        $record ??= new OptionRecord($project);
        $this->mapper->storeOption($option, $record);
        $record->version = $this->version($option);
        $this->claims($project, $record, $option->claims, $account);
        $this->entities->persist($record);
        $this->entities->flush();

        return $record;
    }

    private function version(Option $option): ?VersionRecord
    {
        return null === $option->version ? null : $this->entities->getReference(VersionRecord::class, $option->version->id);
    }

    /**
     * In place of those it had; a lay goes over to the claim for the same role.
     *
     * @param list<Claim> $claims
     */
    private function claims(ProjectRecord $record, ?OptionRecord $option, array $claims, Account $account): void
    {
        $lays = [];
        foreach ($record->claimsOf($option) as $claim) {
            $lays[$claim->role->value] ??= $claim->lay;
            $record->claims->removeElement($claim);
        }
        foreach ($claims as $claim) {
            $stored = new ClaimRecord($record, $option);
            $stored->lay = $lays[$claim->role->value] ?? null;
            unset($lays[$claim->role->value]);
            $this->mapper->storeClaim($claim, $stored);
            $stored->cut = null === $claim->cut ? null : $this->stash->record($account, $claim->cut->id);
        }
    }
}

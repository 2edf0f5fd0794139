<?php

declare(strict_types=1);

namespace Octavum\Room\Season;

use Doctrine\ORM\EntityManagerInterface;
use Octavum\Account\Account;
use Octavum\Core\Season\Copy;
use Octavum\Core\Season\Option;
use Octavum\Core\Season\Project;
use Octavum\Store\ClaimRecord;
use Octavum\Store\CopyRecord;
use Octavum\Store\OptionRecord;
use Octavum\Store\PersonRecord;
use Octavum\Store\ProjectMapper;
use Octavum\Store\ProjectRecord;
use Octavum\Store\ProjectRepository;
use Octavum\Store\SeasonRecord;
use Octavum\Store\Sewings;
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
        private Sewings $sewings,
    ) {
    }

    /** @param ?ProjectRecord $record null for a new one */
    public function save(Project $project, ?ProjectRecord $record, Account $account): ProjectRecord
    {
        $season = $this->season($project, $account);
        $record ??= new ProjectRecord($season);
        $record->season = $season;
        $was = $record->state;
        $this->mapper->store($project, $record);
        $record->state = $was;
        $this->sewings->enter($record, $project->state);
        $record->person = null === $project->person ? null : $this->entities->getReference(PersonRecord::class, $project->person->id);
        $this->entities->persist($record);
        $this->fill($record->current, $project->current, $account);
        $this->entities->flush();
        $this->projects->renumber($record);

        return $record;
    }

    /** @param ?OptionRecord $record null for a new one */
    public function saveOption(Option $option, ProjectRecord $project, ?OptionRecord $record, Account $account): OptionRecord
    {
        $record ??= new OptionRecord($project);
        $this->mapper->storeOption($option, $record);
        $this->entities->persist($record);
        $this->fill($record, $option, $account);
        $this->entities->flush();

        return $record;
    }

    private function season(Project $project, Account $account): SeasonRecord
    {
        $season = $this->entities->find(SeasonRecord::class, $project->season->id);
        if (null === $season && $project->season->undated) {
            $season = SeasonRecord::none($account);
            $this->entities->persist($season);
        }

        return $season ?? throw new \LogicException('Its season is there.');
    }

    /**
     * Gives it its version, and its claims in place of those it had; a lay goes over to the claim for the same role or pieces, and the
     * same one of several, and so does what was said at the gate, while it is the same cut.
     */
    private function fill(OptionRecord $record, Option $option, Account $account): void
    {
        $record->version = null === $option->version ? null : $this->entities->getReference(VersionRecord::class, $option->version->id);
        ++$record->changes;
        $lays = $copies = $gates = $taken = [];
        foreach ($record->claims->toArray() as $claim) {
            if (null !== $claim->copy) {
                $copies[$claim->copy->id] = $claim->copy;
            }
            $at = null === $claim->copy ? 0 : (int) array_search($claim->copy->id, array_keys($copies), true) + 1;
            $lays[$at.$claim->place()] ??= $claim->lay;
            $where = $at.$claim->place().' '.($claim->cut->id ?? '');
            $gates[$where] = $claim->gate;
            $taken[$where][] = [$claim->used, $claim->asked];
            $record->claims->removeElement($claim);
        }
        foreach ($copies as $copy) {
            $this->entities->remove($copy);
        }
        foreach ([new Copy(claims: $option->claims), ...$option->copies] as $at => $copy) {
            $line = 0 === $at ? null : $this->copy($copy, $record);
            foreach ($copy->claims as $claim) {
                $stored = new ClaimRecord($record, $line);
                $stored->lay = $lays[$at.$claim->place()] ?? null;
                unset($lays[$at.$claim->place()]);
                $this->mapper->storeClaim($claim, $stored);
                $where = $at.$claim->place().' '.($claim->cut->id ?? '');
                $stored->gate = $gates[$where] ?? [];
                if ($claim->cutOut && isset($taken[$where][0])) {
                    [$stored->used, $stored->asked] = array_shift($taken[$where]);
                }
                $stored->cut = null === $claim->cut ? null : $this->stash->record($account, $claim->cut->id);
            }
        }
    }

    private function copy(Copy $copy, OptionRecord $option): CopyRecord
    {
        $record = new CopyRecord($option);
        $record->person = null === $copy->person ? null : $this->entities->getReference(PersonRecord::class, $copy->person->id);
        [$record->size, $record->gradedTo] = [$copy->size, $copy->gradedTo];

        return $record;
    }
}

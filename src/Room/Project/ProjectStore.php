<?php

declare(strict_types=1);

namespace Octavum\Room\Project;

use Doctrine\ORM\EntityManagerInterface;
use Octavum\Account\Account;
use Octavum\Core\Project\Claim;
use Octavum\Core\Project\Copy;
use Octavum\Core\Project\Option;
use Octavum\Core\Project\Project;
use Octavum\Store\Change\ChangeLog;
use Octavum\Store\Change\Notice;
use Octavum\Store\Cloth\Stash;
use Octavum\Store\Pattern\VersionRecord;
use Octavum\Store\Person\PersonRecord;
use Octavum\Store\Plan\PlanLoader;
use Octavum\Store\Project\ClaimRecord;
use Octavum\Store\Project\CopyRecord;
use Octavum\Store\Project\OptionRecord;
use Octavum\Store\Project\ProjectMapper;
use Octavum\Store\Project\ProjectRecord;
use Octavum\Store\Project\ProjectRepository;
use Octavum\Store\Project\SeasonRecord;
use Octavum\Store\Project\Sewings;

/** Saves a project and its options as they were typed. */
final readonly class ProjectStore
{
    public function __construct(
        private EntityManagerInterface $entities,
        private ProjectRepository $projects,
        private ProjectMapper $mapper,
        private Stash $stash,
        private Sewings $sewings,
        private ChangeLog $changes,
        private PlanLoader $plan,
    ) {
    }

    /**
     * @param ?ProjectRecord $record null for a new one
     * @param string         $back   where undoing leads
     */
    public function save(Project $project, ?ProjectRecord $record, Account $account, string $back): ProjectRecord
    {
        $season = $this->season($project, $account);
        $saved = $record ?? new ProjectRecord($season);
        $touched = null === $record ? [] : [$record, ...$this->parts($record->current)];
        $ranked = [...$this->projects->ranked($saved->season), ...$this->projects->ranked($season)];
        $make = function () use ($project, $saved, $season, $account, $touched): array {
            $saved->season = $season;
            $was = $saved->state;
            $this->mapper->store($project, $saved);
            $saved->state = $was;
            $this->sewings->enter($saved, $project->log->state);
            $person = $project->brief->person;
            $saved->person = null === $person ? null : $this->entities->getReference(PersonRecord::class, $person->id);
            $this->entities->persist($saved);
            $this->fill($saved->current, $project->current, $account);
            $this->entities->flush();
            $this->projects->renumber($saved);

            return $this->made([$saved, ...$this->parts($saved->current)], $touched);
        };
        $notice = new Notice('{project} is saved.', ['project' => $project->name], $back);
        $this->changes->commit([...$touched, ...array_values(array_diff_key($ranked, [$saved->id => 0]))], $make, $notice);

        return $saved;
    }

    /**
     * @param ?OptionRecord $record null for a new one
     * @param string        $back   where undoing leads
     */
    public function saveOption(Option $option, ProjectRecord $project, ?OptionRecord $record, Account $account, string $back): OptionRecord
    {
        $saved = $record ?? new OptionRecord($project);
        $touched = null === $record ? [] : $this->parts($record);
        $make = function () use ($option, $saved, $account, $touched): array {
            $this->mapper->storeOption($option, $saved);
            $this->entities->persist($saved);
            $this->fill($saved, $option, $account);

            return $this->made($this->parts($saved), $touched);
        };
        $notice = new Notice('The option of {project} is saved.', ['project' => $project->name], $back);
        $this->changes->commit($touched, $make, $notice);

        return $saved;
    }

    /** @return list<object> the option, its claims and its copies */
    private function parts(OptionRecord $option): array
    {
        $copies = [];
        foreach ($option->claims as $claim) {
            if (null !== $claim->copy) {
                $copies[$claim->copy->id] = $claim->copy;
            }
        }

        return [$option, ...$option->claims, ...array_values($copies)];
    }

    /**
     * @param list<object> $now
     * @param list<object> $before
     *
     * @return list<object> those that were not there before
     */
    private function made(array $now, array $before): array
    {
        return array_values(array_filter($now, static fn (object $record): bool => !\in_array($record, $before, true)));
    }

    private function season(Project $project, Account $account): SeasonRecord
    {
        $season = $this->entities->find(SeasonRecord::class, $project->season->id);
        if (null === $season ? $project->season->undated : null !== $season->removedAt) {
            $season = $this->plan->undated($account);
            $this->entities->persist($season);
        }

        return $season ?? throw new \LogicException('Its season is there.');
    }

    /**
     * Gives an option its version, copies and claims. A claim for the same role or pieces of the same copy stays the one it was, with
     * its lay, and what was said at the gate or really used stays while it is the same cut.
     */
    private function fill(OptionRecord $record, Option $option, Account $account): void
    {
        $record->version = null === $option->version ? null : $this->entities->getReference(VersionRecord::class, $option->version->id);
        ++$record->changes;
        $copies = array_values(array_filter($this->parts($record), static fn (object $part): bool => $part instanceof CopyRecord));
        $claims = $record->claims->toArray();
        foreach ([new Copy(claims: $option->claims), ...$option->copies] as $at => $copy) {
            $stored = 0 === $at ? null : $copies[$at - 1] ?? new CopyRecord($record);
            if (null !== $stored) {
                $stored->person = null === $copy->person ? null : $this->entities->getReference(PersonRecord::class, $copy->person->id);
                [$stored->size, $stored->gradedTo] = [$copy->size, $copy->gradedTo];
                $this->entities->persist($stored);
            }
            foreach ($copy->claims as $claim) {
                $known = $this->known($claims, $claim, $stored);
                $claims = array_filter($claims, static fn (ClaimRecord $one): bool => $one !== $known);
                $this->store($claim, $known ?? new ClaimRecord($record, $stored), $account);
            }
        }
        foreach ($claims as $claim) {
            $record->claims->removeElement($claim);
        }
        foreach (\array_slice($copies, \count($option->copies)) as $copy) {
            $this->entities->remove($copy);
        }
    }

    /**
     * The stored claim that a typed one stands for, of several the one on the same cut.
     *
     * @param array<ClaimRecord> $claims that are left
     */
    private function known(array $claims, Claim $claim, ?CopyRecord $copy): ?ClaimRecord
    {
        $alike = array_filter(
            $claims,
            static fn (ClaimRecord $one): bool => $one->copy === $copy && $one->place() === $claim->place(),
        );
        $onCut = array_filter($alike, static fn (ClaimRecord $one): bool => $one->cut?->id === $claim->cut?->id);

        return array_values($onCut)[0] ?? array_values($alike)[0] ?? null;
    }

    private function store(Claim $claim, ClaimRecord $record, Account $account): void
    {
        $isSame = $record->cut?->id === $claim->cut?->id;
        [$gate, $used, $asked] = [$record->gate, $record->used, $record->asked];
        $this->mapper->storeClaim($claim, $record);
        $record->gate = $isSame ? $gate : [];
        [$record->used, $record->asked] = $isSame && $claim->cutOut ? [$used, $asked] : [null, null];
        $record->cut = null === $claim->cut ? null : $this->stash->record($account, $claim->cut->id);
    }
}

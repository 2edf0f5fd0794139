<?php

declare(strict_types=1);

namespace Octavum\Store\Plan;

use Doctrine\Bundle\DoctrineBundle\Attribute\AsDoctrineListener;
use Doctrine\ORM\EntityManagerInterface;
use Doctrine\ORM\Events;
use Octavum\Account\Account;
use Octavum\Account\AccountSettings;
use Octavum\Core\Project\Project;
use Octavum\Core\Project\Season;
use Octavum\Store\Lay\IdentityMap;
use Octavum\Store\Lay\LayRecord;
use Octavum\Store\Lay\LayRepository;
use Octavum\Store\Project\ProjectMapper;
use Octavum\Store\Project\ProjectRepository;
use Octavum\Store\Project\SeasonRecord;

/** Loads an account's seasons and projects, once a request. */
#[AsDoctrineListener(Events::onFlush)]
final class PlanLoader
{
    /** @var array<string, list<Project>> by account, until something is saved */
    private array $loaded = [];

    /** @var array<string, list<Project>> likewise, as drawn() gives them */
    private array $drawn = [];

    /** @var array<string, list<LayRecord>> the same */
    private array $lays = [];

    /** @var array<string, list<SeasonRecord>> the same */
    private array $seasons = [];

    public function __construct(
        private readonly EntityManagerInterface $entities,
        private readonly ProjectRepository $projects,
        private readonly WholePlan $whole,
        private readonly ProjectMapper $mapper,
        private readonly LayRepository $layRecords,
        private readonly AccountSettings $settings,
    ) {
    }

    public function onFlush(): void
    {
        $this->loaded = $this->drawn = $this->lays = $this->seasons = [];
    }

    /** @return list<SeasonRecord> the earliest first */
    public function seasons(Account $account): array
    {
        return $this->seasons[$account->id] ??= $this->entities
            ->getRepository(SeasonRecord::class)
            ->findBy(['account' => $account, 'removedAt' => null], ['starts' => 'ASC', 'id' => 'ASC']);
    }

    /** As the database has it now, also where a request begins anew after a lost race. */
    public function season(Account $account, string $id): ?SeasonRecord
    {
        return $this->entities->getRepository(SeasonRecord::class)->findOneBy(['id' => $id, 'account' => $account, 'removedAt' => null]);
    }

    /** What is planned for no season: of an account one at most, so a new one only where there is none. */
    public function undated(Account $account): SeasonRecord
    {
        foreach ($this->seasons($account) as $season) {
            if ($season->undated) {
                return $season;
            }
        }

        return SeasonRecord::none($account);
    }

    /**
     * The season asked for, or last looked at, or the latest; what is in no season only when it is asked for.
     *
     * @param list<SeasonRecord> $seasons
     */
    public function current(Account $account, array $seasons, ?string $id = null): ?SeasonRecord
    {
        foreach ($seasons as $season) {
            if ($season->id === $id) {
                return $season;
            }
        }
        $dated = array_values(array_filter($seasons, static fn (SeasonRecord $season): bool => !$season->undated));
        foreach ($dated as $season) {
            if ($season->id === $account->season) {
                return $season;
            }
        }

        return $dated[\count($dated) - 1] ?? null;
    }

    /** @return list<Project> of all seasons */
    public function projects(Account $account): array
    {
        return $this->loaded[$account->id] ??= $this->load($account);
    }

    /** @return list<Project> the same for a page that draws no other option, only what they might take of the cuts on it */
    public function drawn(Account $account): array
    {
        return $this->loaded[$account->id] ?? $this->drawn[$account->id] ??= $this->load($account, drawn: true);
    }

    /** @return list<Project> */
    private function load(Account $account, bool $drawn = false): array
    {
        $built = new IdentityMap($this->settings->load($account)->assumptions);

        $records = $this->whole->load($account, $built, $drawn);
        krsort($built->laid);
        $this->lays[$account->id] = array_values($built->laid);

        return $this->mapper->projects($records, $built);
    }

    /** @return list<LayRecord> the newest first */
    public function lays(Account $account): array
    {
        return $this->lays[$account->id] ??= $this->layRecords->allOf($account);
    }

    /** One of them as it leads, without loading the rest; null when it is not on the plan. */
    public function project(Account $account, string $id): ?Project
    {
        foreach ($this->loaded[$account->id] ?? [] as $project) {
            if ($project->id === $id) {
                return $project;
            }
        }
        $record = $this->projects->hereOf($account, $id);

        return null === $record
            ? null
            : $this->mapper->projects([$record], new IdentityMap($this->settings->load($account)->assumptions), alone: true)[0] ?? null;
    }
}

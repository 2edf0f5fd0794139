<?php

declare(strict_types=1);

namespace Octavum\Store\Plan;

use Doctrine\Bundle\DoctrineBundle\Attribute\AsDoctrineListener;
use Doctrine\DBAL\Exception\DriverException;
use Doctrine\ORM\EntityManagerInterface;
use Doctrine\ORM\Events;
use Octavum\Account\Account;
use Octavum\Account\AccountSettings;
use Octavum\Core\Laid\LaidGarment;
use Octavum\Core\Match\Overrule;
use Octavum\Core\Notion\Notion;
use Octavum\Core\Project\Log\Finding;
use Octavum\Core\Project\Log\ProjectState;
use Octavum\Core\Project\Project;
use Octavum\Core\Project\Season;
use Octavum\Core\Season\Answer\CheckedSeason;
use Octavum\Core\Season\Answer\OptionAnswer;
use Octavum\Core\Season\Answer\ProjectAnswer;
use Octavum\Core\Season\Check\SeasonCheck;
use Octavum\Core\Season\Reserve\Reservation;
use Octavum\Document\Codec\SewingCodec;
use Octavum\Document\Json\Node;
use Octavum\Store\Lay\CachedLays;
use Octavum\Store\Lay\IdentityMap;
use Octavum\Store\Lay\LayRecord;
use Octavum\Store\Lay\LayRepository;
use Octavum\Store\Notion\NotionStore;
use Octavum\Store\Overrule\Overrules;
use Octavum\Store\Project\ClaimRecord;
use Octavum\Store\Project\ProjectMapper;
use Octavum\Store\Project\ProjectRecord;
use Octavum\Store\Project\ProjectRepository;
use Octavum\Store\Project\SeasonRecord;

/** An account's seasons and projects, checked; for every room that needs them. */
#[AsDoctrineListener(Events::onFlush)]
final class Plan
{
    /** @var array<string, list<Project>> by account, until something is saved */
    private array $loaded = [];

    /** @var array<string, list<Project>> likewise, as drawn() gives them */
    private array $drawn = [];

    /** @var array<string, array<string, string>> the same, as Overrule::reasons() gives them */
    private array $overruled = [];

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
        private readonly NotionStore $notions,
        private readonly Overrules $overrules,
        private readonly CachedLays $cachedLays,
    ) {
    }

    public function onFlush(): void
    {
        $this->loaded = $this->drawn = $this->lays = $this->seasons = $this->overruled = [];
    }

    /** @return list<SeasonRecord> the earliest first */
    public function seasons(Account $account): array
    {
        return $this->seasons[$account->id] ??= $this->entities
            ->getRepository(SeasonRecord::class)
            ->findBy(['account' => $account], ['starts' => 'ASC', 'id' => 'ASC']);
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

    /** Remembers which season was looked at last; that it cannot be, on a disk that is full, is no reason not to show it. */
    public function look(Account $account, SeasonRecord $season): void
    {
        if ($account->season === $season->id || $season->undated) {
            return;
        }
        $account->season = $season->id;
        try {
            $this->entities->getConnection()->executeStatement('UPDATE account SET season = ? WHERE id = ?', [$season->id, $account->id]);
        } catch (DriverException) {
            // the next time, then
        }
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
        $record = $this->record($account, $id);

        return null === $record
            ? null
            : $this->mapper->projects([$record], new IdentityMap($this->settings->load($account)->assumptions), alone: true)[0] ?? null;
    }

    /** @param ?list<Project> $projects when they are at hand */
    public function check(Account $account, Season $season, ?array $projects = null): CheckedSeason
    {
        return $this->checks($account, $this->notions->all($account))->check($season, $projects ?? $this->projects($account));
    }

    /** One of them checked; null when it is not on the plan, or asks for no cloth any more. */
    public function answer(Account $account, string $id): ?ProjectAnswer
    {
        foreach ($this->projects($account) as $project) {
            foreach ($project->id === $id ? $this->check($account, $project->season)->projects : [] as $answer) {
                if ($answer->project->id === $id) {
                    return $answer;
                }
            }
        }

        return null;
    }

    /**
     * What a project would come to with each of its other options.
     *
     * @param list<Project> $projects of all seasons
     *
     * @return list<OptionAnswer>
     */
    public function options(Account $account, Project $project, array $projects): array
    {
        return $this->checks($account)->options($project, $projects);
    }

    /** @return array<string, list<OptionAnswer>> what each project of a season would come to with its other options, by # and project */
    public function allOptions(Account $account, Season $season): array
    {
        return $this->checks($account)->allOptions($season, $this->projects($account));
    }

    /**
     * Finds the claims for which garments are laid.
     *
     * @param list<LaidGarment> $garments
     * @param list<?string>     $options  of each, for which of its project's it is laid; null for the current one
     *
     * @return list<ClaimRecord>
     */
    public function findClaims(Account $account, array $garments, array $options = []): array
    {
        $found = [];
        foreach ($garments as $i => $garment) {
            $project = null === $garment->project ? null : $this->projects->oneOf($account, $garment->project);
            $option = $project?->findOption($options[$i] ?? null) ?? $project?->current;
            $size = static fn (ClaimRecord $claim): ?string => null === $claim->copy ? $option?->size : $claim->copy->size;
            $ofRole = array_values(array_filter(
                $option?->claims->toArray() ?? [],
                static fn (ClaimRecord $claim): bool => $claim->role === $garment->role
                    && $claim->pieces === $garment->pieces
                    && !\in_array($claim, $found, true),
            ));
            // of several sewn together the one of this size, which two copies may have
            $ofSize = array_values(array_filter($ofRole, static fn (ClaimRecord $claim): bool => $size($claim) === $garment->size));
            $claim = $ofSize[0] ?? $ofRole[0] ?? null;
            if (null !== $claim) {
                $found[] = $claim;
            }
        }

        return $found;
    }

    /** One of the account's own that is on the plan. */
    public function record(Account $account, string $project): ?ProjectRecord
    {
        return $this->projects->hereOf($account, $project);
    }

    /** @return ?list<string> what a project's envelope asks for besides cloth; null when it is not there, or they are taken already */
    public function takeNotions(Account $account, string $project): ?array
    {
        $record = $this->record($account, $project);
        if (null === $record || $record->notionsTaken) {
            return null;
        }
        $record->notionsTaken = true;

        $lines = array_unique($record->current->claims->map(static fn (ClaimRecord $claim): string => $claim->copy->id ?? '')->toArray());

        return array_merge(...array_fill(0, max(1, \count($lines)), $record->current->version->notions ?? []));
    }

    /**
     * @return list<array{
     *     id: string, name: string, state: ProjectState, season: string, person: ?string, size: ?string, version: string,
     *     finding: ?Finding,
     * }> in which a pattern is or was planned, the latest season first
     */
    public function ofPattern(Account $account, string $pattern): array
    {
        /**
         * @var list<array{
         *     id: string, name: string, state: ProjectState, season: string, person: ?string, size: ?string, version: string,
         *     sewing: mixed,
         * }> $projects
         */
        $projects = $this->entities
            ->createQuery(
                'SELECT p.id, p.name, p.state, s.name AS season, who.name AS person, o.size, v.name AS version, p.sewing FROM '
                    .ProjectRecord::class
                    .' p JOIN p.season s JOIN p.current o JOIN o.version v LEFT JOIN p.person who'
                    .' WHERE s.account = :account AND v.pattern = :pattern AND p.removedAt IS NULL'
                    .' ORDER BY s.starts DESC, p.rank',
            )
            ->setParameters(['account' => $account, 'pattern' => $pattern])
            ->getArrayResult();
        $codec = new SewingCodec();

        return array_map(
            static fn (array $one): array => [
                ...$one,
                'finding' => $codec->read(Node::stored($one['sewing'], 'project '.$one['id']))->finding,
            ],
            $projects,
        );
    }

    /**
     * What was cut off and what the envelope asked for, of a maker's patterns, or of one where nobody said whose it is.
     *
     * @return array<string, list<array{int, int}>> by pattern, in micrometres
     */
    public function envelopes(Account $account, string $maker, string $pattern): array
    {
        /** @var list<array{pattern: string, used: int|string, asked: int|string}> $rows */
        $rows = $this->entities
            ->createQuery(
                'SELECT t.id AS pattern, c.used, c.asked FROM '.ClaimRecord::class.' c JOIN c.option o JOIN o.project p JOIN p.season s'
                    .' JOIN o.version v JOIN v.pattern t WHERE s.account = :account AND p.removedAt IS NULL AND c.asked > 0'
                    .' AND c.used > 0 AND (t.id = :pattern OR (t.maker = :maker AND t.maker <> \'\'))',
            )
            ->setParameters(['account' => $account, 'maker' => $maker, 'pattern' => $pattern])
            ->getArrayResult();
        $cuts = [];
        foreach ($rows as $row) {
            $cuts[$row['pattern']][] = [(int) $row['used'], (int) $row['asked']];
        }

        return $cuts;
    }

    /** @return array<string, list<Reservation>> what options that do not lead might take, by cut */
    public function perhaps(Account $account): array
    {
        return (new SeasonCheck($this->settings->load($account)->assumptions))->perhaps($this->projects($account));
    }

    /** @return array<string, list<Reservation>> by cut, in rank order */
    public function promises(Account $account): array
    {
        return (new SeasonCheck($this->settings->load($account)->assumptions))->promises($this->projects($account));
    }

    /** @return array<string, list<Reservation>> the same for a page that asks nothing of other options */
    public function promised(Account $account): array
    {
        return (new SeasonCheck($this->settings->load($account)->assumptions))->promises($this->drawn($account));
    }

    /** @param list<Notion> $notions */
    private function checks(Account $account, array $notions = []): SeasonCheck
    {
        return new SeasonCheck(
            $this->settings->load($account)->assumptions,
            $notions,
            $this->overruled[$account->id] ??= Overrule::reasons($this->overrules->all($account)),
            $this->cachedLays,
        );
    }
}

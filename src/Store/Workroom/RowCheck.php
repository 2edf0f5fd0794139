<?php

declare(strict_types=1);

namespace Octavum\Store\Workroom;

use Doctrine\Common\Collections\ArrayCollection;
use Doctrine\ORM\EntityManagerInterface;
use Octavum\Account\Account;
use Octavum\Core\Measure\Assumptions;
use Octavum\Core\Project\Project;
use Octavum\Core\Project\Season;
use Octavum\Database\ReadOnlyHydrator;
use Octavum\Database\UnreadableFilter;
use Octavum\Document\Codec\ClothCodec;
use Octavum\Document\Codec\CutCodec;
use Octavum\Document\Codec\ListCodec;
use Octavum\Document\Codec\NotionCodec;
use Octavum\Document\Codec\PatternCodec;
use Octavum\Document\Codec\PersonCodec;
use Octavum\Document\Codec\PieceCodec;
use Octavum\Document\Codec\ProjectCodec;
use Octavum\Document\Codec\References;
use Octavum\Document\Codec\SeasonCodec;
use Octavum\Document\Codec\VersionCodec;
use Octavum\Document\Json\Node;
use Octavum\Store\Cloth\ClothMapper;
use Octavum\Store\Cloth\ClothRecord;
use Octavum\Store\Cloth\CutRecord;
use Octavum\Store\Lay\IdentityMap;
use Octavum\Store\Lay\LayMapper;
use Octavum\Store\Lay\LayRecord;
use Octavum\Store\Notion\NotionRecord;
use Octavum\Store\Notion\NotionStore;
use Octavum\Store\Overrule\OverruleRecord;
use Octavum\Store\Pattern\PatternMapper;
use Octavum\Store\Pattern\PatternRecord;
use Octavum\Store\Pattern\PieceSetRecord;
use Octavum\Store\Pattern\VersionRecord;
use Octavum\Store\Person\People;
use Octavum\Store\Person\PersonRecord;
use Octavum\Store\Project\ClaimRecord;
use Octavum\Store\Project\CopyRecord;
use Octavum\Store\Project\ListRecord;
use Octavum\Store\Project\Lists;
use Octavum\Store\Project\OptionRecord;
use Octavum\Store\Project\ProjectMapper;
use Octavum\Store\Project\ProjectRecord;
use Octavum\Store\Project\SeasonRecord;

/** Reads every row of an account on its own, and says which cannot be read or could not be exported and read again. */
final readonly class RowCheck
{
    /** Rows of an account, by class; the outer first. */
    private const ROWS = [
        PersonRecord::class => 'r.account_id = :account',
        ClothRecord::class => 'r.account_id = :account',
        CutRecord::class => 'r.cloth_id IN (SELECT id FROM cloth WHERE account_id = :account)',
        PatternRecord::class => 'r.account_id = :account',
        VersionRecord::class => 'r.pattern_id IN (SELECT id FROM pattern WHERE account_id = :account)',
        PieceSetRecord::class => 'r.version_id IN (SELECT v.id FROM version v JOIN pattern p ON p.id = v.pattern_id
            WHERE p.account_id = :account)',
        SeasonRecord::class => 'r.account_id = :account',
        ProjectRecord::class => 'r.season_id IN (SELECT id FROM season WHERE account_id = :account)',
        OptionRecord::class => 'r.project_id IN ('.self::PROJECTS.')',
        CopyRecord::class => 'r.option_id IN (SELECT id FROM project_option WHERE project_id IN ('.self::PROJECTS.'))',
        ClaimRecord::class => 'r.option_id IN (SELECT id FROM project_option WHERE project_id IN ('.self::PROJECTS.'))',
        LayRecord::class => 'r.account_id = :account',
        NotionRecord::class => 'r.account_id = :account',
        ListRecord::class => 'r.account_id = :account',
        OverruleRecord::class => 'r.account_id = :account',
    ];

    private const PROJECTS = 'SELECT p.id FROM project p JOIN season s ON s.id = p.season_id WHERE s.account_id = :account';

    /** Tables whose rows belong to those of another, and the column that says to which; a project belongs to its current option as well. */
    private const PARTS = [
        'cut' => [['cloth', 'cloth_id']],
        'version' => [['pattern', 'pattern_id']],
        'piece_set' => [['version', 'version_id']],
        'project' => [['season', 'season_id'], ['project_option', 'current_id']],
        'project_option' => [['project', 'project_id']],
        'project_copy' => [['project_option', 'option_id']],
        'claim' => [['project_option', 'option_id'], ['project_copy', 'copy_id']],
        'overrule' => [['cloth', 'cloth_id'], ['version', 'version_id']],
    ];

    public function __construct(
        private EntityManagerInterface $entities,
        private ReadOnlyHydrator $glance,
        private ClothMapper $cloths,
        private PatternMapper $patterns,
        private ProjectMapper $projects,
        private LayMapper $lays,
        private People $people,
        private NotionStore $tins,
        private Lists $lists,
    ) {
    }

    /**
     * @param ?string $only the id of the one row that is looked at
     *
     * @return array<string, array{string, string}> the table and the reason, by id, of each row that cannot be read on its own
     */
    public function find(Account $account, ?string $only = null): array
    {
        $filters = $this->entities->getFilters();
        $isLeft = $filters->isEnabled(UnreadableFilter::NAME);
        if ($isLeft) {
            $filters->disable(UnreadableFilter::NAME);
        }
        $found = [];
        foreach (self::ROWS as $class => $where) {
            [$links, $try] = $this->reading($class, $account);
            $table = $this->entities->getClassMetadata($class)->getTableName();
            $where .= null === $only ? '' : ' AND r.id = :only';
            $with = ['account' => $account->id] + (null === $only ? [] : ['only' => $only]);
            foreach ($this->glance->rows($class, 'WHERE '.$where, $with, $links) as $id => $read) {
                try {
                    $record = $read();
                    if (null !== $record) {
                        $try($record);
                    }
                } catch (\Throwable $why) {
                    $found[$id] = [$table, $why->getMessage()];
                }
            }
        }
        if ($isLeft) {
            $filters->enable(UnreadableFilter::NAME);
        }

        return $found;
    }

    /**
     * Leaves out of every page but its own what cannot be read, and what belongs to it; brings back what can be read again.
     *
     * @return bool whether something is left out that was not before
     */
    public function leaveOut(Account $account): bool
    {
        $connection = $this->entities->getConnection();
        $found = $this->find($account);
        $all = $this->withParts($found);

        return $connection->transactional(function () use ($connection, $account, $found, $all): bool {
            $before = $connection->fetchFirstColumn('SELECT id FROM unreadable WHERE account_id = ?', [$account->id]);
            $connection->executeStatement('DELETE FROM unreadable WHERE account_id = ?', [$account->id]);
            foreach ($all as $id => $table) {
                $connection->insert('unreadable', [
                    'id' => $id,
                    'account_id' => $account->id,
                    'kind' => $table,
                    'name' => isset($found[$id]) ? $this->name($table, $id) : '',
                    'why' => mb_scrub($found[$id][1] ?? '', 'UTF-8'),
                ]);
            }
            $account->unreadable = \count($all);
            $connection->executeStatement('UPDATE account SET unreadable = ? WHERE id = ?', [\count($all), $account->id]);

            return [] !== array_diff_key($all, array_flip(array_filter($before, is_string(...))));
        });
    }

    /**
     * @param array<string, array{string, string}> $found
     *
     * @return array<string, string> the table, by id, of each and of what belongs to it
     */
    private function withParts(array $found): array
    {
        $all = array_map(static fn (array $one): string => $one[0], $found);
        do {
            $before = \count($all);
            foreach (self::PARTS as $table => $wholes) {
                foreach ($wholes as [$whole, $column]) {
                    $ids = array_keys($all, $whole, true);
                    foreach (array_chunk($ids, 500) as $some) {
                        $places = implode(', ', array_fill(0, \count($some), '?'));
                        $query = \sprintf('SELECT id FROM %s WHERE %s IN (%s)', $table, $column, $places);
                        foreach ($this->entities->getConnection()->fetchFirstColumn($query, $some) as $id) {
                            $all[\is_string($id) ? $id : ''] ??= $table;
                        }
                    }
                }
            }
        } while (\count($all) > $before);

        return $all;
    }

    private function name(string $table, string $id): string
    {
        $column = match ($table) {
            'pattern' => 'title',
            'cloth', 'person', 'season', 'project', 'lay', 'notion', 'sewing_list', 'version' => 'name',
            default => null,
        };
        $name = null === $column
            ? ''
            : $this->entities->getConnection()->fetchOne(\sprintf('SELECT %s FROM %s WHERE id = ?', $column, $table), [$id]);

        return mb_substr(mb_scrub(\is_scalar($name) ? (string) $name : '', 'UTF-8'), 0, 200);
    }

    /**
     * How a row of a class is read on its own: what stands for the rows it points to, and what is made of it.
     *
     * @param class-string $class
     *
     * @return array{\Closure(array<string, mixed>): array<string, object|null>, \Closure(object): mixed}
     */
    private function reading(string $class, Account $account): array
    {
        $assumptions = new Assumptions();
        $season = new SeasonRecord($account, new \DateTimeImmutable('2027-03-01'));
        $project = new ProjectRecord($season);
        $project->name = 'P';
        $project->rank = 1;

        return match ($class) {
            PersonRecord::class => [
                static fn (): array => ['account' => $account],
                $this->taking(PersonRecord::class, function (PersonRecord $record): void {
                    (new PersonCodec())->read(self::node((new PersonCodec())->write($this->people->person($record))));
                }),
            ],
            ClothRecord::class => [
                static fn (): array => ['account' => $account, 'cuts' => new ArrayCollection()],
                $this->taking(ClothRecord::class, function (ClothRecord $record) use ($assumptions): void {
                    $written = (new ClothCodec())->write($this->cloths->cloth($record, $assumptions), $assumptions->selvage);
                    (new ClothCodec())->read(self::node($written), $assumptions);
                }),
            ],
            CutRecord::class => [
                static fn (): array => ['cloth' => new ClothRecord($account)],
                $this->taking(CutRecord::class, function (CutRecord $record): void {
                    (new CutCodec())->read(self::node((new CutCodec())->write($this->cloths->cut($record))));
                }),
            ],
            PatternRecord::class => [
                static fn (): array => ['account' => $account, 'versions' => new ArrayCollection()],
                $this->taking(PatternRecord::class, function (PatternRecord $record): void {
                    (new PatternCodec())->read(self::node((new PatternCodec())->write($this->patterns->pattern($record), [])));
                }),
            ],
            VersionRecord::class => [
                static fn (): array => ['pattern' => new PatternRecord($account)],
                $this->taking(VersionRecord::class, function (VersionRecord $record): void {
                    $record->marks = [];
                    (new VersionCodec())->read(self::node((new VersionCodec())->write($this->patterns->version($record))));
                }),
            ],
            PieceSetRecord::class => [
                static fn (): array => ['version' => new VersionRecord(new PatternRecord($account))],
                $this->taking(PieceSetRecord::class, static function (PieceSetRecord $record): void {
                    (new PieceCodec())->read(Node::stored($record->pieces, 'pieces '.$record->id));
                }),
            ],
            SeasonRecord::class => [
                static fn (): array => ['account' => $account],
                $this->taking(SeasonRecord::class, function (SeasonRecord $record): void {
                    if (!$record->undated) {
                        (new SeasonCodec())->read(self::node((new SeasonCodec())->write($this->projects->season($record))));
                    }
                }),
            ],
            ProjectRecord::class => [
                static fn (): array => [
                    'season' => $season,
                    'person' => null,
                    'options' => new ArrayCollection(),
                    'current' => $project->current,
                ],
                $this->taking(ProjectRecord::class, fn (ProjectRecord $record): ?Project => $this->project($record)),
            ],
            OptionRecord::class => [
                static fn (): array => ['version' => null, 'project' => $project, 'claims' => new ArrayCollection()],
                $this->taking(OptionRecord::class, function (OptionRecord $record) use ($project): void {
                    $project->current = $record;
                    $this->project($project);
                }),
            ],
            ClaimRecord::class => [
                static fn (): array => ['option' => new OptionRecord($project), 'cut' => null, 'lay' => null, 'copy' => null],
                $this->taking(ClaimRecord::class, function (ClaimRecord $record) use ($project): void {
                    $record->option->claims->add($record);
                    $project->current = $record->option;
                    $this->project($project);
                }),
            ],
            LayRecord::class => [
                static fn (): array => ['account' => $account],
                $this->taking(LayRecord::class, fn (LayRecord $record) => $this->lays->lay($record, new IdentityMap($assumptions))),
            ],
            NotionRecord::class => [
                static fn (): array => ['account' => $account],
                $this->taking(NotionRecord::class, function (NotionRecord $record): void {
                    (new NotionCodec())->read(self::node((new NotionCodec())->write($this->tins->notion($record))));
                }),
            ],
            ListRecord::class => [
                static fn (): array => ['account' => $account],
                $this->taking(ListRecord::class, function (ListRecord $record): void {
                    (new ListCodec())->read(self::node((new ListCodec())->write($this->lists->list($record))));
                }),
            ],
            default => [static fn (): array => [], static fn (): bool => true],
        };
    }

    /**
     * @template T of object
     *
     * @param class-string<T>    $class
     * @param \Closure(T): mixed $try
     *
     * @return \Closure(object): mixed
     */
    private function taking(string $class, \Closure $try): \Closure
    {
        return static fn (object $record): mixed => $record instanceof $class ? $try($record) : null;
    }

    /** Without what it points to, which are other rows. */
    private function project(ProjectRecord $record): ?Project
    {
        $project = $this->projects->projects([$record], new IdentityMap(new Assumptions()))[0] ?? null;
        $written = null === $project ? [] : (new ProjectCodec())->write($project);
        unset($written['season'], $written['person']);
        $written['options'] = array_map(
            static fn (mixed $option): array => array_diff_key((array) $option, ['parts' => 0]),
            (array) ($written['options'] ?? []),
        );

        return (new ProjectCodec())->read(self::node($written), new References([], [], [], ['' => Season::none()], []));
    }

    /** @param array<string, mixed> $written */
    private static function node(array $written): Node
    {
        return Node::stored(json_decode(json_encode($written, \JSON_THROW_ON_ERROR), true), 'this row');
    }
}

<?php

declare(strict_types=1);

namespace Octavum\Store\Plan;

use Doctrine\Common\Collections\ArrayCollection;
use Octavum\Account\Account;
use Octavum\Database\ReadOnlyHydrator;
use Octavum\Store\Cloth\ClothRepository;
use Octavum\Store\Lay\IdentityMap;
use Octavum\Store\Lay\LayRecord;
use Octavum\Store\Pattern\PatternRecord;
use Octavum\Store\Pattern\PatternRepository;
use Octavum\Store\Person\PersonRecord;
use Octavum\Store\Project\ClaimRecord;
use Octavum\Store\Project\CopyRecord;
use Octavum\Store\Project\OptionRecord;
use Octavum\Store\Project\ProjectRecord;
use Octavum\Store\Project\SeasonRecord;

/**
 * All projects of a workroom with everything their check needs, to look at and not to change: thirteen queries at most, whatever
 * their number. They are read past the ORM, which was most of what a page of sixty projects took (docs/decisions/0016).
 */
final readonly class WholePlan
{
    private const MINE = 'SELECT p.id FROM project p JOIN season s ON s.id = p.season_id WHERE s.account_id = :account';

    /** Options of what was not taken out. */
    private const OPTIONS = 'SELECT o.id FROM project_option o WHERE o.project_id IN ('.self::MINE.' AND p.removed_at IS NULL)';

    private const CURRENT = 'SELECT p.current_id FROM project p JOIN season s ON s.id = p.season_id WHERE s.account_id = :account';

    /** Claims of current options, and those of others that take of the same cuts or lie on a saved lay. */
    private const DRAWN =
        ' AND (r.option_id IN ('.self::CURRENT.') OR r.lay_id IS NOT NULL OR r.cut_id IN (:laid) OR r.cut_id IN
        (SELECT own.cut_id FROM claim own WHERE own.option_id IN ('.self::CURRENT.')))';

    public function __construct(private ReadOnlyHydrator $glance, private ClothRepository $cloths, private PatternRepository $patterns)
    {
    }

    /**
     * @param IdentityMap $built gets the lays, the cuts that they name and the versions that parts name
     * @param bool        $drawn of other options than the current ones only what they might take of cuts that something is promised:
     *                           nothing else of them is drawn on strips
     *
     * @return list<ProjectRecord> an earlier season first, in rank order
     */
    public function load(Account $account, IdentityMap $built, bool $drawn = false): array
    {
        $with = ['account' => $account->id];
        $own = static fn (): array => ['account' => $account];
        $lays = $this->glance->at(LayRecord::class, 'WHERE r.account_id = :account AND r.removed_at IS NULL', $with, $own);
        $built->laid = $lays;
        $with['laid'] = array_merge(...array_map(static fn (LayRecord $lay): array => $lay->cuts(), array_values($lays)));
        $claimed = 'WHERE r.option_id IN ('.self::OPTIONS.')'.($drawn ? self::DRAWN : '');
        $cuts = 'c.id IN (:laid) OR c.id IN (SELECT r.cut_id FROM claim r '.$claimed.')';
        foreach ($this->cloths->glance($account, 'id IN (SELECT c.cloth_id FROM cut c WHERE '.$cuts.')', $with) as $cloth) {
            foreach ($cloth->cuts as $cut) {
                $built->cuts[$cut->id] = $cut;
            }
        }
        $versions = 'v.id IN (SELECT version_id FROM project_option WHERE project_id IN ('.self::MINE.'))';
        $this->know($this->patterns->glance($account, 'id IN (SELECT v.pattern_id FROM version v WHERE '.$versions.')'), $built);
        $people = $this->glance->at(PersonRecord::class, 'WHERE r.account_id = :account', $with, $own);
        $seasons = $this->glance->at(SeasonRecord::class, 'WHERE r.account_id = :account', $with, $own);
        $current = [];
        $projects = $this->glance->at(
            ProjectRecord::class,
            'JOIN season s ON s.id = r.season_id WHERE s.account_id = :account AND r.removed_at IS NULL
            ORDER BY s.starts, r.place_in_rank, r.id',
            $with,
            static function (array $row) use ($seasons, $people, &$current): array {
                $current[] = $row['current_id'];

                return [
                    'season' => self::one($seasons, $row['season_id']),
                    'person' => self::one($people, $row['person_id']),
                    'options' => new ArrayCollection(),
                ];
            },
        );
        $options = $this->glance->at(
            OptionRecord::class,
            'WHERE r.id IN ('.self::OPTIONS.') ORDER BY r.id',
            $with,
            static fn (array $row): array => [
                'version' => self::one($built->versions, $row['version_id']),
                'project' => self::one($projects, $row['project_id']),
                'claims' => new ArrayCollection(),
            ],
        );
        $of = static fn (array $row): array => ['option' => self::one($options, $row['option_id'])];
        $copies = $this->glance->at(
            CopyRecord::class,
            'WHERE r.option_id IN ('.self::OPTIONS.')',
            $with,
            static fn (array $row): array => ['person' => self::one($people, $row['person_id'])] + $of($row),
        );
        $claims = $this->glance->at(
            ClaimRecord::class,
            $claimed.' ORDER BY r.id',
            $with,
            static fn (array $row): array => [
                'cut' => self::one($built->cuts, $row['cut_id']),
                'lay' => self::one($lays, $row['lay_id']),
                'copy' => self::one($copies, $row['copy_id']),
            ] + $of($row),
        );
        foreach ($options as $option) {
            $option->project->options->add($option);
        }
        foreach ($claims as $claim) {
            $claim->option->claims->add($claim);
        }
        $this->parts($account, $built, array_values($options));
        $whole = [];
        foreach (array_intersect_key($options, array_flip(array_filter($current, is_string(...)))) as $option) {
            $option->project->current = $option;
            $whole[$option->project->id] = $option->project;
        }

        return array_values(array_intersect_key($projects, $whole));
    }

    /** @param list<PatternRecord> $patterns */
    private function know(array $patterns, IdentityMap $built): void
    {
        foreach ($patterns as $pattern) {
            foreach ($pattern->versions as $version) {
                $built->versions[$version->id] = $version;
            }
        }
    }

    /**
     * The patterns that only parts come from.
     *
     * @param list<OptionRecord> $options
     */
    private function parts(Account $account, IdentityMap $built, array $options): void
    {
        $parts = array_merge(...array_map(static fn (OptionRecord $option): array => $option->parts, $options));
        $missing = array_values(array_filter(
            array_column($parts, 'version'),
            static fn (mixed $id): bool => \is_string($id) && !isset($built->versions[$id]),
        ));
        if ([] !== $missing) {
            $which = 'id IN (SELECT v.pattern_id FROM version v WHERE v.id IN (:missing))';
            $this->know($this->patterns->glance($account, $which, ['missing' => $missing]), $built);
        }
    }

    /**
     * @template T of object
     *
     * @param array<string, T> $all
     *
     * @return ?T
     */
    private static function one(array $all, mixed $id): ?object
    {
        return \is_string($id) ? $all[$id] ?? null : null;
    }
}

<?php

declare(strict_types=1);

namespace Octavum\Store;

use Doctrine\Common\Collections\ArrayCollection;
use Octavum\Account\Account;
use Octavum\Database\Glance;

/**
 * All projects of a workroom with everything their check needs, to look at and not to change: thirteen queries at most, whatever
 * their number. They are read past the ORM, which was most of what a page of sixty projects took (docs/decisions/0016).
 */
final readonly class WholePlan
{
    private const MINE = 'SELECT p.id FROM project p JOIN season s ON s.id = p.season_id WHERE s.account_id = :account';

    /** Claims of leading ways, and those of other options that take of the same cuts or lie on a saved lay. */
    private const DRAWN =
        ' AND (r.option_id IS NULL OR r.lay_id IS NOT NULL OR r.cut_id IN (:laid) OR r.cut_id IN
        (SELECT led.cut_id FROM claim led WHERE led.option_id IS NULL AND led.project_id IN ('.self::MINE.')))';

    public function __construct(private Glance $glance)
    {
    }

    /**
     * @param Built $built gets the cuts that lays name and the versions that parts name
     * @param bool  $drawn of other options than the leading ones only what they might take of cuts that something is promised:
     *                     nothing else of them is drawn on strips
     *
     * @return list<ProjectRecord> an earlier season first, in rank order
     */
    public function of(Account $account, Built $built, bool $drawn = false): array
    {
        $with = ['account' => $account->id];
        $own = static fn (): array => ['account' => $account];
        $lays = $this->glance->at(LayRecord::class, 'WHERE r.account_id = :account AND r.removed_at IS NULL', $with, $own);
        $with['laid'] = array_merge(...array_map(static fn (LayRecord $lay): array => $lay->cuts(), array_values($lays)));
        $claimed = 'WHERE r.project_id IN ('.self::MINE.' AND p.removed_at IS NULL)'.($drawn ? self::DRAWN : '');
        $this->cuts($account, $built, 'SELECT r.cut_id FROM claim r '.$claimed, $with);
        $this->patterns(
            $account,
            $built,
            'v.id IN (SELECT version_id FROM project WHERE id IN ('.self::MINE.'))
            OR v.id IN (SELECT version_id FROM project_option WHERE project_id IN ('.self::MINE.'))',
            $with,
        );
        $people = $this->glance->at(PersonRecord::class, 'WHERE r.account_id = :account', $with, $own);
        $seasons = $this->glance->at(SeasonRecord::class, 'WHERE r.account_id = :account', $with, $own);
        $projects = $this->glance->at(
            ProjectRecord::class,
            'JOIN season s ON s.id = r.season_id WHERE s.account_id = :account AND r.removed_at IS NULL
            ORDER BY s.starts, r.place_in_rank, r.id',
            $with,
            static fn (array $row): array => [
                'season' => self::one($seasons, $row['season_id']),
                'person' => self::one($people, $row['person_id']),
                'version' => self::one($built->versions, $row['version_id']),
                'options' => new ArrayCollection(),
                'claims' => new ArrayCollection(),
            ],
        );
        $of = static fn (array $row): array => ['project' => self::one($projects, $row['project_id'])];
        $options = $this->glance->at(
            OptionRecord::class,
            'WHERE r.project_id IN ('.self::MINE.' AND p.removed_at IS NULL) ORDER BY r.id',
            $with,
            static fn (array $row): array => ['version' => self::one($built->versions, $row['version_id'])] + $of($row),
        );
        $copies = $this->glance->at(
            CopyRecord::class,
            'WHERE r.project_id IN ('.self::MINE.' AND p.removed_at IS NULL)',
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
                'option' => self::one($options, $row['option_id']),
                'copy' => self::one($copies, $row['copy_id']),
            ] + $of($row),
        );
        foreach ($options as $option) {
            $option->project->options->add($option);
        }
        foreach ($claims as $claim) {
            $claim->project->claims->add($claim);
        }
        $this->parts($account, $built, [...array_values($projects), ...array_values($options)]);

        return array_values($projects);
    }

    /** @param array<string, string|list<string>> $with */
    private function cuts(Account $account, Built $built, string $claimed, array $with): void
    {
        $of = "SELECT c.cloth_id FROM cut c WHERE c.id IN ($claimed) OR c.id IN (:laid)";
        $cloths = $this->glance->at(
            ClothRecord::class,
            "WHERE r.account_id = :account AND r.id IN ($of)",
            $with,
            static fn (): array => ['account' => $account, 'cuts' => new ArrayCollection()],
        );
        $built->cuts = $this->glance->at(
            CutRecord::class,
            "WHERE r.cloth_id IN ($of) AND r.cloth_id IN (SELECT id FROM cloth WHERE account_id = :account) ORDER BY r.id",
            $with,
            static fn (array $row): array => ['cloth' => self::one($cloths, $row['cloth_id'])],
        );
        foreach ($built->cuts as $cut) {
            $cut->cloth->cuts->add($cut);
        }
    }

    /**
     * Those that have one of certain versions, with all they have.
     *
     * @param array<string, string|list<string>> $with
     */
    private function patterns(Account $account, Built $built, string $which, array $with): void
    {
        $of = "SELECT v.pattern_id FROM version v WHERE $which";
        $patterns = $this->glance->at(
            PatternRecord::class,
            "WHERE r.account_id = :account AND r.id IN ($of)",
            $with,
            static fn (): array => ['account' => $account, 'versions' => new ArrayCollection()],
        );
        $versions = $this->glance->at(
            VersionRecord::class,
            "WHERE r.pattern_id IN ($of) AND r.pattern_id IN (SELECT id FROM pattern WHERE account_id = :account) ORDER BY r.name",
            $with,
            static fn (array $row): array => ['pattern' => self::one($patterns, $row['pattern_id'])],
        );
        foreach ($versions as $version) {
            $version->pattern->versions->add($version);
        }
        $built->versions += $versions;
    }

    /**
     * The patterns that only parts come from.
     *
     * @param list<ProjectRecord|OptionRecord> $made
     */
    private function parts(Account $account, Built $built, array $made): void
    {
        $parts = array_merge(...array_map(static fn (ProjectRecord|OptionRecord $one): array => $one->parts, $made));
        $missing = array_values(array_filter(
            array_column($parts, 'version'),
            static fn (mixed $id): bool => \is_string($id) && !isset($built->versions[$id]),
        ));
        if ([] !== $missing) {
            $this->patterns($account, $built, 'v.id IN (:missing)', ['account' => $account->id, 'missing' => $missing]);
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

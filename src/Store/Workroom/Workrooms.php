<?php

declare(strict_types=1);

namespace Octavum\Store\Workroom;

use Doctrine\ORM\EntityManagerInterface;
use Octavum\Account\Account;
use Octavum\Account\AccountSettings;
use Octavum\Core\Laid\SavedLay;
use Octavum\Core\Project\Copy;
use Octavum\Core\Workroom\Workroom;
use Octavum\Document\Codec\SettingsCodec;
use Octavum\Document\Json\Refused;
use Octavum\Document\WorkroomReader;
use Octavum\Document\WorkroomWriter;
use Octavum\Store\Change\PageState;
use Octavum\Store\Cloth\ClothMapper;
use Octavum\Store\Cloth\ClothRecord;
use Octavum\Store\Cloth\ClothRepository;
use Octavum\Store\Cloth\CutRecord;
use Octavum\Store\Lay\IdentityMap;
use Octavum\Store\Lay\LayMapper;
use Octavum\Store\Lay\LayRecord;
use Octavum\Store\Lay\LayRepository;
use Octavum\Store\Notion\NotionRecord;
use Octavum\Store\Notion\NotionStore;
use Octavum\Store\Overrule\OverruleRecord;
use Octavum\Store\Overrule\Overrules;
use Octavum\Store\Pattern\PatternMapper;
use Octavum\Store\Pattern\PatternRecord;
use Octavum\Store\Pattern\PatternRepository;
use Octavum\Store\Pattern\VersionRecord;
use Octavum\Store\Person\People;
use Octavum\Store\Person\PersonRecord;
use Octavum\Store\Plan\WholePlan;
use Octavum\Store\Project\ClaimRecord;
use Octavum\Store\Project\CopyRecord;
use Octavum\Store\Project\ListRecord;
use Octavum\Store\Project\Lists;
use Octavum\Store\Project\OptionRecord;
use Octavum\Store\Project\ProjectMapper;
use Octavum\Store\Project\ProjectRecord;
use Octavum\Store\Project\SeasonRecord;

/** A whole workroom out of the database and into it. */
final readonly class Workrooms
{
    private const HELD = [
        SeasonRecord::class,
        PersonRecord::class,
        ClothRecord::class,
        PatternRecord::class,
        LayRecord::class,
        NotionRecord::class,
        ListRecord::class,
        OverruleRecord::class,
    ];

    public function __construct(
        private EntityManagerInterface $entities,
        private ClothRepository $cloths,
        private PatternRepository $patterns,
        private WholePlan $plan,
        private ClothMapper $clothMapper,
        private PatternMapper $patternMapper,
        private ProjectMapper $projectMapper,
        private AccountSettings $settings,
        private WorkroomWriter $writer,
        private WorkroomReader $reader,
        private SettingsCodec $settingsCodec,
        private LayRepository $lays,
        private LayMapper $layMapper,
        private People $people,
        private NotionStore $tins,
        private Lists $lists,
        private Overrules $overrules,
        private Replaced $replaced,
    ) {
    }

    public function load(Account $account): Workroom
    {
        $settings = $this->settings->load($account);
        $people = $this->people->all($account);
        ksort($people);
        $cloths = $patterns = [];
        foreach ($this->cloths->allOf($account) as $record) {
            $cloths[$record->id] = $this->clothMapper->cloth($record, $settings->assumptions);
        }
        $mapper = $this->patternMapper->withPieces($account);
        foreach ($this->patterns->allOf($account) as $record) {
            $patterns[$record->id] = $mapper->pattern($record);
        }
        $built = new IdentityMap($settings->assumptions, $cloths, $patterns);

        return new Workroom(
            $account->name,
            $settings,
            array_values($people),
            cloths: array_values($cloths),
            patterns: array_values($patterns),
            seasons: array_map(
                $this->projectMapper->season(...),
                $this->entities
                    ->getRepository(SeasonRecord::class)
                    ->findBy(['account' => $account, 'undated' => false, 'removedAt' => null], ['starts' => 'ASC']),
            ),
            projects: $this->projectMapper->projects($this->plan->load($account, $built), $built),
            lays: array_map(
                fn (LayRecord $record): SavedLay => $this->layMapper->lay($record, $built),
                array_reverse($this->lays->allOf($account)),
            ),
            notions: $this->tins->all($account),
            lists: $this->lists->all($account),
            overrules: $this->overrules->all($account),
        );
    }

    /** Whether nothing was ever entered: what has been taken out can still be put back. */
    public function isEmpty(Account $account): bool
    {
        foreach (self::HELD as $class) {
            if (null !== $this->entities->getRepository($class)->findOneBy(['account' => $account])) {
                return false;
            }
        }

        return true;
    }

    /**
     * Puts a workroom in the place of what the account has; what was there is kept beside it.
     *
     * @param bool $agreed that it takes the place of something, of the account's name too
     *
     * @return ?string the key under which what was there is kept, null when nothing was
     *
     * @throws Refused when there is something and it was not agreed; nothing has been changed
     */
    public function replace(Account $account, Workroom $workroom, bool $agreed = true): ?string
    {
        return $this->entities->getConnection()->transactional(function () use ($account, $workroom, $agreed): ?string {
            $empty = $this->isEmpty($account);
            if (!$empty && !$agreed) {
                throw Refused::because(
                    'There is something in this workroom: tick the box to say that the file takes its place. Nothing has been changed.',
                );
            }
            $kept = $empty ? null : $this->replaced->keep($account, $this->proved($account));
            foreach (self::HELD as $class) {
                $this->entities->createQuery('DELETE '.$class.' r WHERE r.account = :account')->execute(['account' => $account]);
            }
            $account->settings = $this->settingsCodec->write($workroom->settings);
            $account->name = $agreed ? $workroom->name : $account->name;
            $account->season = null;
            $this->add($account, $workroom);

            return $kept;
        });
    }

    /**
     * What is here as a document that was read again, so that it can be put back.
     *
     * @throws Refused when it could not be
     */
    private function proved(Account $account): string
    {
        $document = $this->writer->write($this->load($account));
        try {
            $this->reader->read($document, own: true);
        } catch (Refused) {
            throw Refused::because(
                'Nothing is replaced, because the present data could not be put back afterwards. On the machine, bin/octavum doctor --mend puts it right.',
            );
        }

        return $document;
    }

    private function add(Account $account, Workroom $workroom): void
    {
        $cloths = $cuts = $versions = $people = $seasons = $projects = $lays = [];
        foreach ($workroom->people as $person) {
            $record = $people[$person->id] = new PersonRecord($account);
            $this->people->store($person, $record);
            $this->entities->persist($record);
        }
        foreach ($workroom->notions as $notion) {
            $this->tins->store($notion, new NotionRecord($account));
        }
        foreach ($workroom->cloths as $cloth) {
            $record = $cloths[$cloth->id] = new ClothRecord($account);
            $this->clothMapper->store($cloth, $record, $workroom->settings->assumptions);
            foreach ($cloth->cuts as $cut) {
                $this->clothMapper->storeCut($cut, $cuts[$cut->id] = new CutRecord($record));
            }
            $this->entities->persist($record);
        }
        foreach ($workroom->patterns as $pattern) {
            $record = new PatternRecord($account);
            $this->patternMapper->store($pattern, $record);
            $this->patternMapper->renamePeople($record, array_map(static fn (PersonRecord $person): string => $person->id, $people));
            foreach ($pattern->versions as $version) {
                $this->patternMapper->storeVersion($version, $versions[$version->id] = new VersionRecord($record));
            }
            $this->entities->persist($record);
            foreach ($pattern->versions as $version) {
                $this->patternMapper->storePieces($version->pieces, $versions[$version->id]);
            }
        }
        foreach ($workroom->seasons as $season) {
            $record = $seasons[$season->id] = new SeasonRecord($account, $season->starts);
            $record->name = $season->name;
            $record->weeks = $season->weeks;
            $record->minutesPerWeek = $season->minutesPerWeek;
            $record->notes = $season->notes;
            $record->off = $season->off;
            $record->most = $season->most;
            $this->entities->persist($record);
        }
        foreach ($workroom->lays as $lay) {
            $this->entities->persist($lays[$lay->id] = new LayRecord($account));
        }
        $ids = array_map(static fn (VersionRecord $version): string => $version->id, $versions);
        foreach ($workroom->projects as $project) {
            $record = $projects[$project->id] = new ProjectRecord($seasons[$project->season->id] ??= SeasonRecord::none($account));
            $this->entities->persist($record->season);
            $this->projectMapper->store($project, $record);
            $record->person = null === $project->brief->person ? null : $people[$project->brief->person->id];
            foreach ([$project->current, ...$project->others] as $i => $option) {
                $made = 0 === $i ? $record->current : new OptionRecord($record);
                $this->projectMapper->storeOption($option, $made, $ids);
                $made->version = null === $option->version ? null : $versions[$option->version->id];
                foreach ([new Copy(claims: $option->claims), ...$option->copies] as $j => $copy) {
                    $line = 0 === $j ? null : new CopyRecord($made);
                    if (null !== $line) {
                        [$line->size, $line->gradedTo] = [$copy->size, $copy->gradedTo];
                        $line->person = null === $copy->person ? null : $people[$copy->person->id];
                    }
                    foreach ($copy->claims as $claim) {
                        $stored = new ClaimRecord($made, $line);
                        $this->projectMapper->storeClaim($claim, $stored);
                        $stored->cut = null === $claim->cut ? null : $cuts[$claim->cut->id];
                        $stored->lay = null === $claim->lay ? null : $lays[$claim->lay->id];
                    }
                }
            }
            $this->entities->persist($record);
        }
        $fullest = $workroom->fullest();
        $account->season = null === $fullest ? null : $seasons[$fullest->id]->id;
        foreach ($workroom->lists as $list) {
            $this->lists->store($list, $record = new ListRecord($account));
            $record->projects = array_map(static fn (string $id): string => $projects[$id]->id, $list->projects);
            $this->entities->persist($record);
        }
        foreach ($workroom->overrules as $one) {
            $record = new OverruleRecord($account, $cloths[$one->cloth], $versions[$one->version], $one->on);
            $record->reason = $one->reason;
            $this->entities->persist($record);
        }
        foreach ($workroom->lays as $lay) {
            $this->layMapper->store($lay, $lays[$lay->id]);
            $lays[$lay->id]->rename(
                array_map(static fn (CutRecord $cut): string => $cut->id, $cuts),
                array_map(static fn (ProjectRecord $project): string => $project->id, $projects),
                $ids,
            );
        }
        $this->entities->flush();
        (new PageState($this->entities->getConnection()))->renew($account->id);
    }
}

<?php

declare(strict_types=1);

namespace Octavum\Document;

use Octavum\Core\Body\Person;
use Octavum\Core\Cloth\Cloth;
use Octavum\Core\Cloth\Cut;
use Octavum\Core\Laid\LaidGarment;
use Octavum\Core\Laid\LayReview;
use Octavum\Core\Laid\SavedLay;
use Octavum\Core\Match\Overrule;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Notion\Notion;
use Octavum\Core\Pattern\Pattern;
use Octavum\Core\Pattern\Version;
use Octavum\Core\Project\Cutting;
use Octavum\Core\Project\Project;
use Octavum\Core\Project\Season;
use Octavum\Core\Season\Lists\SewingList;
use Octavum\Core\Workroom\Workroom;
use Octavum\Document\Codec\ClothCodec;
use Octavum\Document\Codec\LayCodec;
use Octavum\Document\Codec\ListCodec;
use Octavum\Document\Codec\NotionCodec;
use Octavum\Document\Codec\OverruleCodec;
use Octavum\Document\Codec\PatternCodec;
use Octavum\Document\Codec\PersonCodec;
use Octavum\Document\Codec\ProjectCodec;
use Octavum\Document\Codec\References;
use Octavum\Document\Codec\SeasonCodec;
use Octavum\Document\Codec\SettingsCodec;
use Octavum\Document\Json\Bounds;
use Octavum\Document\Json\Faults;
use Octavum\Document\Json\Node;
use Octavum\Document\Json\Refused;

/**
 * Reads an octavum-workroom document, version 1, 2 or 3 (docs/formats/octavum-workroom.md), into the core's values. One pass finds
 * every fault; a document with any is refused whole. What the database stores as JSON is read by the same codecs.
 * Longer than other files: the order in which one thing names another stands here in one place.
 */
final readonly class WorkroomReader
{
    public const FORMAT = 'octavum-workroom';

    /** The one that is written; what was written before is read, too. */
    public const VERSION = 3;

    /** Seconds in which a page judges lays; those that are left count as not sound. */
    private const JUDGED = 8.0;

    /** Larger documents are refused unread. */
    public const MOST_BYTES = 20_000_000;

    public function __construct(
        private SettingsCodec $settings = new SettingsCodec(),
        private PersonCodec $people = new PersonCodec(),
        private ClothCodec $cloths = new ClothCodec(),
        private PatternCodec $patterns = new PatternCodec(),
        private SeasonCodec $seasons = new SeasonCodec(),
        private LayCodec $lays = new LayCodec(),
        private ProjectCodec $projects = new ProjectCodec(),
        private NotionCodec $notions = new NotionCodec(),
        private ListCodec $lists = new ListCodec(),
        private OverruleCodec $overrules = new OverruleCodec(),
    ) {
    }

    /**
     * @param bool $bounded refuse, before work begins, what would take more memory than a page has, and judge lays for no longer than one
     * @param bool $own     written here a moment ago: its lays are sound where it says so
     *
     * @throws Refused with every fault found
     */
    public function read(string $json, bool $bounded = false, bool $own = false): Workroom
    {
        $faults = new Faults();
        if ($bounded) {
            Bounds::ofText($json);
        }
        $document = new Node($this->decode($json, $faults), $faults);
        $faults->refuse();
        $this->isOurs($document);
        $faults->refuse();
        $document->object([
            'format',
            'version',
            'name',
            'settings',
            'people',
            'cloths',
            'patterns',
            'seasons',
            'projects',
            'lays',
            'notions',
            'lists',
            'overrules',
        ]);
        if ($bounded) {
            Bounds::ofRows($document);
        }
        $workroom = $this->workroom($document, $own ? null : ($bounded ? self::JUDGED : \INF));
        $faults->refuse();

        return $workroom;
    }

    private function isOurs(Node $document): void
    {
        if (self::FORMAT !== $document->at('format')->scalar()) {
            $document
                ->at('format')
                ->fault(
                    'This is not an octavum-workroom document: “format” must say so, found {found}.',
                    found: $document->at('format')->found(),
                );
        }
        if (!\in_array($document->at('version')->scalar(), [1, 2, self::VERSION], true)) {
            $document
                ->at('version')
                ->fault(
                    'Version {found} of the format cannot be read here; versions 1 to 3 can.',
                    found: $document->at('version')->found(),
                );
        }
    }

    /** @param ?float $seconds for which lays are judged; null to judge none */
    private function workroom(Node $document, ?float $seconds): Workroom
    {
        $settings = $this->settings->read($document->at('settings'));
        $people = $this->byId($document->at('people'), $this->people->read(...));
        $cloths = $this->byId($document->at('cloths'), fn (Node $node): Cloth => $this->cloths->read($node, $settings->assumptions));
        $patterns = $this->byId($document->at('patterns'), $this->patterns->read(...));
        $this->keptForKnown($document->at('patterns'), array_values($patterns), $people);
        $seasons = $this->byId($document->at('seasons'), $this->seasons->read(...));
        $cuts = $this->parts($document->at('cloths'), 'cuts', array_values($cloths), static fn (Cloth $cloth): array => $cloth->cuts);
        $versions = $this->parts(
            $document->at('patterns'),
            'versions',
            array_values($patterns),
            static fn (Pattern $pattern): array => $pattern->versions,
        );
        $lays = $this->byId($document->at('lays'), fn (Node $node): SavedLay => $this->lays->read($node, $cuts));
        $projects = $this->projects($document->at('projects'), new References($people, $cuts, $versions, $seasons, $lays));
        $unjudged = 0;
        if (null !== $seconds) {
            [$lays, $unjudged] = $this->reviewed($lays, $projects, $versions, new LayReview($settings->assumptions), $seconds);
            $projects = array_map(static fn (Project $project): Project => $project->relaid($lays), $projects);
        }
        $notions = array_values($this->byId($document->at('notions'), $this->notions->read(...)));
        $lists = $this->byId($document->at('lists'), $this->lists->read(...));

        $workroom = new Workroom(
            $document->at('name')->name(),
            $settings,
            array_values($people),
            cloths: array_values($cloths),
            patterns: array_values($patterns),
            seasons: array_values($seasons),
            projects: $projects,
            lays: array_values($lays),
            notions: $notions,
            lists: array_values($lists),
            overrules: array_values(array_filter(array_map(
                fn (Node $node): ?Overrule => $this->overrules->read($node, $cloths, $versions),
                $document->at('overrules')->items(),
            ))),
            unjudged: $unjudged,
        );

        return $workroom->withKnownReferences();
    }

    /**
     * Judged again with the pieces their projects have for them.
     *
     * @param array<string, SavedLay>                $lays
     * @param list<Project>                          $projects
     * @param array<string, array{Pattern, Version}> $versions
     *
     * @return array{array<string, SavedLay>, int} by id, and for how many there was no time: they are not sound until they are judged
     */
    private function reviewed(array $lays, array $projects, array $versions, LayReview $review, float $seconds): array
    {
        $end = microtime(true) + $seconds;
        $unjudged = 0;
        $byId = array_column($projects, null, 'id');
        $reviewed = [];
        foreach ($lays as $lay) {
            if ($lay->sound && microtime(true) > $end) {
                $reviewed[$lay->id] = $lay->unjudged();
                ++$unjudged;
                continue;
            }
            $reviewed[$lay->id] = $review->review($lay, $versions, static fn (LaidGarment $garment): array => isset(
                $byId[$garment->project],
            )
                ? Cutting::laid($byId[$garment->project], $garment)
                : []);
        }

        return [$reviewed, $unjudged];
    }

    /**
     * @param list<Pattern>         $patterns
     * @param array<string, Person> $people
     */
    private function keptForKnown(Node $list, array $patterns, array $people): void
    {
        foreach ($patterns as $i => $pattern) {
            foreach (array_keys($pattern->alterations) as $j) {
                $list->at((string) $i)->at('alterations')->at((string) $j)->at('person')->named($people, 'person');
            }
        }
    }

    /** @return list<Project> */
    private function projects(Node $list, References $known): array
    {
        $seen = $projects = [];
        foreach ($list->items() as $node) {
            $id = $node->at('id')->scalar();
            if (isset($seen['#'.$id])) {
                $node->at('id')->fault('The id “{id}” stands here more than once.', id: (string) $id);
            }
            $seen['#'.$id] = true;
            $project = $this->projects->read($node, $known);
            if (null !== $project) {
                $projects[] = $project;
            }
        }

        return $projects;
    }

    private function decode(string $json, Faults $faults): mixed
    {
        if (\strlen($json) > self::MOST_BYTES) {
            $faults->add('', new Sentence('This document is larger than 20 MB; nothing has been read or changed.'));

            return null;
        }
        try {
            return json_decode($json, true, 64, \JSON_THROW_ON_ERROR);
        } catch (\JsonException $error) {
            $faults->add(
                '',
                new Sentence(
                    'This is not a whole JSON document ({error}). It may have been cut off on its way: export it again and try once more.',
                    ['error' => $error->getMessage()],
                ),
            );

            return null;
        }
    }

    /**
     * @template T of Person|Cloth|Pattern|Season|SavedLay|Notion|SewingList
     *
     * @param \Closure(Node): T $read
     *
     * @return array<string, T>
     */
    private function byId(Node $list, \Closure $read): array
    {
        $found = [];
        foreach ($list->items() as $node) {
            $value = $read($node);
            if (isset($found['#'.$value->id])) {
                $node->at('id')->fault('The id “{id}” stands here more than once.', id: $value->id);
            }
            $found['#'.$value->id] = $value;
        }

        return $found;
    }

    /**
     * The cuts of all cloths, or the versions of all patterns, by id, each with the whole it belongs to.
     *
     * @template W of Cloth|Pattern
     * @template P of Cut|Version
     *
     * @param list<W>              $wholes
     * @param \Closure(W): list<P> $parts
     *
     * @return array<string, array{W, P}>
     */
    private function parts(Node $list, string $field, array $wholes, \Closure $parts): array
    {
        $found = [];
        foreach ($wholes as $i => $whole) {
            foreach ($parts($whole) as $j => $part) {
                if (isset($found['#'.$part->id])) {
                    $list
                        ->at((string) $i)
                        ->at($field)
                        ->at((string) $j)
                        ->at('id')
                        ->fault('The id “{id}” stands here more than once.', id: $part->id);
                }
                $found['#'.$part->id] = [$whole, $part];
            }
        }

        return $found;
    }
}

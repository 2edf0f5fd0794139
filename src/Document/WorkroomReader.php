<?php

declare(strict_types=1);

namespace Octavum\Document;

use Octavum\Core\Body\BodyPoint;
use Octavum\Core\Body\Measured;
use Octavum\Core\Body\Person;
use Octavum\Core\Cloth\Bite;
use Octavum\Core\Cloth\CareLabel;
use Octavum\Core\Cloth\Cloth;
use Octavum\Core\Cloth\ClothType;
use Octavum\Core\Cloth\Cut;
use Octavum\Core\Cloth\CutState;
use Octavum\Core\Cloth\Direction;
use Octavum\Core\Cloth\Drape;
use Octavum\Core\Cloth\Feel;
use Octavum\Core\Cloth\FibreFamily;
use Octavum\Core\Cloth\FibreMix;
use Octavum\Core\Cloth\Knowledge;
use Octavum\Core\Cloth\LedgerEntry;
use Octavum\Core\Cloth\LedgerKind;
use Octavum\Core\Cloth\Opacity;
use Octavum\Core\Cloth\PrintKind;
use Octavum\Core\Cloth\Shrinkage;
use Octavum\Core\Cloth\Structure;
use Octavum\Core\Cloth\TestDone;
use Octavum\Core\Cloth\TestKind;
use Octavum\Core\Cloth\Weight;
use Octavum\Core\Cloth\WeightClass;
use Octavum\Core\Laid\LayReview;
use Octavum\Core\Laid\SavedLay;
use Octavum\Core\Measure\Assumptions;
use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\Matching;
use Octavum\Core\Measure\Percent;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Measure\System;
use Octavum\Core\Measure\Width;
use Octavum\Core\Need\Alteration;
use Octavum\Core\Notion\Notion;
use Octavum\Core\Notion\NotionKind;
use Octavum\Core\Pattern\ClothAdvice;
use Octavum\Core\Pattern\Edition;
use Octavum\Core\Pattern\KeptAlteration;
use Octavum\Core\Pattern\Nap;
use Octavum\Core\Pattern\Ownership;
use Octavum\Core\Pattern\PaperState;
use Octavum\Core\Pattern\Pattern;
use Octavum\Core\Pattern\PatternFormat;
use Octavum\Core\Pattern\Requirement;
use Octavum\Core\Pattern\RequirementTable;
use Octavum\Core\Pattern\Runs;
use Octavum\Core\Pattern\SizeChart;
use Octavum\Core\Pattern\Technique;
use Octavum\Core\Pattern\Version;
use Octavum\Core\Piece\Garment;
use Octavum\Core\Piece\PieceSet;
use Octavum\Core\Piece\Role;
use Octavum\Core\Season\Certainty;
use Octavum\Core\Season\Claim;
use Octavum\Core\Season\Project;
use Octavum\Core\Season\ProjectState;
use Octavum\Core\Season\Season;
use Octavum\Core\Season\Wish;
use Octavum\Core\Shopping\Counter;
use Octavum\Core\Workroom\DateStyle;
use Octavum\Core\Workroom\Dialect;
use Octavum\Core\Workroom\Settings;
use Octavum\Core\Workroom\Workroom;

/**
 * Reads an octavum-workroom document, version 1 (docs/formats/octavum-workroom.md), into the core's values. One pass
 * finds every fault; a document with any is refused whole. The parts stored as JSON are read by the same methods.
 */
final readonly class WorkroomReader
{
    public const FORMAT = 'octavum-workroom';
    public const VERSION = 1;

    /** Larger documents are refused unread. */
    public const MOST_BYTES = 20_000_000;

    /** What a page can take in with the memory of a worker, 256 MB; counted before anything is unpacked. The command takes more. */
    private const MOST_SIGNS = ['{' => 80_000, '[' => 400_000, ',' => 2_000_000];
    private const MOST_ROWS = 8_000;

    public function __construct(private PieceReader $pieces = new PieceReader())
    {
    }

    /**
     * @param bool $bounded refuse, before work begins, what would take more memory than a page has
     *
     * @throws Refused with every fault found
     */
    public function read(string $json, bool $bounded = false): Workroom
    {
        $faults = new Faults();
        if ($bounded) {
            foreach (self::MOST_SIGNS as $sign => $most) {
                substr_count($json, $sign) <= $most || throw self::tooMany();
            }
        }
        $document = new Node($this->decode($json, $faults), $faults);
        $faults->refuse();
        if (self::FORMAT !== $document->at('format')->scalar()) {
            $document->at('format')->fault('This is not an octavum-workroom document: “format” must say so, found {found}.', found: $document->at('format')->found());
        }
        if (self::VERSION !== $document->at('version')->scalar()) {
            $document->at('version')->fault('Version {found} of the format cannot be read here; version 1 can.', found: $document->at('version')->found());
        }
        $faults->refuse();
        $document->object(['format', 'version', 'name', 'settings', 'people', 'cloths', 'patterns', 'seasons', 'projects', 'lays', 'notions']);
        if ($bounded && self::rows($document) > self::MOST_ROWS) {
            throw self::tooMany();
        }
        $settings = $this->settings($document->at('settings'));
        $people = $this->byId($document->at('people'), $this->person(...));
        $cloths = $this->byId($document->at('cloths'), fn (Node $node): Cloth => $this->cloth($node, $settings->assumptions));
        $patterns = $this->byId($document->at('patterns'), $this->pattern(...));
        foreach (array_values($patterns) as $i => $pattern) {
            foreach ($pattern->alterations as $j => $alteration) {
                $this->named($document->at('patterns')->at((string) $i)->at('alterations')->at((string) $j)->at('person'), $people, 'person');
            }
        }
        $seasons = $this->byId($document->at('seasons'), $this->season(...));
        $cuts = $this->parts($document->at('cloths'), 'cuts', array_values($cloths), static fn (Cloth $cloth): array => $cloth->cuts);
        $versions = $this->parts($document->at('patterns'), 'versions', array_values($patterns), static fn (Pattern $pattern): array => $pattern->versions);
        $review = new LayReview($settings->assumptions);
        $lays = $this->byId($document->at('lays'), fn (Node $node): SavedLay => $review->of($this->pieces->lay($node, $cuts), $versions));
        $projects = $this->projects($document->at('projects'), $people, $cuts, $versions, $seasons, $lays);
        $this->laidKnown($document->at('lays'), array_values($lays), $projects, $versions);
        $notions = array_values($this->byId($document->at('notions'), $this->notion(...)));
        $name = $document->at('name')->name();
        $faults->refuse();

        return new Workroom($name, $settings, array_values($people), array_values($cloths), array_values($patterns), array_values($seasons), $projects, array_values($lays), $notions);
    }

    /**
     * What a lay holds must be in the document, too.
     *
     * @param list<SavedLay>                         $lays
     * @param list<Project>                          $projects
     * @param array<string, array{Pattern, Version}> $versions
     */
    private function laidKnown(Node $list, array $lays, array $projects, array $versions): void
    {
        $ids = array_map(static fn (Project $project): string => $project->id, $projects);
        foreach ($lays as $i => $lay) {
            foreach ($lay->garments as $j => $garment) {
                $node = $list->at((string) $i)->at('garments')->at((string) $j);
                if (null !== $garment->project && !\in_array($garment->project, $ids, true)) {
                    $node->at('project')->fault('There is no {kind} with the id “{id}” in this document.', kind: 'project', id: $garment->project);
                }
                if (null !== $garment->version && !isset($versions['#'.$garment->version])) {
                    $node->at('version')->fault('There is no {kind} with the id “{id}” in this document.', kind: 'version', id: $garment->version);
                }
            }
        }
    }

    public function settings(Node $node): Settings
    {
        if ($node->isThere()) {
            $node->object(['units', 'counter', 'currency', 'squaring', 'selvage', 'fitsLeast', 'dialect', 'dates', 'bothUnits', 'matching']);
        }
        $currency = $node->at('currency')->optionalText(3) ?? 'EUR';
        if (1 !== preg_match('/^[A-Z]{3}$/', $currency)) {
            $node->at('currency')->fault('A currency is three capital letters, such as EUR.');
        }

        return new Settings(
            $node->at('units')->choice(System::class) ?? System::Metric,
            $node->at('counter')->choice(Counter::class) ?? Counter::TenCentimetres,
            $currency,
            new Assumptions($node->at('squaring')->length(), $node->at('selvage')->length(), $node->at('fitsLeast')->length(), $node->at('matching')->choice(Matching::class) ?? Matching::MainSeams),
            $node->at('dialect')->choice(Dialect::class) ?? Dialect::British,
            $node->at('dates')->choice(DateStyle::class) ?? DateStyle::DayFirst,
            $node->at('bothUnits')->boolean(),
        );
    }

    /** @return list<LedgerEntry> */
    private function ledger(Node $node): array
    {
        return array_map(static function (Node $entry): LedgerEntry {
            $entry->object(['on', 'kind', 'length', 'note']);

            return new LedgerEntry($entry->at('on')->requiredDate(), $entry->at('kind')->choice(LedgerKind::class) ?? LedgerKind::Bought, $entry->at('length')->length(), $entry->at('note')->text());
        }, $node->items());
    }

    /** @return list<Bite> */
    public function bites(Node $node): array
    {
        return array_map(static function (Node $bite): Bite {
            $bite->object(['from', 'below', 'length', 'width']);
            $place = static fn (Node $at): Length => 0 === $at->scalar() || !$at->isThere() ? Length::zero() : $at->requiredLength();

            return new Bite($place($bite->at('from')), $place($bite->at('below')), $bite->at('length')->requiredLength(), $bite->at('width')->requiredLength());
        }, $node->items(20));
    }

    /** @return list<Edition> */
    public function editions(Node $node): array
    {
        return array_map(static function (Node $edition): Edition {
            $edition->object(['name', 'sizes', 'paper', 'missing']);

            return new Edition($edition->at('name')->text(120), $edition->at('sizes')->texts(20), $edition->at('paper')->choice(PaperState::class), $edition->at('missing')->text(200));
        }, $node->items());
    }

    private function table(Node $sizes, Node $rows, Node $units): RequirementTable
    {
        $columns = $sizes->texts(20);
        if (\count(array_unique($columns)) !== \count($columns)) {
            $sizes->fault('Each size may stand here only once.');
        }

        return new RequirementTable($columns, array_map(function (Node $row) use ($columns): Requirement {
            $row->object(['role', 'width', 'nap', 'lengths']);

            return new Requirement($row->at('role')->choice(Role::class) ?? Role::Main, $row->at('width')->requiredLength(), $row->at('nap')->choice(Nap::class) ?? Nap::Without, $this->cells($row->at('lengths'), $columns));
        }, $rows->items()), $units->choice(System::class));
    }

    /** @return list<Alteration> */
    public function alterations(Node $node): array
    {
        return array_map(static function (Node $alteration): Alteration {
            $alteration->object(['name', 'length', 'roles']);

            return new Alteration($alteration->at('name')->name(), $alteration->at('length')->requiredChange(), self::roles($alteration->at('roles')));
        }, $node->items());
    }

    /** @return list<Role> that an alteration lengthens */
    private static function roles(Node $node): array
    {
        return $node->isThere() ? array_values(array_filter(array_map(static fn (Node $one): ?Role => $one->choice(Role::class), $node->items(11)))) : KeptAlteration::ROLES;
    }

    public function wish(Node $node): Wish
    {
        $node->object(['name', 'fibres', 'structure', 'oneWay', 'repeat', 'pricePerMetre', 'width']);

        return new Wish(
            $node->at('name')->name(),
            $this->fibres($node->at('fibres'), Knowledge::Seller),
            $node->at('structure')->choice(Structure::class) ?? Structure::Woven,
            $node->at('oneWay')->boolean(),
            $node->at('repeat')->length(),
            $node->at('pricePerMetre')->integer(0, 9_999_999),
            $node->at('width')->length(),
        );
    }

    private static function rows(Node $document): int
    {
        $rows = 0;
        foreach (['people' => null, 'cloths' => 'cuts', 'patterns' => 'versions', 'seasons' => null, 'projects' => 'claims', 'lays' => 'pieces', 'notions' => null] as $list => $parts) {
            foreach ($document->at($list)->items() as $node) {
                $rows += 1 + (null === $parts ? 0 : \count($node->at($parts)->items()));
            }
        }

        return $rows;
    }

    private static function tooMany(): Refused
    {
        return Refused::because('This document holds more than a page can take in at once, some 8000 cuts, versions, projects and so on: import it on the machine that Octavum runs on, with bin/octavum import. Nothing has been changed.');
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
            $faults->add('', new Sentence('This is not a whole JSON document ({error}). It may have been cut off on its way: export it again and try once more.', ['error' => $error->getMessage()]));

            return null;
        }
    }

    /**
     * @template T of Person|Cloth|Pattern|Season|SavedLay|Notion
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
                    $list->at((string) $i)->at($field)->at((string) $j)->at('id')->fault('The id “{id}” stands here more than once.', id: $part->id);
                }
                $found['#'.$part->id] = [$whole, $part];
            }
        }

        return $found;
    }

    private function notion(Node $node): Notion
    {
        $node->object(['id', 'kind', 'measure', 'count', 'length', 'name', 'place', 'notes']);

        return new Notion($node->at('id')->name(60), $node->at('kind')->choice(NotionKind::class) ?? NotionKind::Other, $node->at('measure')->length(), $node->at('count')->integer(0, 10_000), $node->at('length')->length(), $node->at('name')->text(120), $node->at('place')->text(120), $node->at('notes')->text());
    }

    private function person(Node $node): Person
    {
        $node->object(['id', 'name', 'child', 'notes', 'measured']);

        return new Person($node->at('id')->name(60), $node->at('name')->name(), $node->at('child')->boolean(), $node->at('notes')->text(), $this->measured($node->at('measured')));
    }

    /** @return list<Measured> */
    public function measured(Node $node): array
    {
        return array_map(fn (Node $day): Measured => $day->object(['on', 'points']) ? new Measured($day->at('on')->requiredDate(), $this->points($day->at('points'))) : new Measured(new \DateTimeImmutable('@0'), []), $node->items());
    }

    /** @return array<string, Length> */
    private function points(Node $node): array
    {
        $points = [];
        foreach ($node->object(array_column(BodyPoint::cases(), 'value')) ? $node->names() : [] as $point) {
            $points[$point] = $node->at($point)->requiredLength();
        }

        return $points;
    }

    public function advice(Node $node): ClothAdvice
    {
        if (!$node->isThere() || !$node->object(['recommended', 'stretch', 'lightest', 'heaviest', 'crispest', 'mostFluid', 'notFor'])) {
            return new ClothAdvice();
        }

        return new ClothAdvice($node->at('recommended')->text(300), $node->at('stretch')->integer(0, 300), $node->at('lightest')->choice(WeightClass::class), $node->at('heaviest')->choice(WeightClass::class), $node->at('crispest')->choice(Drape::class), $node->at('mostFluid')->choice(Drape::class), $node->at('notFor')->text(200));
    }

    /** @return list<Technique> */
    public function techniques(Node $node): array
    {
        return array_values(array_filter(array_map(static fn (Node $item): ?Technique => $item->choice(Technique::class), $node->items(30))));
    }

    /** @return list<KeptAlteration> */
    public function kept(Node $node): array
    {
        return array_map(static function (Node $item): KeptAlteration {
            $item->object(['person', 'name', 'length', 'drawn', 'roles']);

            return new KeptAlteration($item->at('person')->name(60), $item->at('name')->name(), $item->at('length')->isThere() ? $item->at('length')->requiredChange() : null, $item->at('drawn')->boolean(), self::roles($item->at('roles')));
        }, $node->items(100));
    }

    public function chart(Node $node): SizeChart
    {
        if (!$node->isThere() || !$node->object(['sizes', 'body', 'finished', 'by', 'height', 'runs'])) {
            return new SizeChart();
        }
        $sizes = $node->at('sizes')->texts(20);

        return new SizeChart($sizes, $this->chartRows($node->at('body'), $sizes), $this->chartRows($node->at('finished'), $sizes), $node->at('by')->choice(BodyPoint::class), $node->at('height')->length(), $node->at('runs')->choice(Runs::class));
    }

    /**
     * @param list<string> $sizes
     *
     * @return array<string, array<string, Length>>
     */
    private function chartRows(Node $node, array $sizes): array
    {
        $rows = [];
        foreach ($node->isThere() && $node->object(array_column(BodyPoint::cases(), 'value')) ? $node->names() : [] as $point) {
            $rows[$point] = $this->cells($node->at($point), $sizes);
        }

        return $rows;
    }

    /**
     * @param list<string> $sizes
     *
     * @return array<string, Length> by size
     */
    private function cells(Node $node, array $sizes): array
    {
        $lengths = $node->items();
        if (\count($lengths) !== \count($sizes)) {
            $node->fault('There are {lengths} lengths for {sizes} sizes: one for each is expected, null where the envelope has none.', lengths: \count($lengths), sizes: \count($sizes));
        }
        $cells = [];
        foreach ($sizes as $i => $size) {
            $length = ($lengths[$i] ?? null)?->length();
            if (null !== $length) {
                $cells[$size] = $length;
            }
        }

        return $cells;
    }

    private function cloth(Node $node, Assumptions $assumptions): Cloth
    {
        $node->object(['id', 'name', 'structure', 'type', 'fibres', 'fibresKnown', 'weight', 'width', 'selvage', 'print', 'direction', 'repeat', 'shrinkage', 'colours', 'place', 'pricePerMetre', 'moreToBeHad', 'setAside', 'notes', 'cuts', 'stretch', 'drape', 'opacity', 'takesCrease', 'clearSide', 'photo', 'set', 'care', 'family', 'tests']);
        $full = $node->at('width')->length();
        $selvage = $node->at('selvage')->length();
        if (null === $full && $node->at('selvage')->isThere()) {
            $node->at('selvage')->fault('A selvage is taken from the width: give the width too.');
        }
        $shrinkage = $node->at('shrinkage');
        $cuts = $this->cuts($node->at('cuts'));

        return new Cloth(
            $node->at('id')->name(60),
            $node->at('name')->name(),
            null === $full ? null : $node->at('width')->attempt(static fn (): Width => Width::of($full, $selvage ?? $assumptions->selvage)),
            $node->at('structure')->choice(Structure::class),
            $node->at('type')->choice(ClothType::class),
            $this->fibres($node->at('fibres'), $node->at('fibresKnown')->choice(Knowledge::class) ?? Knowledge::Unknown),
            $this->weight($node->at('weight')),
            $node->at('print')->choice(PrintKind::class) ?? PrintKind::Plain,
            $node->at('direction')->choice(Direction::class),
            $node->at('repeat')->length(),
            $shrinkage->isThere() && $shrinkage->object(['along', 'across']) ? $shrinkage->attempt(static fn (): Shrinkage => Shrinkage::tested(Percent::of($shrinkage->at('along')->number()), Percent::of($shrinkage->at('across')->number()))) : null,
            $this->colours($node->at('colours')),
            $node->at('place')->text(120),
            $node->at('pricePerMetre')->integer(0, 9_999_999),
            $node->at('moreToBeHad')->optionalBoolean(),
            $node->at('setAside')->boolean(),
            $node->at('notes')->text(),
            $cuts,
            $this->feel($node),
            $node->at('photo')->optionalText(26),
            $node->at('set')->text(60),
            $node->at('care')->isThere() ? CareLabel::of($node->at('care')->text(120)) : null,
            $node->at('family')->choice(FibreFamily::class),
            $this->tests($node->at('tests')),
        );
    }

    /** @return list<TestDone> */
    public function tests(Node $node): array
    {
        return array_map(static function (Node $item): TestDone {
            $item->object(['on', 'kind', 'showed']);

            return new TestDone($item->at('on')->requiredDate(), $item->at('kind')->choice(TestKind::class) ?? TestKind::Width, $item->at('showed')->text(200));
        }, $node->items(200));
    }

    public function feel(Node $node): Feel
    {
        $stretch = $node->at('stretch');
        if ($stretch->isThere()) {
            $stretch->object(['across', 'along']);
        }

        return new Feel($stretch->at('across')->integer(0, 300), $stretch->at('along')->integer(0, 300), $node->at('drape')->choice(Drape::class), $node->at('opacity')->choice(Opacity::class), $node->at('takesCrease')->optionalBoolean(), $node->at('clearSide')->optionalBoolean());
    }

    private function fibres(Node $node, Knowledge $knowledge): FibreMix
    {
        $shares = [];
        foreach ($node->names() as $fibre) {
            $shares[$fibre] = $node->at($fibre)->integer(1, 100) ?? 0;
        }

        return $node->attempt(static fn (): FibreMix => FibreMix::of($shares, $knowledge)) ?? FibreMix::unknown();
    }

    private function weight(Node $node): ?Weight
    {
        if (!$node->isThere()) {
            return null;
        }
        if (!str_starts_with($node->found(), '“')) {
            $grams = $node->integer(5, 2000);

            return null === $grams ? null : Weight::ofGrams($grams);
        }
        $class = $node->choice(WeightClass::class);

        return null === $class ? null : Weight::ofClass($class);
    }

    /** @return list<string> */
    private function colours(Node $node): array
    {
        return array_map(static function (Node $item): string {
            $colour = mb_strtolower($item->text(7));
            if (1 !== preg_match('/^#[0-9a-f]{6}$/D', $colour)) {
                $item->fault('A colour is written such as #27405e, found {found}.', found: $item->found());
            }

            return $colour;
        }, $node->items(6));
    }

    /** @return list<Cut> */
    private function cuts(Node $node): array
    {
        return array_map(function (Node $cut): Cut {
            $cut->object(['id', 'label', 'state', 'expected', 'ledger', 'bites']);

            return new Cut($cut->at('id')->name(60), $this->ledger($cut->at('ledger')), $cut->at('label')->text(60), $cut->at('state')->choice(CutState::class) ?? CutState::Arrived, $cut->at('expected')->date(), $this->bites($cut->at('bites')));
        }, $node->items());
    }

    private function pattern(Node $node): Pattern
    {
        $node->object(['id', 'title', 'maker', 'number', 'otherNumbers', 'garment', 'format', 'ownership', 'onlyFor', 'minutes', 'place', 'notes', 'editions', 'versions', 'chart', 'files', 'cloth', 'techniques', 'alterations']);

        return new Pattern(
            $node->at('id')->name(60),
            $node->at('title')->name(),
            $node->at('maker')->text(120),
            $node->at('number')->text(60),
            $node->at('otherNumbers')->texts(60),
            $node->at('garment')->choice(Garment::class) ?? Garment::Other,
            $node->at('format')->choice(PatternFormat::class) ?? PatternFormat::Tissue,
            $node->at('ownership')->choice(Ownership::class) ?? Ownership::Owned,
            $node->at('onlyFor')->choice(Structure::class),
            $node->at('minutes')->integer(0, 100_000),
            $node->at('place')->text(120),
            $node->at('notes')->text(),
            $this->editions($node->at('editions')),
            array_map(function (Node $version): Version {
                $version->object(['id', 'name', 'sizes', 'units', 'requirements', 'notions', 'minutes', 'notes', 'pieces']);
                $table = $this->table($version->at('sizes'), $version->at('requirements'), $version->at('units'));

                return new Version($version->at('id')->name(60), $version->at('name')->name(60), $table, $version->at('notions')->texts(200), $version->at('minutes')->integer(0, 100_000), $version->at('notes')->text(), PieceSet::of($this->pieces->pieces($version->at('pieces')), $table->sizes));
            }, $node->at('versions')->items()),
            $this->chart($node->at('chart')),
            $node->at('files')->texts(26),
            $this->advice($node->at('cloth')),
            $this->techniques($node->at('techniques')),
            $this->kept($node->at('alterations')),
        );
    }

    private function season(Node $node): Season
    {
        $node->object(['id', 'name', 'starts', 'weeks', 'minutesPerWeek', 'notes']);

        return new Season($node->at('id')->name(60), $node->at('name')->name(), $node->at('starts')->requiredDate(), $node->at('weeks')->requiredInteger(1, 60), $node->at('minutesPerWeek')->requiredInteger(0, 10_080), $node->at('notes')->text());
    }

    /**
     * @param array<string, Person>                  $people
     * @param array<string, array{Cloth, Cut}>       $cuts
     * @param array<string, array{Pattern, Version}> $versions
     * @param array<string, Season>                  $seasons
     * @param array<string, SavedLay>                $lays
     *
     * @return list<Project>
     */
    private function projects(Node $list, array $people, array $cuts, array $versions, array $seasons, array $lays): array
    {
        $seen = [];
        $projects = [];
        foreach ($list->items() as $node) {
            $node->object(['id', 'name', 'season', 'rank', 'person', 'version', 'size', 'gradedTo', 'certainty', 'state', 'deadline', 'minutes', 'alterations', 'claims', 'notes', 'notionsTaken', 'matching', 'leftOut', 'declined']);
            $id = $node->at('id')->name(60);
            if (isset($seen['#'.$id])) {
                $node->at('id')->fault('The id “{id}” stands here more than once.', id: $id);
            }
            $seen['#'.$id] = true;
            $season = $this->named($node->at('season'), $seasons, 'season');
            if (null === $season) {
                if (!$node->at('season')->isThere()) {
                    $node->at('season')->fault('The season of this project is missing.');
                }
                continue;
            }
            [$pattern, $version] = $this->named($node->at('version'), $versions, 'version') ?? [null, null];
            $projects[] = new Project(
                $id,
                $node->at('name')->name(),
                $season,
                $node->at('rank')->integer(0, 1_000_000) ?? 0,
                $this->named($node->at('person'), $people, 'person'),
                $pattern,
                $version,
                $node->at('size')->optionalText(20),
                $node->at('gradedTo')->optionalText(20),
                $node->at('certainty')->choice(Certainty::class) ?? Certainty::Likely,
                $node->at('state')->choice(ProjectState::class) ?? ProjectState::Planned,
                $node->at('deadline')->date(),
                $node->at('minutes')->integer(0, 100_000),
                $this->alterations($node->at('alterations')),
                $this->claims($node->at('claims'), $id, $cuts, $lays),
                $node->at('notes')->text(),
                $node->at('notionsTaken')->boolean(),
                $node->at('matching')->choice(Matching::class),
                $node->at('leftOut')->texts(120),
                array_values(array_filter(array_map(static fn (Node $one): ?Role => $one->choice(Role::class), $node->at('declined')->items(11)))),
            );
        }

        return $projects;
    }

    /**
     * @param array<string, array{Cloth, Cut}> $cuts
     * @param array<string, SavedLay>          $lays
     *
     * @return list<Claim>
     */
    private function claims(Node $list, string $project, array $cuts, array $lays): array
    {
        $claims = [];
        foreach ($list->items(50) as $i => $node) {
            $node->object(['role', 'cut', 'buy', 'length', 'cutOut', 'lay']);
            [$cloth, $cut] = $this->named($node->at('cut'), $cuts, 'cut') ?? [null, null];
            if (null !== $cut && $node->at('buy')->isThere()) {
                $node->fault('A claim has either a cut or something to buy, not both.');
            }
            $claims[] = new Claim($project.'#'.$i, $node->at('role')->choice(Role::class) ?? Role::Main, $cloth, $cut, $node->at('buy')->isThere() ? $this->wish($node->at('buy')) : null, $node->at('length')->length(), $node->at('cutOut')->boolean(), $this->named($node->at('lay'), $lays, 'lay'));
        }

        return $claims;
    }

    /**
     * @template T
     *
     * @param array<string, T> $known by id
     *
     * @return ?T
     */
    private function named(Node $node, array $known, string $kind): mixed
    {
        $id = $node->optionalText(60);
        if (null === $id) {
            return null;
        }
        if (!isset($known['#'.$id])) {
            $node->fault('There is no {kind} with the id “{id}” in this document.', kind: $kind, id: $id);
        }

        return $known['#'.$id] ?? null;
    }
}

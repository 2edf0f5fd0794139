<?php

declare(strict_types=1);

namespace Octavum\Document;

use Octavum\Core\Body\Measured;
use Octavum\Core\Body\Person;
use Octavum\Core\Cloth\Bite;
use Octavum\Core\Cloth\Cloth;
use Octavum\Core\Cloth\Cut;
use Octavum\Core\Cloth\Feel;
use Octavum\Core\Cloth\FibreMix;
use Octavum\Core\Cloth\LedgerEntry;
use Octavum\Core\Cloth\TestDone;
use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\Matching;
use Octavum\Core\Need\Alteration;
use Octavum\Core\Notion\Notion;
use Octavum\Core\Pattern\Edition;
use Octavum\Core\Pattern\KeptAlteration;
use Octavum\Core\Pattern\Pattern;
use Octavum\Core\Pattern\Requirement;
use Octavum\Core\Pattern\RequirementTable;
use Octavum\Core\Pattern\SizeChart;
use Octavum\Core\Pattern\Technique;
use Octavum\Core\Pattern\Version;
use Octavum\Core\Piece\Role;
use Octavum\Core\Season\Claim;
use Octavum\Core\Season\Project;
use Octavum\Core\Season\Season;
use Octavum\Core\Season\Wish;
use Octavum\Core\Workroom\DateStyle;
use Octavum\Core\Workroom\Dialect;
use Octavum\Core\Workroom\Settings;
use Octavum\Core\Workroom\Workroom;

/**
 * Writes a workroom as an octavum-workroom document, version 1. What is not known is left out. The parts stored as JSON
 * are written by the same methods.
 */
final readonly class WorkroomWriter
{
    public function __construct(private PieceWriter $pieces = new PieceWriter())
    {
    }

    public function write(Workroom $workroom): string
    {
        return json_encode($this->document($workroom), \JSON_THROW_ON_ERROR | \JSON_PRETTY_PRINT | \JSON_UNESCAPED_SLASHES | \JSON_UNESCAPED_UNICODE)."\n";
    }

    /** @return array<string, mixed> */
    public function settings(Settings $settings): array
    {
        return [
            'units' => $settings->system->value,
            'counter' => $settings->counter->value,
            'currency' => $settings->currency,
            'squaring' => $settings->assumptions->squaring->millimetres(),
            'selvage' => $settings->assumptions->selvage->millimetres(),
            'fitsLeast' => $settings->assumptions->fitsLeast->millimetres(),
            ...(Dialect::British === $settings->dialect ? [] : ['dialect' => $settings->dialect->value]),
            ...(DateStyle::DayFirst === $settings->dates ? [] : ['dates' => $settings->dates->value]),
            ...($settings->bothUnits ? ['bothUnits' => true] : []),
            ...(Matching::MainSeams === $settings->assumptions->matching ? [] : ['matching' => $settings->assumptions->matching->value]),
        ];
    }

    /**
     * @param list<LedgerEntry> $ledger
     *
     * @return list<array{on: string, kind: string, length?: float|int, note?: string}>
     */
    public function ledger(array $ledger): array
    {
        return array_map(static fn (LedgerEntry $entry): array => [
            'on' => $entry->on->format('Y-m-d'),
            'kind' => $entry->kind->value,
            ...(null === $entry->length ? [] : ['length' => $entry->length->millimetres()]),
            ...('' === $entry->note ? [] : ['note' => $entry->note]),
        ], $ledger);
    }

    /**
     * @param list<Bite> $bites
     *
     * @return list<array{from: float|int, below: float|int, length: float|int, width: float|int}>
     */
    public function bites(array $bites): array
    {
        return array_map(static fn (Bite $bite): array => ['from' => $bite->from->millimetres(), 'below' => $bite->below->millimetres(), 'length' => $bite->length->millimetres(), 'width' => $bite->width->millimetres()], $bites);
    }

    /**
     * @param list<Edition> $editions
     *
     * @return list<array<string, mixed>>
     */
    public function editions(array $editions): array
    {
        return array_map(static fn (Edition $edition): array => self::known(['name' => $edition->name, 'sizes' => $edition->sizes, 'paper' => $edition->paper?->value, 'missing' => $edition->missing]), $editions);
    }

    /** @return list<array{role: string, width: float|int, nap: string, lengths: list<float|int|null>}> */
    public function requirements(RequirementTable $table): array
    {
        return array_map(static fn (Requirement $row): array => [
            'role' => $row->role->value,
            'width' => $row->width->millimetres(),
            'nap' => $row->nap->value,
            'lengths' => array_map(static fn (string $size): float|int|null => ($row->cells[$size] ?? null)?->millimetres(), $table->sizes),
        ], $table->rows);
    }

    /**
     * @param list<Alteration> $alterations
     *
     * @return list<array<string, mixed>>
     */
    public function alterations(array $alterations): array
    {
        return array_map(static fn (Alteration $alteration): array => ['name' => $alteration->name, 'length' => $alteration->length->millimetres()] + self::roles($alteration->roles), $alterations);
    }

    /** @return array<string, ?int> null for a share nobody knows */
    private static function fibres(FibreMix $fibres): array
    {
        return array_map(static fn (int $share): ?int => 0 === $share ? null : $share, $fibres->shares);
    }

    /**
     * @param list<Role> $roles that an alteration lengthens, left out where they are the usual ones
     *
     * @return array{roles?: list<string>}
     */
    private static function roles(array $roles): array
    {
        return KeptAlteration::ROLES === $roles ? [] : ['roles' => array_map(static fn (Role $role): string => $role->value, $roles)];
    }

    /** @return array<string, mixed> */
    public function wish(Wish $wish): array
    {
        return self::known([
            'name' => $wish->name,
            'fibres' => self::fibres($wish->fibres),
            'structure' => $wish->structure->value,
            'oneWay' => $wish->oneWay,
            'repeat' => $wish->repeat?->millimetres(),
            'pricePerMetre' => $wish->pricePerMetre,
            'width' => $wish->width?->millimetres(),
        ]);
    }

    /** @return array<string, mixed> */
    private function document(Workroom $workroom): array
    {
        return [
            'format' => WorkroomReader::FORMAT,
            'version' => WorkroomReader::VERSION,
            'name' => $workroom->name,
            'settings' => $this->settings($workroom->settings),
            'people' => array_map(static fn (Person $person): array => self::known(['id' => $person->id, 'name' => $person->name, 'child' => $person->child, 'notes' => $person->notes, 'measured' => self::measured($person->measured)]), $workroom->people),
            'cloths' => array_map(fn (Cloth $cloth): array => $this->cloth($cloth, $workroom->settings->assumptions->selvage), $workroom->cloths),
            'patterns' => array_map(fn (Pattern $pattern): array => $this->pattern($pattern, array_map(static fn (Person $person): string => $person->id, $workroom->people)), $workroom->patterns),
            'seasons' => array_map(static fn (Season $season): array => self::known(['id' => $season->id, 'name' => $season->name, 'starts' => $season->starts->format('Y-m-d'), 'weeks' => $season->weeks, 'minutesPerWeek' => $season->minutesPerWeek, 'notes' => $season->notes]), $workroom->seasons),
            'projects' => array_map($this->project(...), $workroom->projects),
            'lays' => array_map($this->pieces->lay(...), $workroom->lays),
            'notions' => array_map(static fn (Notion $notion): array => self::known(['id' => $notion->id, 'kind' => $notion->kind->value, 'measure' => $notion->measure?->millimetres(), 'count' => $notion->count, 'length' => $notion->length?->millimetres(), 'name' => $notion->name, 'place' => $notion->place, 'notes' => $notion->notes]), $workroom->notions),
        ];
    }

    /** @return array<string, mixed> */
    private function cloth(Cloth $cloth, Length $usualSelvage): array
    {
        $selvage = $cloth->width?->selvage;

        return self::known([
            'id' => $cloth->id,
            'name' => $cloth->name,
            'structure' => $cloth->statedStructure?->value,
            'type' => $cloth->type?->value,
            'fibres' => self::fibres($cloth->fibres),
            'fibresKnown' => $cloth->fibres->isKnown() ? $cloth->fibres->knowledge->value : null,
            'weight' => $cloth->weight->grams ?? $cloth->weight?->class->value,
            'width' => $cloth->width?->full->millimetres(),
            'selvage' => null === $selvage || $selvage->equals($usualSelvage) ? null : $selvage->millimetres(),
            'print' => $cloth->print->value,
            'direction' => $cloth->statedDirection?->value,
            'repeat' => $cloth->repeat?->millimetres(),
            'shrinkage' => null === $cloth->tested ? null : ['along' => $cloth->tested->along->number(), 'across' => $cloth->tested->across->number()],
            'colours' => $cloth->colours,
            'place' => $cloth->place,
            'pricePerMetre' => $cloth->pricePerMetre,
            'moreToBeHad' => $cloth->moreToBeHad,
            'setAside' => $cloth->setAside,
            'notes' => $cloth->notes,
            ...$this->feel($cloth->feel),
            'photo' => $cloth->photo,
            'set' => $cloth->set,
            'care' => $cloth->care?->value,
            'family' => $cloth->family?->value,
            'tests' => $this->tests($cloth->tests),
            'cuts' => array_map(fn (Cut $cut): array => self::known(['id' => $cut->id, 'label' => $cut->label, 'state' => $cut->state->value, 'expected' => $cut->expected?->format('Y-m-d'), 'ledger' => $this->ledger($cut->ledger), 'bites' => $this->bites($cut->bites)]), $cloth->cuts),
        ]);
    }

    /**
     * @param list<TestDone> $tests
     *
     * @return list<array<string, mixed>>
     */
    public function tests(array $tests): array
    {
        return array_map(static fn (TestDone $test): array => ['on' => $test->on->format('Y-m-d'), 'kind' => $test->kind->value, 'showed' => $test->showed], $tests);
    }

    /** @return array<string, mixed> */
    public function feel(Feel $feel): array
    {
        return array_filter([
            'stretch' => array_filter(['across' => $feel->across, 'along' => $feel->along], static fn (?int $share): bool => null !== $share),
            'drape' => $feel->drape?->value,
            'opacity' => $feel->opacity?->value,
            'takesCrease' => $feel->takesCrease,
            'clearSide' => $feel->clearSide,
        ], static fn (mixed $value): bool => null !== $value && [] !== $value);
    }

    /**
     * @param list<Measured> $measured
     *
     * @return list<array{on: string, points: array<string, float|int>}>
     */
    public static function measured(array $measured): array
    {
        return array_map(static fn (Measured $day): array => ['on' => $day->on->format('Y-m-d'), 'points' => array_map(static fn (Length $length): float|int => $length->millimetres(), $day->points)], $measured);
    }

    /** @return array<string, mixed> what a pattern says of cloth, techniques and alterations */
    public function details(Pattern $pattern): array
    {
        $advice = $pattern->advice;

        return self::known([
            'cloth' => self::known(['recommended' => $advice->recommended, 'stretch' => $advice->stretch, 'lightest' => $advice->lightest?->value, 'heaviest' => $advice->heaviest?->value, 'crispest' => $advice->crispest?->value, 'mostFluid' => $advice->mostFluid?->value, 'notFor' => $advice->notFor]),
            'techniques' => array_map(static fn (Technique $technique): string => $technique->value, $pattern->techniques),
            'alterations' => self::kept($pattern->alterations),
        ]);
    }

    /**
     * @param list<KeptAlteration> $alterations
     *
     * @return list<array<string, mixed>>
     */
    public static function kept(array $alterations): array
    {
        return array_map(static fn (KeptAlteration $kept): array => self::known(['person' => $kept->person, 'name' => $kept->name, 'length' => $kept->length?->millimetres(), 'drawn' => $kept->drawn] + self::roles($kept->roles)), $alterations);
    }

    /** @return array<string, mixed> */
    public function chart(SizeChart $chart): array
    {
        return self::known(['sizes' => $chart->sizes, 'body' => self::chartRows($chart->body, $chart->sizes), 'finished' => self::chartRows($chart->finished, $chart->sizes), 'by' => $chart->by?->value, 'height' => $chart->height?->millimetres(), 'runs' => $chart->runs?->value]);
    }

    /**
     * @param array<string, array<string, Length>> $rows
     * @param list<string>                         $sizes
     *
     * @return array<string, list<float|int|null>>
     */
    private static function chartRows(array $rows, array $sizes): array
    {
        return array_map(static fn (array $row): array => array_map(static fn (string $size): float|int|null => ($row[$size] ?? null)?->millimetres(), $sizes), $rows);
    }

    /**
     * @param list<string> $people ids in the document; what is kept for anybody else is left out
     *
     * @return array<string, mixed>
     */
    private function pattern(Pattern $pattern, array $people): array
    {
        return self::known([
            'id' => $pattern->id,
            'title' => $pattern->title,
            'maker' => $pattern->maker,
            'number' => $pattern->number,
            'otherNumbers' => $pattern->otherNumbers,
            'garment' => $pattern->garment->value,
            'format' => $pattern->format->value,
            'ownership' => $pattern->ownership->value,
            'onlyFor' => $pattern->onlyFor?->value,
            'minutes' => $pattern->minutes,
            'place' => $pattern->place,
            'notes' => $pattern->notes,
            'editions' => $this->editions($pattern->editions),
            'chart' => $this->chart($pattern->chart),
            'files' => $pattern->files,
            ...['alterations' => self::kept(array_values(array_filter($pattern->alterations, static fn (KeptAlteration $kept): bool => \in_array($kept->person, $people, true))))] + $this->details($pattern),
            'versions' => array_map(fn (Version $version): array => self::known([
                'id' => $version->id, 'name' => $version->name, 'minutes' => $version->minutes, 'notions' => $version->notions, 'notes' => $version->notes,
                'sizes' => $version->table->sizes, 'units' => $version->table->printed?->value, 'requirements' => $this->requirements($version->table), 'pieces' => $this->pieces->pieces($version->pieces->all()),
            ]), $pattern->versions),
        ]);
    }

    /** @return array<string, mixed> */
    private function project(Project $project): array
    {
        return self::known([
            'id' => $project->id,
            'name' => $project->name,
            'season' => $project->season->id,
            'rank' => $project->rank,
            'person' => $project->person?->id,
            'version' => $project->version?->id,
            'size' => $project->size,
            'gradedTo' => $project->gradedTo,
            'certainty' => $project->certainty->value,
            'state' => $project->state->value,
            'deadline' => $project->deadline?->format('Y-m-d'),
            'minutes' => $project->minutes,
            'alterations' => $this->alterations($project->alterations),
            'claims' => array_map(fn (Claim $claim): array => self::known(['role' => $claim->role->value, 'cut' => $claim->cut?->id, 'buy' => null === $claim->wish ? null : $this->wish($claim->wish), 'length' => $claim->stated?->millimetres(), 'cutOut' => $claim->cutOut, 'lay' => $claim->lay?->id]), $project->claims),
            'notes' => $project->notes,
            'notionsTaken' => $project->notionsTaken,
            'matching' => $project->matching?->value,
            'leftOut' => $project->leftOut,
            'declined' => array_map(static fn (Role $role): string => $role->value, $project->declined),
        ]);
    }

    /**
     * Without what is not known: null, false, and empty texts and lists.
     *
     * @param array<string, mixed> $fields
     *
     * @return array<string, mixed>
     */
    public static function known(array $fields): array
    {
        return array_filter($fields, static fn (mixed $value, string $name): bool => !\in_array($value, [null, '', []], true) && (false !== $value || \in_array($name, ['moreToBeHad', 'takesCrease', 'clearSide'], true)), \ARRAY_FILTER_USE_BOTH);
    }
}

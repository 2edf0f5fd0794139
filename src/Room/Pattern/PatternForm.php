<?php

declare(strict_types=1);

namespace Octavum\Room\Pattern;

use Octavum\Core\Body\BodyPoint;
use Octavum\Core\Body\Feature;
use Octavum\Core\Cloth\Drape;
use Octavum\Core\Cloth\Structure;
use Octavum\Core\Cloth\WeightClass;
use Octavum\Core\Fit\SizeChartReader;
use Octavum\Core\Measure\LengthFormatter;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Measure\System;
use Octavum\Core\Pattern\ClothAdvice;
use Octavum\Core\Pattern\Edition;
use Octavum\Core\Pattern\Grid;
use Octavum\Core\Pattern\Nap;
use Octavum\Core\Pattern\Ownership;
use Octavum\Core\Pattern\PaperState;
use Octavum\Core\Pattern\Pattern;
use Octavum\Core\Pattern\PatternFormat;
use Octavum\Core\Pattern\PatternGarment;
use Octavum\Core\Pattern\PatternKeeping;
use Octavum\Core\Pattern\PatternLabel;
use Octavum\Core\Pattern\Runs;
use Octavum\Core\Pattern\SizeChart;
use Octavum\Core\Pattern\Technique;
use Octavum\Core\Pattern\Version;
use Octavum\Core\Piece\Garment;
use Octavum\Core\Piece\Role;
use Octavum\Input\Entry;

/** The forms of a pattern and of a version: what their fields show, and what was typed into them. */
final readonly class PatternForm
{
    private const LONGEST_SIZE = 20;

    /** @return array<string, mixed> by field, as typed */
    public function values(Pattern $pattern, System $system): array
    {
        $tape = new LengthFormatter($system);
        $chart = $pattern->chart;

        return [
            'title' => $pattern->title,
            'maker' => $pattern->label->maker,
            'number' => $pattern->label->number,
            'otherNumbers' => implode(', ', $pattern->label->otherNumbers),
            'garment' => $pattern->makes->garment->value,
            'format' => $pattern->keeping->format->value,
            'ownership' => $pattern->keeping->ownership->value,
            'onlyFor' => $pattern->makes->onlyFor->value ?? '',
            'hours' => Entry::hours($pattern->makes->minutes),
            'place' => $pattern->keeping->place,
            'notes' => $pattern->keeping->notes,
            'chart' => (new SizeChartReader())->write($chart, $tape),
            'chartBy' => $chart->by->value ?? '',
            'draftedFor' => null === $chart->height ? '' : $tape->typed($chart->height, small: true),
            'runs' => $chart->runs->value ?? '',
            'recommended' => $pattern->makes->advice->recommended,
            'stretchLeast' => (string) $pattern->makes->advice->stretch,
            'lightest' => $pattern->makes->advice->lightest->value ?? '',
            'heaviest' => $pattern->makes->advice->heaviest->value ?? '',
            'crispest' => $pattern->makes->advice->crispest->value ?? '',
            'mostFluid' => $pattern->makes->advice->mostFluid->value ?? '',
            'notFor' => $pattern->makes->advice->notFor,
            'techniques' => array_fill_keys(
                array_map(static fn (Technique $technique): string => $technique->value, $pattern->makes->techniques),
                '1',
            ),
            'editions' => array_map(
                static fn (Edition $edition): array => [
                    'name' => $edition->name,
                    'sizes' => implode(', ', $edition->sizes),
                    'paper' => $edition->paper->value ?? '',
                    'missing' => $edition->missing,
                ],
                $pattern->keeping->editions,
            ),
        ];
    }

    /**
     * Everything but the versions, which have a form of their own.
     *
     * @param Pattern $before whose files and alterations are kept
     */
    public function read(Entry $entry, Pattern $before, System $system): Pattern
    {
        $editions = [];
        foreach ($entry->rows('editions') as $i) {
            $name = $entry->text('editions.'.$i.'.name', 120);
            $sizes = $entry->texts('editions.'.$i.'.sizes', 20);
            $paper = $entry->choice('editions.'.$i.'.paper', PaperState::class);
            $missing = $entry->text('editions.'.$i.'.missing', 200);
            if ('' !== $name || [] !== $sizes || null !== $paper || '' !== $missing) {
                $editions[] = new Edition($name, $sizes, $paper, $missing);
            }
        }

        return new Pattern(
            $before->id,
            $entry->name('title'),
            label: new PatternLabel(
                maker: $entry->text('maker', 120),
                number: $entry->text('number', 60),
                otherNumbers: $entry->texts('otherNumbers', 60),
            ),
            makes: new PatternGarment(garment: $entry->choice('garment', Garment::class) ?? Garment::Other, onlyFor: $entry->choice(
                'onlyFor',
                Structure::class,
            ), minutes: $entry->minutes('hours', Entry::MOST_MINUTES), techniques: array_values(
                array_filter(
                    Technique::cases(),
                    static fn (Technique $technique): bool => $entry->boolean('techniques.'.$technique->value),
                ),
            ), advice: new ClothAdvice(
                $entry->text('recommended', 300),
                $entry->integer('stretchLeast', 0, 300),
                $entry->choice('lightest', WeightClass::class),
                heaviest: $entry->choice('heaviest', WeightClass::class),
                crispest: $entry->choice('crispest', Drape::class),
                mostFluid: $entry->choice('mostFluid', Drape::class),
                notFor: $entry->text('notFor', 200),
            )),
            keeping: new PatternKeeping(
                format: $entry->choice('format', PatternFormat::class) ?? PatternFormat::Tissue,
                ownership: $entry->choice('ownership', Ownership::class) ?? Ownership::Owned,
                editions: $editions,
                place: $entry->text('place', 120),
                notes: $entry->text('notes'),
                files: $before->keeping->files,
            ),
            chart: $this->chart($entry, $system),
            alterations: $before->alterations,
        );
    }

    public function chart(Entry $entry, System $system): SizeChart
    {
        $chart =
            $entry->attempt(
                'chart',
                static fn (): SizeChart => (new SizeChartReader())->read($entry->text('chart'), $system->widthUnit()),
            ) ?? new SizeChart();

        return new SizeChart(
            $chart->sizes,
            $chart->body,
            $chart->finished,
            by: $entry->choice('chartBy', BodyPoint::class),
            height: $entry->length('draftedFor', $system->widthUnit()),
            runs: $entry->choice('runs', Runs::class),
        );
    }

    /** @return array<string, mixed> */
    public function versionValues(Version $version, System $system): array
    {
        $system = $version->table->printed ?? $system;
        $grid = Grid::of($version->table, (new LengthFormatter($system))->typed(...));

        return [
            'versionName' => $version->name,
            'notions' => implode("\n", $version->notions),
            'versionHours' => Entry::hours($version->minutes),
            'versionNotes' => $version->notes,
            'features' => array_map(static fn (Feature $feature): string => $feature->value, $version->features),
            'units' => $system->value,
            'pasted' => '',
            'sizes' => $grid->sizes,
            'rows' => $grid->rows,
        ];
    }

    public function readVersion(Entry $entry, string $id, System $usual): Version
    {
        $system = System::tryFrom($entry->raw('units')) ?? $usual;
        $grid = $this->grid($entry);
        foreach ($grid->sizes as $size) {
            if (mb_strlen($size) > self::LONGEST_SIZE) {
                $entry->fault(
                    'sizes',
                    new Sentence('“{size}” is too long for a size: up to {most} characters can be kept.', [
                        'size' => mb_substr($size, 0, 40).'…',
                        'most' => self::LONGEST_SIZE,
                    ]),
                );
            }
        }
        $table = $grid->table($system, static function (string $place, Sentence $sentence) use ($entry): void {
            $entry->fault('sizes' === $place ? 'sizes' : 'rows.'.$place, $sentence);
        });

        return new Version(
            $id,
            $entry->name('versionName', 60),
            $table,
            notions: $this->lines($entry, 'notions', 200),
            minutes: $entry->minutes('versionHours', Entry::MOST_MINUTES),
            notes: $entry->text('versionNotes'),
            features: array_values(array_filter(array_map(
                static fn (string $i): ?Feature => $entry->choice('features.'.$i, Feature::class),
                $entry->rows('features'),
            ))),
        );
    }

    /** @return list<string> */
    private function lines(Entry $entry, string $field, int $most): array
    {
        $lines = Entry::lines($entry->text($field));
        foreach ($lines as $line) {
            if (mb_strlen($line) > $most) {
                $entry->fault(
                    $field,
                    new Sentence('A line has {count} characters; {most} can be kept. Put each notion on a line of its own.', [
                        'count' => mb_strlen($line),
                        'most' => $most,
                    ]),
                );
            }
        }

        return $lines;
    }

    /** The grid as typed; a table pasted in one go takes its place. */
    public function grid(Entry $entry): Grid
    {
        $sizes = array_map(static fn (string $i): string => $entry->raw('sizes.'.$i), $entry->rows('sizes'));
        $pasted = \is_string($entry->typed['pasted'] ?? null) ? mb_scrub($entry->typed['pasted']) : '';
        if ('' !== trim($pasted)) {
            return Grid::ofPasted($pasted, array_values(array_filter($sizes, static fn (string $size): bool => '' !== $size)));
        }
        $columns = $entry->rows('sizes');

        return new Grid(
            $sizes,
            array_map(
                static fn (string $i): array => [
                    'role' => $entry->raw('rows.'.$i.'.role'),
                    'width' => $entry->raw('rows.'.$i.'.width'),
                    'nap' => $entry->raw('rows.'.$i.'.nap'),
                    'cells' => array_map(static fn (string $j): string => $entry->raw('rows.'.$i.'.cells.'.$j), $columns),
                ],
                $entry->rows('rows'),
            ),
        );
    }

    /** A grid to begin with. */
    public static function blank(System $system): Grid
    {
        $widths = System::Metric === $system ? ['115 cm', '150 cm'] : ['45 in', '60 in'];

        return new Grid(
            ['', '', '', ''],
            array_map(
                static fn (string $width): array => [
                    'role' => Role::Main->value,
                    'width' => $width,
                    'nap' => Nap::Without->value,
                    'cells' => ['', '', '', ''],
                ],
                $widths,
            ),
        );
    }

    /**
     * The table as typed, or as it stands, or an empty one.
     *
     * @param ?array<string, mixed> $values of the version as it stands
     *
     * @return array{sizes: mixed, rows: mixed}
     */
    public function shownGrid(Entry $entry, System $system, ?array $values = null): array
    {
        if ([] !== $entry->typed) {
            $grid = $this->grid($entry);

            return ['sizes' => $grid->sizes, 'rows' => $grid->rows];
        }
        if (null !== $values && [] !== $values['rows']) {
            return ['sizes' => $values['sizes'], 'rows' => $values['rows']];
        }
        $blank = self::blank($system);

        return ['sizes' => $blank->sizes, 'rows' => $blank->rows];
    }
}

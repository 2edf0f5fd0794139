<?php

declare(strict_types=1);

namespace Octavum\Document\Codec;

use Octavum\Core\Cloth\Drape;
use Octavum\Core\Cloth\Structure;
use Octavum\Core\Cloth\WeightClass;
use Octavum\Core\Pattern\ClothAdvice;
use Octavum\Core\Pattern\Edition;
use Octavum\Core\Pattern\KeptAlteration;
use Octavum\Core\Pattern\Ownership;
use Octavum\Core\Pattern\PaperState;
use Octavum\Core\Pattern\Pattern;
use Octavum\Core\Pattern\PatternFormat;
use Octavum\Core\Pattern\PatternGarment;
use Octavum\Core\Pattern\PatternKeeping;
use Octavum\Core\Pattern\PatternLabel;
use Octavum\Core\Pattern\Technique;
use Octavum\Core\Piece\Garment;
use Octavum\Document\Json\Fields;
use Octavum\Document\Json\Node;

/** An envelope: what stands on it, its versions, its chart, and what is kept with it. */
final readonly class PatternCodec
{
    public function __construct(
        private VersionCodec $versions = new VersionCodec(),
        private ChartCodec $chart = new ChartCodec(),
        private AlterationCodec $alterations = new AlterationCodec(),
    ) {
    }

    public function read(Node $node): Pattern
    {
        $node->object([
            'id',
            'title',
            'maker',
            'number',
            'otherNumbers',
            'garment',
            'format',
            'ownership',
            'onlyFor',
            'minutes',
            'place',
            'notes',
            'editions',
            'versions',
            'chart',
            'files',
            'cloth',
            'techniques',
            'alterations',
        ]);

        return new Pattern(
            $node->at('id')->name(60),
            $node->at('title')->name(),
            label: new PatternLabel(
                maker: $node->at('maker')->text(120),
                number: $node->at('number')->text(60),
                otherNumbers: $node->at('otherNumbers')->texts(60),
            ),
            makes: new PatternGarment(
                garment: $node->at('garment')->choice(Garment::class) ?? Garment::Other,
                onlyFor: $node->at('onlyFor')->choice(Structure::class),
                minutes: $node->at('minutes')->integer(0, 100_000),
                techniques: $this->techniques($node->at('techniques')),
                advice: $this->advice($node->at('cloth')),
            ),
            keeping: new PatternKeeping(
                format: $node->at('format')->choice(PatternFormat::class) ?? PatternFormat::Tissue,
                ownership: $node->at('ownership')->choice(Ownership::class) ?? Ownership::Owned,
                editions: $this->editions($node->at('editions')),
                place: $node->at('place')->text(120),
                notes: $node->at('notes')->text(),
                files: $node->at('files')->texts(26),
            ),
            chart: $this->chart->read($node->at('chart')),
            versions: array_map($this->versions->read(...), $node->at('versions')->items()),
            alterations: $this->alterations->kept($node->at('alterations')),
        );
    }

    /**
     * @param list<string> $people ids in the document; what is kept for anybody else is left out
     *
     * @return array<string, mixed>
     */
    public function write(Pattern $pattern, array $people): array
    {
        return Fields::known([
            'id' => $pattern->id,
            'title' => $pattern->title,
            'maker' => $pattern->label->maker,
            'number' => $pattern->label->number,
            'otherNumbers' => $pattern->label->otherNumbers,
            'garment' => $pattern->makes->garment->value,
            'format' => $pattern->keeping->format->value,
            'ownership' => $pattern->keeping->ownership->value,
            'onlyFor' => $pattern->makes->onlyFor?->value,
            'minutes' => $pattern->makes->minutes,
            'place' => $pattern->keeping->place,
            'notes' => $pattern->keeping->notes,
            'editions' => $this->writeEditions($pattern->keeping->editions),
            'chart' => $this->chart->write($pattern->chart),
            'files' => $pattern->keeping->files,
            ...[
                'alterations' => $this->alterations->writeKept(
                    array_values(
                        array_filter(
                            $pattern->alterations,
                            static fn (KeptAlteration $kept): bool => \in_array($kept->person, $people, true),
                        ),
                    ),
                ),
            ] + $this->writeDetails($pattern),
            'versions' => array_map($this->versions->write(...), $pattern->versions),
        ]);
    }

    /** @return list<Edition> */
    public function editions(Node $node): array
    {
        return array_map(static function (Node $edition): Edition {
            $edition->object(['name', 'sizes', 'paper', 'missing']);

            return new Edition(
                $edition->at('name')->text(120),
                $edition->at('sizes')->texts(20),
                $edition->at('paper')->choice(PaperState::class),
                $edition->at('missing')->text(200),
            );
        }, $node->items());
    }

    /**
     * @param list<Edition> $editions
     *
     * @return list<array<string, mixed>>
     */
    public function writeEditions(array $editions): array
    {
        return array_map(
            static fn (Edition $edition): array => Fields::known([
                'name' => $edition->name,
                'sizes' => $edition->sizes,
                'paper' => $edition->paper?->value,
                'missing' => $edition->missing,
            ]),
            $editions,
        );
    }

    public function advice(Node $node): ClothAdvice
    {
        if (!$node->isThere() || !$node->object(['recommended', 'stretch', 'lightest', 'heaviest', 'crispest', 'mostFluid', 'notFor'])) {
            return new ClothAdvice();
        }

        return new ClothAdvice(
            $node->at('recommended')->text(300),
            $node->at('stretch')->integer(0, 300),
            $node->at('lightest')->choice(WeightClass::class),
            heaviest: $node->at('heaviest')->choice(WeightClass::class),
            crispest: $node->at('crispest')->choice(Drape::class),
            mostFluid: $node->at('mostFluid')->choice(Drape::class),
            notFor: $node->at('notFor')->text(200),
        );
    }

    /** @return list<Technique> */
    public function techniques(Node $node): array
    {
        return $node->choices(Technique::class, 30);
    }

    /** @return array<string, mixed> what a pattern says of cloth, techniques and alterations */
    public function writeDetails(Pattern $pattern): array
    {
        $advice = $pattern->makes->advice;

        return Fields::known([
            'cloth' => Fields::known([
                'recommended' => $advice->recommended,
                'stretch' => $advice->stretch,
                'lightest' => $advice->lightest?->value,
                'heaviest' => $advice->heaviest?->value,
                'crispest' => $advice->crispest?->value,
                'mostFluid' => $advice->mostFluid?->value,
                'notFor' => $advice->notFor,
            ]),
            'techniques' => array_map(static fn (Technique $technique): string => $technique->value, $pattern->makes->techniques),
            'alterations' => $this->alterations->writeKept($pattern->alterations),
        ]);
    }
}

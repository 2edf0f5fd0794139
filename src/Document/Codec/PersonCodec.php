<?php

declare(strict_types=1);

namespace Octavum\Document\Codec;

use Octavum\Core\Body\BodyPoint;
use Octavum\Core\Body\Fact;
use Octavum\Core\Body\Feature;
use Octavum\Core\Body\Liking;
use Octavum\Core\Body\Measured;
use Octavum\Core\Body\Person;
use Octavum\Core\Measure\Length;
use Octavum\Core\Piece\Garment;
use Octavum\Document\Json\Fields;
use Octavum\Document\Json\Node;

/** Someone, and what was measured of them, a day each. */
final readonly class PersonCodec
{
    public function read(Node $node): Person
    {
        $node->object(['id', 'name', 'child', 'notes', 'measured', 'likings', 'facts']);

        return new Person(
            $node->at('id')->name(60),
            $node->at('name')->name(),
            $node->at('child')->boolean(),
            notes: $node->at('notes')->text(),
            measured: $this->measured($node->at('measured')),
            likings: $this->likings($node->at('likings')),
            facts: $this->facts($node->at('facts')),
        );
    }

    /** @return array<string, mixed> */
    public function write(Person $person): array
    {
        return Fields::known([
            'id' => $person->id,
            'name' => $person->name,
            'child' => $person->child,
            'notes' => $person->notes,
            'measured' => $this->writeMeasured($person->measured),
            'likings' => $this->writeLikings($person->likings),
            'facts' => $this->writeFacts($person->facts),
        ]);
    }

    /** @return list<Measured> */
    public function measured(Node $node): array
    {
        return array_map(
            fn (Node $day): Measured => $day->object(['on', 'points'])
                ? new Measured($day->at('on')->requiredDate(), $this->points($day->at('points')))
                : new Measured(new \DateTimeImmutable('@0'), []),
            $node->items(),
        );
    }

    /**
     * @param list<Measured> $measured
     *
     * @return list<array{on: string, points: array<string, float|int>}>
     */
    public function writeMeasured(array $measured): array
    {
        return array_map(
            static fn (Measured $day): array => [
                'on' => $day->on->format('Y-m-d'),
                'points' => array_map(static fn (Length $length): float|int => $length->millimetres(), $day->points),
            ],
            $measured,
        );
    }

    /** @return array<string, Liking> by feature */
    public function likings(Node $node): array
    {
        $likings = [];
        foreach ($node->isThere() && $node->object(array_column(Feature::cases(), 'value')) ? $node->names() : [] as $feature) {
            $liking = $node->at($feature)->choice(Liking::class);
            if (null !== $liking) {
                $likings[$feature] = $liking;
            }
        }

        return $likings;
    }

    /**
     * @param array<string, Liking> $likings by feature
     *
     * @return array<string, string>
     */
    public function writeLikings(array $likings): array
    {
        return array_map(static fn (Liking $liking): string => $liking->value, $likings);
    }

    /** @return list<Fact> */
    public function facts(Node $node): array
    {
        return array_map(static function (Node $fact): Fact {
            $fact->object(['name', 'length', 'garment']);

            return new Fact(
                $fact->at('name')->name(),
                $fact->at('length')->isThere() ? $fact->at('length')->requiredChange() : null,
                $fact->at('garment')->choice(Garment::class)->value ?? '',
            );
        }, $node->items());
    }

    /**
     * @param list<Fact> $facts
     *
     * @return list<array<string, mixed>>
     */
    public function writeFacts(array $facts): array
    {
        return array_map(
            static fn (Fact $fact): array => Fields::known(
                ['name' => $fact->name, 'length' => $fact->length?->millimetres(), 'garment' => $fact->garment],
            ),
            $facts,
        );
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
}

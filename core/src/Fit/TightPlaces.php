<?php

declare(strict_types=1);

namespace Octavum\Core\Fit;

use Octavum\Core\Body\BodyPoint;
use Octavum\Core\Body\Feature;
use Octavum\Core\Body\Person;
use Octavum\Core\Measure\Figure;
use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Pattern\Pattern;
use Octavum\Core\Piece\Garment;

/** Rows of a chart that do not decide the size, where the body is above it all the same: a sleeve too tight at the upper arm. */
final readonly class TightPlaces
{
    private const LEGS = [BodyPoint::Thigh, BodyPoint::Rise, BodyPoint::InsideLeg];

    public function __construct(private Length $tolerance)
    {
    }

    /**
     * @param string $above the size cut above the waist
     * @param string $below the size cut below it
     *
     * @return list<Sentence> the place, the figures, the size that would do there and what to alter
     */
    public function find(Person $person, Pattern $pattern, string $above, string $below): array
    {
        $flags = [];
        foreach ($this->places($pattern) as $point) {
            $size = \in_array($point, self::LEGS, true) ? $below : $above;
            $row = $pattern->chart->body[$point->value] ?? [];
            $body = $person->at($point);
            if (null === $body || !isset($row[$size]) || !$this->isAbove($body, $row[$size])) {
                continue;
            }
            $would = array_values(array_filter(
                $pattern->chart->sizes,
                fn (string $one): bool => isset($row[$one]) && !$this->isAbove($body, $row[$one]),
            ))[0] ?? null;
            $flags[] = new Sentence(
                null === $would
                    ? '{point}: {body} is above size {size}, {chart}, and above every size of the chart: {way}.'
                    : '{point}: {body} is above size {size}, {chart}; size {would} would do there: {way}.',
                [
                    'point' => new Sentence(ucfirst($point->value)),
                    'body' => Figure::body($body),
                    'size' => $size,
                    'chart' => Figure::body($row[$size]),
                    'way' => new Sentence($this->alter($point)),
                    ...null === $would ? [] : ['would' => $would],
                ],
            );
        }

        return $flags;
    }

    /** What is done where only the place is altered. */
    private function alter(BodyPoint $point): string
    {
        return match ($point) {
            BodyPoint::UpperArm => 'widen the sleeve',
            BodyPoint::Arm => 'lengthen the sleeve',
            BodyPoint::BackWaist => 'lengthen the body',
            BodyPoint::Thigh => 'widen the leg',
            BodyPoint::Rise => 'deepen the crotch',
            BodyPoint::InsideLeg => 'lengthen the leg',
            default => throw new \LogicException($point->value.' decides a size.'),
        };
    }

    private function isAbove(Length $body, Length $chart): bool
    {
        return $chart->plus($this->tolerance)->isLessThan($body);
    }

    /** @return list<BodyPoint> that a garment of this kind covers, sleeves only where a version may have them */
    private function places(Pattern $pattern): array
    {
        $sleeves = [
            ...$this->isEach($pattern, Feature::Sleeveless) ? [] : [BodyPoint::UpperArm],
            ...$this->isEach($pattern, Feature::Sleeveless, Feature::ShortSleeves) ? [] : [BodyPoint::Arm],
        ];

        return match ($pattern->makes->garment) {
            Garment::Trousers => self::LEGS,
            Garment::Shorts => [BodyPoint::Thigh, BodyPoint::Rise],
            Garment::Jumpsuit, Garment::Nightwear => [...$sleeves, BodyPoint::BackWaist, ...self::LEGS],
            Garment::Top, Garment::Tee, Garment::Shirt, Garment::Dress, Garment::Jacket, Garment::Coat, Garment::Jumper => [
                ...$sleeves,
                BodyPoint::BackWaist,
            ],
            Garment::Pinafore, Garment::Waistcoat => [BodyPoint::BackWaist],
            default => [],
        };
    }

    /** Whether each version says that it has one of these. */
    private function isEach(Pattern $pattern, Feature ...$features): bool
    {
        foreach ($pattern->versions as $version) {
            if ([] === array_filter($version->features, static fn (Feature $one): bool => \in_array($one, $features, true))) {
                return false;
            }
        }

        return [] !== $pattern->versions;
    }
}

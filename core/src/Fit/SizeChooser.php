<?php

declare(strict_types=1);

namespace Octavum\Core\Fit;

use Octavum\Core\Body\BodyPoint;
use Octavum\Core\Body\Person;
use Octavum\Core\Measure\Figure;
use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Measure\Source;
use Octavum\Core\Measure\Unit;
use Octavum\Core\Measure\Working;
use Octavum\Core\Pattern\Pattern;
use Octavum\Core\Pattern\SizeChart;
use Octavum\Core\Piece\Garment;

/**
 * Chooses the size of a pattern by its chart: one point of the body decides, and where others fall in other sizes it says
 * so, "14 bust, 16 waist, 18 hip: grade between". Source: docs/rules.md.
 */
final readonly class SizeChooser
{
    private Length $tolerance;

    /** @param ?Length $tolerance by which a body may exceed a size and still wear it, for the ease in it; 1 cm is a starting value */
    public function __construct(?Length $tolerance = null)
    {
        $this->tolerance = $tolerance ?? Length::of('1', Unit::Centimetre);
    }

    /**
     * @param ?\DateTimeImmutable $today null when the age of the measurements does not matter
     *
     * @return SizeAdvice whose size is null, with a sentence that names what is missing, when nothing can be said
     */
    public function choose(Person $person, Pattern $pattern, ?\DateTimeImmutable $today = null): SizeAdvice
    {
        $chart = $pattern->chart;
        $by = $pattern->decides($person->child);
        $cups = BodyPoint::Bust === $by ? Cups::of($chart) : null;
        $by = null === $cups ? $by : BodyPoint::HighBust;
        $with = ['person' => $person->name, 'pattern' => $pattern->title, 'point' => $by->value];
        $row = $chart->body[$by->value] ?? [];
        if ([] === $row) {
            return $this->nothing(
                $person,
                new Sentence(
                    $chart->hasRows()
                        ? 'The chart of {pattern} has no row for the {point}, which decides its size.'
                        : '{pattern} has no size chart yet: copy it from the envelope.',
                    $with,
                ),
            );
        }
        $body = $person->at($by);
        if (null === $body) {
            return $this->nothing($person, new Sentence('Measure the {point} of {person}: it decides the size.', $with));
        }
        $falls = $flags = [];
        $working = Working::empty();
        if (null !== $cups) {
            $bust = $person->at(BodyPoint::Bust);
            if (null === $bust) {
                return $this->nothing($person, new Sentence('Measure the bust of {person}: with the high bust it decides the cup.', $with));
            }
            $chart = $cups->narrowed($bust, $body, $this->tolerance);
            $row = $chart->body[$by->value] ?? [];
            $working = $working->given(new Sentence('Bust'), Figure::body($bust), Source::Measured);
        }
        if ([] !== $row && $this->isFarFrom($body, $row)) {
            return $this->nothing(
                $person,
                new Sentence(
                    '{pattern} is not drafted for a {point} of {body}: its chart goes from {least} to {most}.',
                    $with + ['body' => Figure::body($body), 'least' => Figure::body(reset($row)), 'most' => Figure::body(end($row))],
                ),
            );
        }
        foreach ($this->points($pattern, $person->child, $by) as $point) {
            $body = $person->at($point);
            $row = $chart->body[$point->value] ?? [];
            if (
                null === $body
                || [] === $row
                || (\count($chart->sizes) > 1
                    && \count(array_unique(array_map(static fn (Length $length): int => $length->micrometres, $row))) < 2)
            ) {
                continue;
            }
            [$size, $flag] = $this->size($point, $body, $chart, $row);
            $falls[$point->value] = $size;
            $flags = null === $flag ? $flags : [...$flags, $flag];
            $working = $this->working($working, $point, $body, $size, $chart);
        }
        if (!isset($falls[$by->value])) {
            return $this->nothing(
                $person,
                new Sentence('The chart of {pattern} does not tell its sizes apart by {point}, which decides its size.', $with),
            );
        }
        $cup = null === $cups ? null : $cups->flag($falls[$by->value], $person->at(BodyPoint::Bust), $person->at($by), $this->tolerance);
        $free = BodyPoint::Waist === $by && $pattern->isFullSkirt() && isset($chart->body[BodyPoint::Hip->value])
            ? new Sentence('The skirt is full: its size goes by the waist alone, and the hip is free in it.')
            : null;
        $flags = [...$flags, ...array_values(array_filter([$cup, $free]))];
        $order = array_flip($chart->sizes);
        $largest = array_reduce($falls, static fn (string $a, string $b): string => $order[$b] > $order[$a] ? $b : $a, $falls[$by->value]);
        $graded = $largest === $falls[$by->value] ? null : $largest;
        $up = $person->child ? $chart->sizes[$order[$largest] + 1] ?? null : null;

        return new SizeAdvice(
            $person,
            $falls[$by->value],
            $graded,
            up: $up,
            sentence: $this->sentence($falls, $by, $largest),
            flags: [
                ...$flags,
                ...(new TightPlaces($this->tolerance))->find(
                    $person,
                    $pattern,
                    $falls[$by->value],
                    $falls[BodyPoint::Hip->value] ?? $falls[$by->value],
                ),
                ...(new SizeFlags($this->tolerance))->find($person, $pattern, $falls, $by, $today),
                ...null === $up
                    ? []
                    : [new Sentence('A size up, {size}, buys a second season; hem and elastic leave room.', ['size' => $up])],
            ],
            working: $working,
        );
    }

    /**
     * Whether a body lies more than three sizes outside a chart, where grading would be another pattern.
     *
     * @param array<string, Length> $row
     */
    private function isFarFrom(Length $body, array $row): bool
    {
        $figures = array_map(static fn (Length $length): int => $length->micrometres, $row);
        if (\count($figures) < 2) {
            return false;
        }
        $far = 3 * intdiv(max($figures) - min($figures), \count($figures) - 1);

        return $far > 0 && ($body->micrometres < min($figures) - $far || $body->micrometres > max($figures) + $far);
    }

    /** @return list<BodyPoint> looked at for a garment, the deciding one among them */
    private function points(Pattern $pattern, bool $child, BodyPoint $by): array
    {
        $garment = $pattern->makes->garment;
        $points = match (true) {
            BodyPoint::Head === $by, BodyPoint::Waist === $by && $pattern->isFullSkirt() => [],
            BodyPoint::HighBust === $by => $garment->isInOne() ? [$by, BodyPoint::Waist, BodyPoint::Hip] : [$by, BodyPoint::Hip],
            $garment->isFromTheWaist() => [BodyPoint::Waist, BodyPoint::Hip],
            $garment->isInOne() => [BodyPoint::Bust, BodyPoint::Waist, BodyPoint::Hip],
            default => [BodyPoint::Bust, BodyPoint::Hip],
        };

        return array_values(array_unique([...$points, ...$child ? [BodyPoint::Height] : [], $by], \SORT_REGULAR));
    }

    /**
     * The first size that is not smaller than the body, the tolerance let pass.
     *
     * @param non-empty-array<string, Length> $row
     *
     * @return array{string, ?Sentence} and a flag where the body falls between two sizes or outside all of them
     */
    private function size(BodyPoint $point, Length $body, SizeChart $chart, array $row): array
    {
        $before = null;
        foreach ($chart->sizes as $size) {
            if (!isset($row[$size])) {
                continue;
            }
            $with = ['point' => $point->value, 'body' => Figure::body($body), 'size' => $size, 'chart' => Figure::body($row[$size])];
            if (!$row[$size]->plus($this->tolerance)->isLessThan($body)) {
                $under = $row[$size]->minus($body);

                return [
                    $size,
                    match (true) {
                        !$this->tolerance->isLessThan($under) => null,
                        null !== $before => new Sentence(
                            'The {point}, {body}, lies between {smaller} and {size}: the larger is taken, since cloth can be taken in and not let out.',
                            $with + ['smaller' => $before],
                        ),
                        $under->isLessThan($this->halfStep($row)) => null,
                        default => new Sentence(
                            'The {point}, {body}, is smaller than size {size}, the smallest of the chart ({chart}): '
                            .'one size down can be graded, which takes time.',
                            $with,
                        ),
                    },
                ];
            }
            $before = $size;
        }
        $size = $before ?? throw new \LogicException('A row has a size.');

        return [
            $size,
            new Sentence(
                'The {point}, {body}, is {over} more than size {size}, the largest of the chart: one size beyond can be graded, which takes time.',
                [
                    'point' => $point->value,
                    'body' => Figure::body($body),
                    'size' => $size,
                    'over' => Figure::body($body->minus($row[$size])),
                ],
            ),
        ];
    }

    /**
     * Half of what lies between the two smallest sizes; of one size alone as much as two sizes are mostly apart.
     *
     * @param non-empty-array<string, Length> $row
     */
    private function halfStep(array $row): Length
    {
        $figures = array_values(array_unique(array_map(static fn (Length $length): int => $length->micrometres, $row)));
        sort($figures);

        return isset($figures[1]) ? Length::ofMicrometres(intdiv($figures[1] - $figures[0], 2)) : $this->tolerance->times(2);
    }

    /** @param non-empty-array<string, string> $falls point → size */
    private function sentence(array $falls, BodyPoint $by, string $largest): Sentence
    {
        if (1 === \count(array_unique($falls))) {
            return new Sentence('Size {size}, by {points}.', ['size' => $largest, 'points' => implode(', ', array_keys($falls))]);
        }

        return new Sentence('{sizes}: grade between. Chosen by {by}; cloth is worked out for {largest}, the largest used.', [
            'sizes' => implode(
                ', ',
                array_map(static fn (string $size, string $point): string => $size.' '.$point, $falls, array_keys($falls)),
            ),
            'by' => $by->value,
            'largest' => $largest,
        ]);
    }

    private function working(Working $working, BodyPoint $point, Length $body, string $size, SizeChart $chart): Working
    {
        $working = $working
            ->given(new Sentence('{point}', ['point' => ucfirst($point->value)]), Figure::body($body), Source::Measured)
            ->given(
                new Sentence('Size {size} is drafted for', ['size' => $size]),
                Figure::body($chart->body[$point->value][$size]),
                Source::Printed,
            );
        $finished = $chart->finished[$point->value][$size] ?? null;

        return null === $finished
            ? $working
            : $working
                ->given(new Sentence('Finished garment, size {size}', ['size' => $size]), Figure::body($finished), Source::Printed)
                ->result(
                    new Sentence($finished->isLessThan($body) ? 'Smaller than the body by' : 'Ease'),
                    Figure::body($finished->larger($body)->minus($finished->smaller($body))),
                );
    }

    private function nothing(Person $person, Sentence $why): SizeAdvice
    {
        return new SizeAdvice($person, null, null, up: null, sentence: $why, flags: [], working: Working::empty());
    }
}

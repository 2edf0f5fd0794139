<?php

declare(strict_types=1);

namespace Octavum\Core\Fit;

use Octavum\Core\Body\BodyPoint;
use Octavum\Core\Body\Person;
use Octavum\Core\Measure\Figure;
use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Pattern\Edition;
use Octavum\Core\Pattern\Pattern;
use Octavum\Core\Pattern\Runs;
use Octavum\Core\Pattern\SizeChart;

/** What to think of beside the size: the copy owned, old measurements, the height drafted for, how it runs. */
final readonly class SizeFlags
{
    public function __construct(private Length $tolerance)
    {
    }

    /**
     * @param array<string, string> $falls point → size
     *
     * @return list<Sentence>
     */
    public function find(Person $person, Pattern $pattern, array $falls, BodyPoint $by, ?\DateTimeImmutable $today): array
    {
        return [...$this->copyFlags($falls, $pattern), ...$this->bodyFlags($person, $by, $pattern->chart, $today)];
    }

    /**
     * @param array<string, string> $falls
     *
     * @return list<Sentence>
     */
    private function copyFlags(array $falls, Pattern $pattern): array
    {
        $flags = [];
        foreach (array_unique($falls) as $size) {
            if (!$pattern->holdsSize($size)) {
                $flags[] = new Sentence('Size {size} is outside the copy owned ({sizes}).', [
                    'size' => $size,
                    'sizes' => implode(
                        '; ',
                        array_map(static fn (Edition $edition): string => implode(', ', $edition->sizes), $pattern->keeping->editions),
                    ),
                ]);
            }
        }

        return $flags;
    }

    /** @return list<Sentence> */
    private function bodyFlags(Person $person, BodyPoint $by, SizeChart $chart, ?\DateTimeImmutable $today): array
    {
        $flags = [];
        $on = $person->measuredOn($by);
        if (null !== $on && null !== $today && $person->isStale($by, $today)) {
            $flags[] = new Sentence(
                $person->child
                    ? 'The {point} was measured {months} months ago, and children grow: measure again before cutting.'
                    : 'The {point} was measured {months} months ago: measure again before cutting.',
                ['point' => $by->value, 'months' => 12 * $on->diff($today)->y + $on->diff($today)->m],
            );
        }
        $height = $person->at(BodyPoint::Height);
        if (
            !$person->child
            && null !== $height
            && null !== $chart->height
            && $this->tolerance->times(4)->isLessThan($height->larger($chart->height)->minus($height->smaller($chart->height)))
        ) {
            $flags[] = new Sentence(
                $chart->height->isLessThan($height)
                    ? 'It is drafted for {drafted}, and {person} is {difference} taller: check body and hem lengths.'
                    : 'It is drafted for {drafted}, and {person} is {difference} shorter: check body and hem lengths.',
                [
                    'drafted' => Figure::body($chart->height),
                    'person' => $person->name,
                    'difference' => Figure::body($height->larger($chart->height)->minus($height->smaller($chart->height))),
                ],
            );
        }
        if (null !== $chart->runs && Runs::True !== $chart->runs) {
            $flags[] = new Sentence('It is said to run {runs}: compare the finished measurements.', ['runs' => $chart->runs->value]);
        }

        return $flags;
    }
}

<?php

declare(strict_types=1);

namespace Octavum\Core\Fit;

use Octavum\Core\Body\BodyPoint;
use Octavum\Core\Body\Person;
use Octavum\Core\Measure\Figure;
use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Measure\Source;
use Octavum\Core\Measure\Working;
use Octavum\Core\Pattern\Pattern;

/**
 * The other school: the size whose finished measure less the body comes nearest to the ease that is wanted, at the point that
 * decides the size; of two as near the larger. Source: docs/rules.md.
 */
final readonly class ByFinished
{
    /** @param Length $ease wanted; below nothing for a knit that is to be stretched */
    public function choose(Person $person, Pattern $pattern, Length $ease): SizeAdvice
    {
        $by = $pattern->decides($person->child);
        $finished = $pattern->chart->finished[$by->value] ?? [];
        $body = $person->at($by);
        $with = ['person' => $person->name, 'pattern' => $pattern->title, 'point' => new Sentence($by->value)];
        if ([] === $finished) {
            return $this->nothing($person, new Sentence(
                '{pattern} has no finished measure for the {point} yet: copy it into the chart, or go by the body.',
                $with,
            ));
        }
        if (null === $body) {
            return $this->nothing($person, new Sentence('Measure the {point} of {person}: it decides the size.', $with));
        }
        $size = $this->nearest($finished, $body->plus($ease));
        $more = $finished[$size]->minus($body);
        $working = Working::empty()
            ->given(new Sentence('{point} of {person}', $with), Figure::body($body), Source::Measured)
            ->given(new Sentence('Ease wanted'), Figure::body($ease), Source::Stated)
            ->given(new Sentence('Finished measure of size {size}', ['size' => $size]), Figure::body($finished[$size]), Source::Printed);
        $says = 'Size {size} comes nearest: the finished {point} is {finished}, {ease} of ease where {wanted} is wanted.';
        $sentence = new Sentence($says, [
            'size' => $size,
            'point' => new Sentence($by->value),
            'finished' => Figure::body($finished[$size]),
            'ease' => Figure::body($more),
            'wanted' => Figure::body($ease),
        ]);

        return new SizeAdvice(
            $person,
            $size,
            null,
            up: null,
            sentence: $sentence,
            flags: $this->tight($person, $pattern, $by, $size),
            working: $working,
        );
    }

    /** @param non-empty-array<int|string, Length> $finished by size, the smallest first */
    private function nearest(array $finished, Length $wanted): string
    {
        $nearest = (string) array_key_first($finished);
        foreach ($finished as $size => $length) {
            $off = abs($length->minus($wanted)->micrometres);
            $nearest = $off <= abs($finished[$nearest]->minus($wanted)->micrometres) ? (string) $size : $nearest;
        }

        return $nearest;
    }

    /** @return list<Sentence> where it would not close, or not go over */
    private function tight(Person $person, Pattern $pattern, BodyPoint $by, string $size): array
    {
        $flags = [];
        foreach ($pattern->chart->finished as $point => $row) {
            $body = $person->at(BodyPoint::from($point));
            if ($point !== $by->value && null !== $body && isset($row[$size]) && $row[$size]->isLessThan($body)) {
                $flags[] = new Sentence('{point}: size {size} measures {finished} when it is finished, and the body {body}.', [
                    'point' => new Sentence(ucfirst($point)),
                    'size' => $size,
                    'finished' => Figure::body($row[$size]),
                    'body' => Figure::body($body),
                ]);
            }
        }

        return $flags;
    }

    private function nothing(Person $person, Sentence $sentence): SizeAdvice
    {
        return new SizeAdvice($person, null, null, up: null, sentence: $sentence, flags: [], working: Working::empty());
    }
}

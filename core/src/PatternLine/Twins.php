<?php

declare(strict_types=1);

namespace Octavum\Core\PatternLine;

use Octavum\Core\Measure\Sentence;
use Octavum\Core\Pattern\Pattern;

/** Finds out whether a pattern is in the library already: under its number, a reissue's number, or nearly the same name. */
final readonly class Twins
{
    private const NEAR = 85.0;

    /**
     * @param list<Pattern> $library
     *
     * @return array<string, Sentence> one for each that may be the same, by its id
     */
    public function find(Pattern $new, array $library): array
    {
        $found = [];
        $numbers = $this->numbers($new);
        foreach ($library as $known) {
            if ($known->id === $new->id) {
                continue;
            }
            $same = array_values(array_intersect_key($this->numbers($known), $numbers));
            $with = [
                'title' => $known->title,
                'maker' => '' === $known->label->maker ? '' : ' ('.$known->label->maker.')',
                'ownership' => $known->keeping->ownership->value,
            ];
            if ([] !== $same && $this->sameMaker($new, $known)) {
                $found[$known->id] = new Sentence(
                    $this->plain($known->label->number) === $this->plain($same[0])
                        ? 'Number {number} is in the library already: {title}{maker}, {ownership}.'
                        : 'Number {number} is another number of {title}{maker}, which is {ownership}: a reissue of the same pattern.',
                    $with + ['number' => $same[0]],
                );
            } elseif ($this->sameMaker($new, $known) && $this->near($new->title, $known->title)) {
                $almost = '{title}{maker} is in the library already, {ownership}, and is called almost the same.';
                $found[$known->id] = new Sentence($almost, $with);
            }
        }

        return $found;
    }

    /** @return array<string, string> plain → as written */
    private function numbers(Pattern $pattern): array
    {
        $numbers = [];
        foreach ([$pattern->label->number, ...$pattern->label->otherNumbers] as $number) {
            if ('' !== $this->plain($number)) {
                $numbers['#'.$this->plain($number)] = $number;
            }
        }

        return $numbers;
    }

    private function plain(string $number): string
    {
        return mb_strtoupper(preg_replace('/[^\p{L}\d]+/u', '', $number) ?? $number);
    }

    /** Makers number their patterns each for themselves; one that is not said may be anybody's. */
    private function sameMaker(Pattern $a, Pattern $b): bool
    {
        return '' === $a->label->maker || '' === $b->label->maker || $this->near($a->label->maker, $b->label->maker);
    }

    private function near(string $a, string $b): bool
    {
        [$a, $b] = [mb_strtolower(trim($a)), mb_strtolower(trim($b))];
        // No more can be alike than the shorter has.
        if ('' === $a || 200 * min(\strlen($a), \strlen($b)) < self::NEAR * (\strlen($a) + \strlen($b))) {
            return false;
        }
        similar_text($a, $b, $percent);

        return $percent >= self::NEAR;
    }
}

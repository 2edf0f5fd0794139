<?php

declare(strict_types=1);

namespace Octavum\Room\Cloth\Guided;

use Octavum\Core\Cloth\Cloth;
use Octavum\Core\Measure\Figure;
use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Measure\Width;
use Octavum\Store\Cloth\ClothRecord;

/** At three places; the narrowest counts. */
final readonly class MeasureWidth implements GuidedTest
{
    public function read(TestFields $fields, Cloth $cloth): ?Outcome
    {
        $measured = array_values(array_filter(array_map($fields->optional(...), ['at1', 'at2', 'at3'])));
        if ([] === $measured) {
            $fields->entry->fault('at1', new Sentence('Nothing is measured yet: type the width at one place at least.'));

            return null;
        }
        $least = array_reduce($measured, static fn (Length $a, Length $b): Length => $a->smaller($b), $measured[0]);
        $selvage = $cloth->width->selvage ?? $fields->settings->assumptions->selvage;
        $width = $fields->entry->attempt('at1', static fn (): Width => Width::of($least, $selvage));

        return null === $width ? null : new Outcome(
            $fields->tape->write(Figure::width($least)),
            static fn (ClothRecord $record) => $record->width = $width->full->micrometres,
        );
    }
}

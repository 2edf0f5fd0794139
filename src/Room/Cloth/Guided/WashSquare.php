<?php

declare(strict_types=1);

namespace Octavum\Room\Cloth\Guided;

use Octavum\Core\Cloth\Cloth;
use Octavum\Core\Cloth\Shrinkage;
use Octavum\Store\Cloth\ClothRecord;

/** A square measured before and after its wash. */
final readonly class WashSquare implements GuidedTest
{
    public function read(TestFields $fields, Cloth $cloth): ?Outcome
    {
        [$before, $along, $across] = [$fields->length('before'), $fields->length('along'), $fields->length('across')];
        if (null === $before || null === $along || null === $across) {
            return null;
        }
        $tested = $fields->entry->attempt('along', static fn (): Shrinkage => Shrinkage::square($before, $along, $across));

        return null === $tested ? null : new Outcome(
            \sprintf('%s along, %s across', $tested->along, $tested->across),
            static function (ClothRecord $record) use ($tested): void {
                $record->shrinkAlong = $tested->along->hundredths;
                $record->shrinkAcross = $tested->across->hundredths;
            },
        );
    }
}

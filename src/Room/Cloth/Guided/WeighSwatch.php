<?php

declare(strict_types=1);

namespace Octavum\Room\Cloth\Guided;

use Octavum\Core\Cloth\Cloth;
use Octavum\Core\Cloth\Weight;
use Octavum\Store\Cloth\ClothRecord;

/** A swatch, measured and weighed. */
final readonly class WeighSwatch implements GuidedTest
{
    public function read(TestFields $fields, Cloth $cloth): ?Outcome
    {
        [$long, $wide, $mass] = [$fields->length('long'), $fields->length('wide'), $fields->milligrams('mass')];
        if (null === $long || null === $wide || null === $mass) {
            return null;
        }
        $weight = $fields->entry->attempt('mass', static fn (): Weight => Weight::ofSwatch($mass, $long, $wide));

        return null === $weight ? null : new Outcome(
            $weight->grams.' g/m²',
            static function (ClothRecord $record) use ($weight): void {
                $record->grams = $weight->grams;
                $record->weight = null;
            },
        );
    }
}

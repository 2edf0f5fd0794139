<?php

declare(strict_types=1);

namespace Octavum\Room\Cloth\Guided;

use Octavum\Core\Cloth\Cloth;
use Octavum\Core\Cloth\Gauge;
use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\Sentence;

/** A length by its weight, where width and g/m² are known. */
final readonly class WeighCut implements GuidedTest
{
    public function __construct(private Estimated $estimated)
    {
    }

    public function read(TestFields $fields, Cloth $cloth): ?Outcome
    {
        $mass = $fields->milligrams('mass');
        [$width, $weight] = [$cloth->width, $cloth->material->weight];
        if (null === $width || null === $weight) {
            $fields->entry->fault('mass', new Sentence(
                'This wants the width of the cloth and its weight in g/m²: measure the one, and weigh a swatch for the other, first.',
            ));
        }
        $found = null === $mass || null === $width || null === $weight
            ? null
            : $fields->entry->attempt('mass', static fn (): Length => (new Gauge())->byWeight($mass, $weight, $width));

        return $this->estimated->outcome($found, $fields, $cloth, 'estimated by weight');
    }
}

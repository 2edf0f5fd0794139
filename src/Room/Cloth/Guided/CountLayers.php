<?php

declare(strict_types=1);

namespace Octavum\Room\Cloth\Guided;

use Octavum\Core\Cloth\Cloth;
use Octavum\Core\Cloth\Gauge;
use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\Sentence;

/** A length by the layers on a bolt. */
final readonly class CountLayers implements GuidedTest
{
    public function __construct(private Estimated $estimated)
    {
    }

    public function read(TestFields $fields, Cloth $cloth): ?Outcome
    {
        $layers = $fields->entry->integer('layers', 1, 500);
        if (null === $layers && '' === $fields->entry->raw('layers')) {
            $fields->entry->fault('layers', new Sentence('Count the layers on one side of the bolt.'));
        }
        [$board, $thick] = [$fields->length('board'), $fields->length('thick')];
        $found = null === $layers || null === $board || null === $thick
            ? null
            : $fields->entry->attempt('layers', static fn (): Length => (new Gauge())->onBolt($layers, $board, $thick));

        return $this->estimated->outcome($found, $fields, $cloth, 'estimated by the layers on the bolt');
    }
}

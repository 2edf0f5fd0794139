<?php

declare(strict_types=1);

namespace Octavum\Room\Cloth\Guided;

use Octavum\Core\Cloth\Cloth;
use Octavum\Core\Cloth\Feel;
use Octavum\Store\Cloth\ClothMapper;
use Octavum\Store\Cloth\ClothRecord;

/** Ten centimetres, pulled; across or along. */
final readonly class PullStretch implements GuidedTest
{
    public function __construct(private ClothMapper $mapper)
    {
    }

    public function read(TestFields $fields, Cloth $cloth): ?Outcome
    {
        [$from, $to] = [$fields->length('from'), $fields->length('to')];
        if (null === $from || null === $to) {
            return null;
        }
        $way = 'along' === $fields->entry->raw('way') ? 'along' : 'across';
        $feel = $cloth->material->feel;
        $changed = $fields->entry->attempt('to', static fn (): Feel => 'across' === $way
            ? $feel->stretching(Feel::stretch($from, $to), $feel->along)
            : $feel->stretching($feel->across, Feel::stretch($from, $to)));

        return null === $changed ? null : new Outcome(
            ('along' === $way ? $changed->along : $changed->across).' % '.$way,
            fn (ClothRecord $record) => $this->mapper->storeFeel($changed, $record),
        );
    }
}

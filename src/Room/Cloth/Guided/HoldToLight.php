<?php

declare(strict_types=1);

namespace Octavum\Room\Cloth\Guided;

use Octavum\Core\Cloth\Cloth;
use Octavum\Core\Cloth\Opacity;
use Octavum\Core\Measure\Sentence;
use Octavum\Store\Cloth\ClothMapper;
use Octavum\Store\Cloth\ClothRecord;

/** A hand behind one layer of it. */
final readonly class HoldToLight implements GuidedTest
{
    public function __construct(private ClothMapper $mapper)
    {
    }

    public function read(TestFields $fields, Cloth $cloth): ?Outcome
    {
        $seen = $fields->entry->choice('opacity', Opacity::class);
        if (null === $seen) {
            $fields->entry->fault('opacity', new Sentence('Choose what comes nearest.'));

            return null;
        }

        return new Outcome(
            $seen->value,
            fn (ClothRecord $record) => $this->mapper->storeFeel($cloth->material->feel->hiding($seen), $record),
        );
    }
}

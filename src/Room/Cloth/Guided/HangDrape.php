<?php

declare(strict_types=1);

namespace Octavum\Room\Cloth\Guided;

use Octavum\Core\Cloth\Cloth;
use Octavum\Core\Cloth\Drape;
use Octavum\Core\Measure\Sentence;
use Octavum\Store\Cloth\ClothMapper;
use Octavum\Store\Cloth\ClothRecord;

/** A corner hung over the edge of a table. */
final readonly class HangDrape implements GuidedTest
{
    public function __construct(private ClothMapper $mapper)
    {
    }

    public function read(TestFields $fields, Cloth $cloth): ?Outcome
    {
        $seen = $fields->entry->choice('drape', Drape::class);
        if (null === $seen) {
            $fields->entry->fault('drape', new Sentence('Choose what comes nearest.'));

            return null;
        }

        return new Outcome(
            $seen->value,
            fn (ClothRecord $record) => $this->mapper->storeFeel($cloth->material->feel->falling($seen), $record),
        );
    }
}

<?php

declare(strict_types=1);

namespace Octavum\Room\Cloth\Guided;

use Octavum\Core\Cloth\Cloth;
use Octavum\Core\Measure\Sentence;
use Octavum\Store\Cloth\ClothMapper;
use Octavum\Store\Cloth\ClothRecord;

/** A fold pressed into a scrap. */
final readonly class PressCrease implements GuidedTest
{
    public function __construct(private ClothMapper $mapper)
    {
    }

    public function read(TestFields $fields, Cloth $cloth): ?Outcome
    {
        $stays = match ($fields->entry->raw('crease')) {
            'yes' => true,
            'no' => false,
            default => null,
        };
        if (null === $stays) {
            $fields->entry->fault('crease', new Sentence('Choose what comes nearest.'));

            return null;
        }

        return new Outcome(
            $stays ? 'takes a crease' : 'takes no crease',
            fn (ClothRecord $record) => $this->mapper->storeFeel($cloth->material->feel->pressing($stays), $record),
        );
    }
}

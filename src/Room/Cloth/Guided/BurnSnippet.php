<?php

declare(strict_types=1);

namespace Octavum\Room\Cloth\Guided;

use Octavum\Core\Cloth\BurnTest;
use Octavum\Core\Cloth\Cloth;
use Octavum\Core\Measure\Sentence;
use Octavum\Store\Cloth\ClothRecord;

/** What flame, smell and residue say together. */
final readonly class BurnSnippet implements GuidedTest
{
    public function read(TestFields $fields, Cloth $cloth): ?Outcome
    {
        $flame = BurnTest::FLAME[$fields->entry->raw('flame')] ?? null;
        $smell = BurnTest::SMELL[$fields->entry->raw('smell')] ?? null;
        $residue = BurnTest::RESIDUE[$fields->entry->raw('residue')] ?? null;
        if (null === $flame || null === $smell || null === $residue) {
            $fields->entry->fault('flame', new Sentence(
                'Choose what the flame, the smell and the residue were like; without all three nothing is written down.',
            ));

            return null;
        }
        $family = (new BurnTest())->family($flame, $smell, $residue);

        return new Outcome($family->value, static fn (ClothRecord $record) => $record->family = $family);
    }
}

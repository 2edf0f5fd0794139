<?php

declare(strict_types=1);

namespace Octavum\Room\Cloth\Guided;

use Octavum\Core\Cloth\Cloth;

/** A test on a cloth, done in steps: what was typed is read first, and written down only once all of it is sound. */
interface GuidedTest
{
    /** @return ?Outcome null, with a fault at its field, when it shows nothing yet */
    public function read(TestFields $fields, Cloth $cloth): ?Outcome;
}

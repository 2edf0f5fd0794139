<?php

declare(strict_types=1);

namespace Octavum\Core\Match\Rule;

use Octavum\Core\Match\Criteria\Asks;
use Octavum\Core\Match\Criteria\Traits;

/** Judges one concern of sewing a version from a cloth. Sources: docs/rules.md. */
interface Rule
{
    /**
     * All of a cloth that the rule looks at: of cloths that are alike in it, it says the same.
     *
     * @return list<\BackedEnum|bool|int|string|null>
     */
    public function sees(Traits $cloth): array;

    /** @return ?Reason null when it has nothing to say */
    public function judge(Traits $cloth, Asks $asks): ?Reason;
}

<?php

declare(strict_types=1);

namespace Octavum\Core\Match;

/** Judges one concern of sewing a version from a cloth. Sources: docs/rules.md. */
interface Rule
{
    /** @return ?Reason null when it has nothing to say */
    public function of(Traits $cloth, Asks $asks): ?Reason;
}

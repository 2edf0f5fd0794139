<?php

declare(strict_types=1);

namespace Octavum\Core\Season\Snag;

use Octavum\Core\Measure\Sentence;

/** Anything that would stop the scissors: one sentence with its number, and the one action that clears it. */
final readonly class Snag
{
    /** @param string $subject id of the cut, cloth, pattern or project the action is done to; of a project and a claim both */
    public function __construct(public Severity $severity, public Sentence $sentence, public Action $action, public string $subject)
    {
    }
}

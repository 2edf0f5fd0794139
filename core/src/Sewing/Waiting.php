<?php

declare(strict_types=1);

namespace Octavum\Core\Sewing;

use Octavum\Core\Measure\Sentence;
use Octavum\Core\Project\Log\Step;
use Octavum\Core\Season\Answer\ProjectAnswer;

/** A step that cannot be done now, and why. */
final readonly class Waiting
{
    public function __construct(public ProjectAnswer $answer, public Step $step, public Sentence $why)
    {
    }
}

<?php

declare(strict_types=1);

namespace Octavum\Core\Sewing;

use Octavum\Core\Project\Log\Step;
use Octavum\Core\Season\Answer\ProjectAnswer;

/** A step that can be done now. */
final readonly class Doable
{
    /**
     * @param ?int  $minutes still to come of it, at the sewist's pace; null when nobody has said
     * @param ?Step $then    what follows it
     */
    public function __construct(public ProjectAnswer $answer, public Step $step, public ?int $minutes, public ?Step $then)
    {
    }
}

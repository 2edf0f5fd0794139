<?php

declare(strict_types=1);

namespace Octavum\Core\Season\Answer;

use Octavum\Core\Project\Option;
use Octavum\Core\Season\Reserve\Collision;

/** What a project would come to if another of its options were taken. */
final readonly class OptionAnswer
{
    /** @param list<Collision> $collisions with what others were promised */
    public function __construct(public Option $option, public ProjectAnswer $answer, public array $collisions)
    {
    }
}

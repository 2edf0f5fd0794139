<?php

declare(strict_types=1);

namespace Octavum\Core\Season;

use Octavum\Core\Project\Project;

/** A project with a deadline, and when it is done if the earliest is sewn first. */
final readonly class Due
{
    /** @param int $late days after its deadline; nought when it is met */
    public function __construct(public Project $project, public \DateTimeImmutable $done, public int $late)
    {
    }
}

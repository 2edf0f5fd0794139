<?php

declare(strict_types=1);

namespace Octavum\Strip\Season;

use Octavum\Core\Season\Answer\ProjectAnswer;

/** A project as it is drawn: what is so, a strip for each role, and its bar on the ruler of weeks. */
final readonly class ProjectRow
{
    /** @param list<RoleRow> $roles */
    public function __construct(public ProjectAnswer $answer, public array $roles, public WeekBar $weeks)
    {
    }
}

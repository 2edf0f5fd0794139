<?php

declare(strict_types=1);

namespace Octavum\Room\Project;

use Octavum\Core\Season\Answer\ProjectAnswer;
use Octavum\Strip\StitchLine;

/** The sewing part of a project's page. */
final readonly class ProjectSewing
{
    /**
     * @param ProjectAnswer                     $answer with its steps and hours, also when it is done
     * @param array<string, \DateTimeImmutable> $days   by which each step to come is done
     */
    public function __construct(public ProjectAnswer $answer, public StitchLine $seam, public array $days)
    {
    }
}

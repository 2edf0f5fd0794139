<?php

declare(strict_types=1);

namespace Octavum\Core\Project;

use Octavum\Core\Fit\ByFinished;
use Octavum\Core\Fit\SizeAdvice;
use Octavum\Core\Fit\SizeChooser;

/** The size that whoever a project is for takes, by the body or, where the project says what ease is wanted, by the finished garment. */
final readonly class SizeFor
{
    /** @return ?SizeAdvice null without a person or a pattern */
    public function advise(Project $project, ?\DateTimeImmutable $today = null): ?SizeAdvice
    {
        return match (true) {
            null === $project->brief->person || null === $project->current->pattern => null,
            null === $project->brief->ease => (new SizeChooser())->choose($project->brief->person, $project->current->pattern, $today),
            default => (new ByFinished())->choose($project->brief->person, $project->current->pattern, $project->brief->ease),
        };
    }
}

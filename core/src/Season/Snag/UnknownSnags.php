<?php

declare(strict_types=1);

namespace Octavum\Core\Season\Snag;

use Octavum\Core\Measure\Sentence;
use Octavum\Core\Need\Missing;
use Octavum\Core\Need\Unknown;
use Octavum\Core\Project\Claim;
use Octavum\Core\Project\Project;

/** Why nobody can say whether the cloth is enough, and what would settle it. */
final readonly class UnknownSnags
{
    public function noCloth(Project $project, Claim $claim): Snag
    {
        $with = ['project' => $project->name, 'role' => new Sentence($claim->role->value)];
        $sentence = new Sentence('{project} has no cloth for {role} yet.', $with);

        return new Snag(Severity::NotKnown, $sentence, Action::ChooseInProject, $project->id);
    }

    public function explain(Project $project, Claim $claim, Unknown $unknown): Snag
    {
        [$action, $subject] = match ($unknown->missing) {
            Missing::Width => [Action::MeasureWidth, $claim->cloth->id ?? $project->id],
            Missing::Length => [Action::MeasureLength, $claim->cut->id ?? $project->id],
            Missing::Row => [Action::EnterTable, $project->current->pattern->id ?? $project->id],
            default => [Action::ChooseInProject, $project->id],
        };

        return new Snag(Severity::NotKnown, $this->sentence($project, $claim, $unknown), $action, $subject);
    }

    private function sentence(Project $project, Claim $claim, Unknown $unknown): Sentence
    {
        $with = ['cloth' => $claim->cloth->name ?? '', 'project' => $project->name];
        $guess = Missing::Row === $unknown->missing ? $unknown->guess : null;

        return match (true) {
            Missing::Width === $unknown->missing => new Sentence(
                'The width of {cloth} is not measured. Measure it to know whether {project} fits.',
                $with,
            ),
            Missing::Length === $unknown->missing && true === $claim->cut?->isTakenFrom() => new Sentence(
                'A part of {cloth} was taken and not measured: measure the rest before {project}.',
                $with,
            ),
            Missing::Length === $unknown->missing => new Sentence(
                '{cloth} is not measured. Measure its length to know whether {project} fits.',
                $with,
            ),
            null === $guess => new Sentence('{project}: {settle}', ['project' => $project->name, 'settle' => $unknown->settle]),
            default => new Sentence('{project}: {settle} {guess}', [
                'project' => $project->name,
                'settle' => $unknown->settle,
                'guess' => $guess->sentence(),
            ]),
        };
    }
}

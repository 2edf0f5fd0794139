<?php

declare(strict_types=1);

namespace Octavum\Core\Season\Snag;

use Octavum\Core\Body\Feature;
use Octavum\Core\Body\Liking;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Project\Project;

/** A version has what someone never wears, or would rather not, or lacks what they want; nothing where nobody said what it has. */
final readonly class LikingSnags
{
    /** @return list<Snag> */
    public function find(Project $project): array
    {
        $has = $project->current->version->features ?? [];
        if (null === $project->brief->person || [] === $has) {
            return [];
        }
        $snags = [];
        foreach ($project->brief->person->likings as $name => $liking) {
            $feature = Feature::from($name);
            $isThere = \in_array($feature, $has, true);
            $says = match (true) {
                $isThere && Liking::Never === $liking => '{project}: {person} never wants this: {feature}. Version {version} has it.',
                $isThere && Liking::Avoid === $liking => '{project}: {person} would rather not: {feature}. Version {version} has it.',
                !$isThere && Liking::Want === $liking => '{project}: {person} wants this: {feature}. Version {version} does not say so.',
                default => null,
            };
            if (null !== $says) {
                $snags[] = new Snag(
                    $isThere && Liking::Never === $liking ? Severity::Tight : Severity::Note,
                    new Sentence($says, [
                        'project' => $project->name,
                        'person' => $project->brief->person->name,
                        'feature' => new Sentence($feature->value),
                        'version' => $project->current->version->name ?? '',
                    ]),
                    Action::ChooseInProject,
                    $project->id,
                );
            }
        }

        return $snags;
    }
}

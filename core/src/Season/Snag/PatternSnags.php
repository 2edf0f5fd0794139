<?php

declare(strict_types=1);

namespace Octavum\Core\Season\Snag;

use Octavum\Core\Measure\Sentence;
use Octavum\Core\Pattern\KeptAlteration;
use Octavum\Core\Pattern\Ownership;
use Octavum\Core\Pattern\Pattern;
use Octavum\Core\Piece\Role;
use Octavum\Core\Project\Project;

/** What the envelope asks for and nobody planned; a pattern, a size or a piece that is not here; what is not drawn yet. */
final readonly class PatternSnags
{
    /** @return list<Snag> cloth of the envelope that is not planned */
    public function roles(Project $project): array
    {
        if (!$project->wantsCloth()) {
            return [];
        }
        if ([] === $project->current->claims) {
            $with = ['project' => $project->name, 'role' => Role::Main->value];
            $sentence = new Sentence('{project} has no cloth for {role} yet.', $with);

            return [new Snag(Severity::NotKnown, $sentence, Action::ChooseInProject, $project->id)];
        }
        $planned = array_column($project->current->claims, 'role');
        $snags = [];
        foreach ($project->current->version?->table->roles() ?? [] as $role) {
            if (!\in_array($role, [...$planned, ...$project->current->declined], true)) {
                $snags[] = new Snag(
                    Severity::Note,
                    new Sentence('{project}: the envelope also asks for {role}, and none is planned.', [
                        'project' => $project->name,
                        'role' => new Sentence($role->value),
                    ]),
                    Action::PlanRole,
                    $project->id.' '.$role->value,
                );
            }
        }

        return $snags;
    }

    /** @return list<Snag> */
    public function paper(Project $project): array
    {
        $pattern = $project->current->pattern;
        if (null === $pattern) {
            return [];
        }

        return array_map(static fn (array $said): Snag => new Snag($said[0], $said[1], Action::ShowPattern, $pattern->id), [
            ...$this->ownership($project, $pattern),
            ...$this->sizes($project, $pattern),
            ...$this->pieces($project, $pattern),
            ...$this->drawing($project, $pattern),
        ]);
    }

    /** @return list<array{Severity, Sentence}> */
    private function ownership(Project $project, Pattern $pattern): array
    {
        return Ownership::Owned === $pattern->keeping->ownership
            ? []
            : [
                [
                    // what is borrowed is in the house, and can be cut from
                    Ownership::Borrowed === $pattern->keeping->ownership ? Severity::Note : Severity::Tight,
                    new Sentence('{project}: the pattern {pattern} is {ownership}, not owned.', [
                        'project' => $project->name,
                        'pattern' => $pattern->title,
                        'ownership' => $pattern->keeping->ownership->value,
                    ]),
                ],
            ];
    }

    /** @return list<array{Severity, Sentence}> */
    private function sizes(Project $project, Pattern $pattern): array
    {
        $outside = array_filter(
            array_unique([$project->current->size, $project->current->gradedTo]),
            static fn (?string $size): bool => null !== $size && !$pattern->holdsSize($size),
        );

        return array_map(
            static fn (?string $size): array => [
                Severity::Tight,
                new Sentence('{project}: size {size} is outside the copy owned. One size beyond can be graded, which takes time.', [
                    'project' => $project->name,
                    'size' => (string) $size,
                ]),
            ],
            array_values($outside),
        );
    }

    /** @return list<array{Severity, Sentence}> pieces the copy lacks */
    private function pieces(Project $project, Pattern $pattern): array
    {
        $missing = null === $project->current->size ? '' : $pattern->missingFor($project->current->size);

        return '' === $missing
            ? []
            : [
                [
                    Severity::Tight,
                    new Sentence('{project}: the copy of {pattern} lacks {pieces}: trace or draft that before cutting.', [
                        'project' => $project->name,
                        'pattern' => $pattern->title,
                        'pieces' => $missing,
                    ]),
                ],
            ];
    }

    /** @return list<array{Severity, Sentence}> alterations that are not drawn on it */
    private function drawing(Project $project, Pattern $pattern): array
    {
        $kept = $pattern->alterationsFor($project->brief->person->id ?? '');
        $undrawn = array_filter($kept, static fn (KeptAlteration $alteration): bool => !$alteration->drawn);

        return [] === $undrawn
            ? []
            : [
                [
                    Severity::Note,
                    new Sentence('{project}: not drawn on the paper yet: {alterations}.', [
                        'project' => $project->name,
                        'alterations' => implode(', ', array_column($undrawn, 'name')),
                    ]),
                ],
            ];
    }
}

<?php

declare(strict_types=1);

namespace Octavum\Core\Season\Snag;

use Octavum\Core\Measure\Figure;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Pattern\Ownership;
use Octavum\Core\Pattern\Part;
use Octavum\Core\Piece\Seam;
use Octavum\Core\Piece\SewnEdges;
use Octavum\Core\Project\Project;

/** Where pieces of several patterns meet, and whether those patterns, in those sizes, are here. */
final readonly class PartSnags
{
    /** @return list<Snag> */
    public function find(Project $project): array
    {
        if ([] === $project->current->parts) {
            return [];
        }
        $snags = [];
        $edges = new SewnEdges(array_column($project->pieces(), 0), $project->largestSize());
        foreach ($project->current->parts as $part) {
            $snags = [...$snags, ...$this->paper($project, $part), ...$this->seam($project, $part, $edges)];
        }

        return $snags;
    }

    /** @return list<Snag> */
    private function paper(Project $project, Part $part): array
    {
        $pattern = $part->pattern;
        if (null === $pattern) {
            return [];
        }
        $size = $part->size ?? $project->largestSize();
        $with = ['project' => $project->name, 'pattern' => $pattern->title, 'part' => new Sentence($part->kind->value), 'size' => $size];
        $said = match (true) {
            Ownership::Owned !== $pattern->keeping->ownership => new Sentence(
                '{project}, {part} from {pattern}: that pattern is {ownership}, not owned.',
                $with + ['ownership' => new Sentence($pattern->keeping->ownership->value)],
            ),
            '' !== $size && !$pattern->holdsSize($size) => new Sentence(
                '{project}: size {size} is outside the copy of {pattern} that is owned.',
                $with,
            ),
            '' !== $size && '' !== $pattern->missingFor($size) => new Sentence(
                '{project}: the copy of {pattern} lacks {pieces}: trace or draft that before cutting.',
                $with + ['pieces' => $pattern->missingFor($size)],
            ),
            default => null,
        };

        $severity = Ownership::Borrowed === $pattern->keeping->ownership ? Severity::Note : Severity::Tight;

        return null === $said ? [] : [new Snag($severity, $said, Action::ShowPattern, $pattern->id)];
    }

    /** @return list<Snag> */
    private function seam(Project $project, Part $part, SewnEdges $edges): array
    {
        $seam = $part->kind->seam();
        if (null === $seam || null === $project->current->version) {
            return [];
        }
        $lengths = $edges->at($seam);
        $with = [
            'project' => $project->name,
            'part' => new Sentence($part->kind->value),
            'pattern' => $part->pattern->title ?? '',
            'compare' => $seam->sentence(),
        ];
        if (null === $lengths) {
            $sentence = new Sentence(
                null === $part->pattern
                    ? '{project}, {part} that are not its own: {compare} before cutting.'
                    : '{project}, {part} from {pattern}: {compare} before cutting.',
                $with,
            );

            return [new Snag(Severity::Note, $sentence, Action::ChooseInProject, $project->id)];
        }
        [$body, $sewn] = $lengths;
        $off = $sewn->minus($body);
        $with += [
            'edges' => $seam->edges(Figure::exact($body), Figure::exact($sewn)),
            'off' => Figure::exact($off->isNegative() ? $off->negated() : $off),
        ];
        $isCapShort = $off->isNegative() && Seam::Armhole === $seam;
        $sentence = new Sentence(
            match (true) {
                $isCapShort => '{project}, {part}: {edges}. '
                    .'The cap is {off} shorter than its armhole and cannot be set in: widen it, or take other sleeves.',
                0 === $off->micrometres => '{project}, {part}: {edges}: they are alike.',
                $off->isNegative() => '{project}, {part}: {edges}: what is sewn on is {off} shorter. Compare them before cutting.',
                default => '{project}, {part}: {edges}: what is sewn on is {off} longer. Is that its ease?',
            },
            $with,
        );

        return [
            new Snag(
                $isCapShort ? Severity::Short : ($off->isNegative() ? Severity::Tight : Severity::Note),
                $sentence,
                Action::ChooseInProject,
                $project->id,
            ),
        ];
    }
}

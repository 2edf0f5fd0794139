<?php

declare(strict_types=1);

namespace Octavum\Core\Season\Snag;

use Octavum\Core\Fit\Cups;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Project\Project;
use Octavum\Core\Project\SizeFor;

/** Whoever it is for takes a larger size than is planned. */
final readonly class SizeSnags
{
    /** @return list<Snag> */
    public function find(Project $project): array
    {
        if (null === $project->brief->person || null === $project->current->pattern) {
            return [];
        }
        $planned = $project->largestSize();
        $advice = (new SizeFor())->advise($project) ?? throw new \LogicException('It is for somebody, of a pattern.');
        $order = array_flip($project->current->pattern->chart->sizes);
        $takes = $advice->gradedTo ?? $advice->size;
        if (null === $takes || !isset($order[$planned])) {
            return [];
        }
        if ($order[$planned] >= $order[$takes] && true !== Cups::of($project->current->pattern->chart)?->isSmaller($planned, $takes)) {
            return [];
        }
        $sentence = new Sentence(null === $project->brief->ease
            ? '{project}: size {size} is planned, and by the chart {person} takes {takes}.'
            : '{project}: size {size} is planned, and with the ease wanted {person} takes {takes} by the finished garment.', [
                'project' => $project->name,
                'size' => $planned,
                'person' => $advice->person->name,
                'takes' => $takes,
            ]);

        return [new Snag(Severity::Tight, $sentence, Action::ChooseInProject, $project->id)];
    }
}

<?php

declare(strict_types=1);

namespace Octavum\Core\Season\Check;

use Octavum\Core\Measure\Figure;
use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Need\Need;
use Octavum\Core\Need\NeedSource;
use Octavum\Core\Need\Verdict;
use Octavum\Core\Project\Claim;
use Octavum\Core\Project\Project;
use Octavum\Core\Season\Answer\RoleAnswer;
use Octavum\Core\Season\Snag\Action;
use Octavum\Core\Season\Snag\Severity;
use Octavum\Core\Season\Snag\Snag;

/** What versions were really cut from before: where a figure says that a cloth is short, what came out of less is said beside it. */
final readonly class CutBefore
{
    /** @var array<string, list<array{Project, Claim}>> by version */
    private array $cut;

    /** @param list<Project> $projects of the whole workroom */
    public function __construct(array $projects)
    {
        $cut = [];
        foreach ($projects as $project) {
            foreach ($project->lines() as $line) {
                foreach ($line->current->claims as $claim) {
                    if (null !== $line->current->version && $claim->cutOut && null !== $claim->used) {
                        $cut[$line->current->version->id][] = [$line, $claim];
                    }
                }
            }
        }
        $this->cut = $cut;
    }

    /** @return list<Snag> */
    public function snags(Project $project, RoleAnswer $role): array
    {
        $free = null === $role->spare ? null : $role->amount()?->plus($role->spare);
        $isReckoned = $role->need instanceof Need && !\in_array($role->need->way, [NeedSource::LaidOut, NeedSource::Stated], true);
        if (Verdict::Short !== $role->verdict || null !== $role->tooWide || null === $free || !$isReckoned) {
            return [];
        }
        foreach ($this->cut[$project->current->version->id ?? ''] ?? [] as [$before, $claim]) {
            if (null !== $claim->used && $this->isLike($before, $claim, $project, $role) && !$free->isLessThan($claim->used)) {
                return [
                    new Snag(
                        Severity::Note,
                        new Sentence('{project}: it came out of {used} before, for {before}. That stands against the figure: lay it out.', [
                            'project' => $project->name,
                            'used' => Figure::exact($claim->used),
                            'before' => $before->name,
                        ]),
                        Action::ShowCloth,
                        $role->claim->cloth->id ?? '',
                    ),
                ];
            }
        }

        return [];
    }

    /** The same role in no smaller a size, from cloth that was no wider. */
    private function isLike(Project $before, Claim $claim, Project $project, RoleAnswer $role): bool
    {
        $sizes = $project->current->version->table->sizes ?? [];
        [$was, $is] = [array_search($before->largestSize(), $sizes, true), array_search($project->largestSize(), $sizes, true)];
        $width = static fn (Claim $of): ?Length => null === $of->cloth
            ? null
            : ($of->cut?->widthOf($of->cloth) ?? $of->cloth->width)?->full;
        [$then, $now] = [$width($claim), $width($role->claim)];

        return $claim->isFor($role->claim->role, $role->claim->pieces)
            && false !== $was
            && false !== $is
            && $was >= $is
            && (null === $then || null === $now || !$now->isLessThan($then));
    }
}

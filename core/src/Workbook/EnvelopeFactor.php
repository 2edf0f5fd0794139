<?php

declare(strict_types=1);

namespace Octavum\Core\Workbook;

use Octavum\Core\Season\Project;

/** What was really used of cloth, over what the envelopes asked for: of a pattern, of a maker. Source: docs/rules.md. */
final readonly class EnvelopeFactor
{
    /**
     * @param int $percent used, of what was asked; the median
     * @param int $cuts    that were compared
     */
    private function __construct(public int $percent, public int $cuts)
    {
    }

    /** @param list<Project> $projects of the pattern, or of the maker; null when nothing was compared yet */
    public static function of(array $projects): ?self
    {
        $ratios = [];
        foreach ($projects as $project) {
            foreach ($project->claims as $claim) {
                if (null !== $claim->used && null !== $claim->asked && $claim->asked->micrometres > 0) {
                    $ratios[] = $claim->used->micrometres / $claim->asked->micrometres;
                }
            }
        }
        sort($ratios);
        $count = \count($ratios);

        return 0 === $count
            ? null
            : new self((int) round(50 * ($ratios[intdiv($count - 1, 2)] + $ratios[intdiv($count, 2)])), $count);
    }
}

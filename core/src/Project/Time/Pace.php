<?php

declare(strict_types=1);

namespace Octavum\Core\Project\Time;

use Octavum\Core\Project\Log\ProjectState;
use Octavum\Core\Project\Project;

/**
 * How a sewist's hours compare with those a pattern says: the median of really spent over said, of what is done, pulled towards 1
 * by three imagined projects that took just what was said. Source: docs/rules.md.
 */
final readonly class Pace
{
    private const IMAGINED = 3;

    /** The times kept of a project say something when they cover this share of it, in per cent. A starting value of the house. */
    private const COVERED = 50;

    /**
     * @param int $permille a thousand is as said
     * @param int $projects that were counted
     */
    private function __construct(public int $permille, public int $projects)
    {
    }

    public static function asSaid(): self
    {
        return new self(1000, 0);
    }

    /** @param list<Project> $projects all of them, or those of a garment */
    public static function of(array $projects): self
    {
        $ratios = array_values(array_filter(array_map(self::ratio(...), $projects), is_float(...)));
        sort($ratios);
        $count = \count($ratios);
        if (0 === $count) {
            return self::asSaid();
        }
        $median = ($ratios[intdiv($count - 1, 2)] + $ratios[intdiv($count, 2)]) / 2;

        return new self((int) round(1000 * ($count * $median + self::IMAGINED) / ($count + self::IMAGINED)), $count);
    }

    public function applied(int $minutes): int
    {
        return (int) round($minutes * $this->permille / 1000);
    }

    /** As "1.3" is written. */
    public function factor(): string
    {
        return number_format($this->permille / 1000, 2);
    }

    /** Really spent over said, of the sewing steps of which times were kept; null when they are too few of a project that is done. */
    private static function ratio(Project $project): ?float
    {
        // a figure of one's own has one's pace in it already
        if (ProjectState::Done !== $project->log->state || null !== $project->current->minutes) {
            return null;
        }
        $said = $all = 0;
        $spent = $project->log->sewing->spent('');
        $whole = $spent > 0;
        foreach (Steps::of($project) as $step) {
            if ($step->kind->isSewing()) {
                $minutes = $project->log->sewing->spent($step->id);
                $all += $step->minutes ?? 0;
                $said += $minutes > 0 || $whole ? $step->minutes ?? 0 : 0;
                $spent += $minutes;
            }
        }

        return 0 === $said || 0 === $spent || 100 * $said < self::COVERED * $all ? null : $spent / $said;
    }
}

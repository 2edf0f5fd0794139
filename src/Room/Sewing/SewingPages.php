<?php

declare(strict_types=1);

namespace Octavum\Room\Sewing;

use Octavum\Account\Account;
use Octavum\Core\Project\Log\ProjectState;
use Octavum\Core\Project\Project;
use Octavum\Core\Project\Season;
use Octavum\Core\Project\Time\Pace;
use Octavum\Core\Season\Answer\ProjectAnswer;
use Octavum\Core\Sewing\Sessions;
use Octavum\Core\Sewing\WhatFits;
use Octavum\Store\Plan\PlanChecker;
use Octavum\Store\Plan\PlanLoader;
use Octavum\Strip\SeamDrawing;
use Psr\Clock\ClockInterface;

/** What is begun, and next on the plan, over all seasons. */
final readonly class SewingPages
{
    /** Projects that are not begun, of which steps are offered all the same. */
    private const NEXT = 3;

    /** Days after which somebody may know how often a garment is worn. */
    private const WORN_AFTER = 28;

    public function __construct(
        private PlanLoader $plan,
        private PlanChecker $checker,
        private SeamDrawing $seams,
        private ClockInterface $clock,
    ) {
    }

    public function page(Account $account, int $have): SewingPage
    {
        $projects = $this->plan->drawn($account);
        [$begun, $planned] = $this->atHand($account, $projects);
        $next = \array_slice($planned, 0, self::NEXT);
        $fits = new WhatFits([...$begun, ...$next]);
        $offered = $fits->within($have)[0]->answer ?? $begun[0] ?? $next[0] ?? null;
        foreach ($begun as $answer) {
            $offered = null === $answer->project->log->sewing->timer ? $offered : $answer;
        }
        $garment = $offered?->project->garment();
        $row = fn (ProjectAnswer $answer): BegunRow => new BegunRow($answer, $this->seams->draw($answer));

        return new SewingPage(
            $have,
            $fits,
            array_map($row, $begun),
            next: array_map($row, $next),
            sessions: (new Sessions())->group([...$begun, ...$planned]),
            unsaid: new Unsaid($this->toJudge($begun), $this->toAskWorn($projects)),
            paces: new Paces(
                Pace::of($projects),
                Pace::of(array_values(array_filter($projects, static fn (Project $one): bool => $one->garment() === $garment))),
            ),
            about: $offered,
        );
    }

    /**
     * @param list<Project> $projects
     *
     * @return array{list<ProjectAnswer>, list<ProjectAnswer>} begun, the earliest deadline first; and those in rank above the chalk line
     */
    private function atHand(Account $account, array $projects): array
    {
        $begun = $planned = [];
        foreach ($this->checker->checkAll($account, Season::ofProjects($projects), $projects) as $checked) {
            foreach ($checked->projects as $answer) {
                if ($this->isBegun($answer->project)) {
                    $begun[] = $answer;
                } elseif ($answer->project->log->state->takesHours() && !$answer->turn->below && !$checked->season->undated) {
                    $planned[] = $answer;
                }
            }
        }
        $late = new \DateTimeImmutable('9999-12-31');
        $place = static fn (ProjectAnswer $answer): array => [
            $answer->project->brief->dates->deadline ?? $late,
            $answer->project->season->starts,
            $answer->project->rank,
        ];
        usort($begun, static fn (ProjectAnswer $a, ProjectAnswer $b): int => $place($a) <=> $place($b));

        return [$begun, $planned];
    }

    private function isBegun(Project $project): bool
    {
        $sewing = $project->log->sewing;

        return $project->log->state->takesHours()
            && ($project->log->state->isBegun() || [] !== $sewing->stretches || null !== $sewing->timer
                || [] !== array_filter($sewing->steps, static fn ($step): bool => null !== $step->done));
    }

    /**
     * @param list<ProjectAnswer> $begun
     *
     * @return list<Project>
     */
    private function toJudge(array $begun): array
    {
        return array_map(
            static fn (ProjectAnswer $answer): Project => $answer->project,
            array_values(array_filter($begun, static fn (ProjectAnswer $answer): bool => 0 === $answer->hours->left
                && null === $answer->hours->next())),
        );
    }

    /**
     * @param list<Project> $projects
     *
     * @return list<Project>
     */
    private function toAskWorn(array $projects): array
    {
        $before = $this->clock->now()->modify('-'.self::WORN_AFTER.' days');

        return array_values(array_filter($projects, static function (Project $project) use ($before): bool {
            $done = $project->log->sewing->since(ProjectState::Done);

            return ProjectState::Done === $project->log->state && null !== $done && $done < $before && [] === $project->log->sewing->worn;
        }));
    }
}

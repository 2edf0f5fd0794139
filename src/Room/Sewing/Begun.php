<?php

declare(strict_types=1);

namespace Octavum\Room\Sewing;

use Octavum\Account\Account;
use Octavum\Core\Project\Log\Sewing;
use Octavum\Core\Project\Log\Timer;
use Octavum\Core\Project\Project;
use Octavum\Core\Project\Time\Hours;
use Octavum\Core\Project\Time\Pace;
use Octavum\Core\Sewing\Progress;
use Octavum\Page\Toast;
use Octavum\Store\Change\ChangeLog;
use Octavum\Store\Change\Notice;
use Octavum\Store\Plan\PlanLoader;
use Octavum\Store\Project\ProjectRecord;
use Octavum\Store\Project\ProjectRepository;
use Octavum\Store\Project\Sewings;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

/** A project of the account's own in the sewing: what is changed in it, saved and to be taken back. */
final readonly class Begun
{
    public function __construct(
        private ProjectRepository $projects,
        private PlanLoader $plan,
        private Sewings $sewings,
        private ChangeLog $changes,
    ) {
    }

    /**
     * @return array{ProjectRecord, Project}
     *
     * @throws NotFoundHttpException of another account's, and of what is not on the plan
     */
    public function project(Account $account, string $id): array
    {
        $record = $this->projects->hereOf($account, $id) ?? throw new NotFoundHttpException();

        return [$record, $this->plan->project($account, $id) ?? throw new NotFoundHttpException()];
    }

    /** Minutes a step takes at the sewist's pace; null when nobody has said. */
    public function expected(Account $account, Project $project, string $step): ?int
    {
        $hours = Hours::of($project, Pace::of($this->plan->projects($account)));
        foreach ($hours->steps as $one) {
            if ($one->id === $step) {
                return $hours->minutes($one);
            }
        }

        return null;
    }

    /**
     * Another project of the account whose timer runs.
     *
     * @return ?array{ProjectRecord, Project, Timer}
     */
    public function running(Account $account, string $but): ?array
    {
        foreach ($this->plan->drawn($account) as $project) {
            if (null !== $project->log->sewing->timer && $project->id !== $but) {
                return [...$this->project($account, $project->id), $project->log->sewing->timer];
            }
        }

        return null;
    }

    /**
     * @param string $says of the project by {project}, for the toast; empty for nothing
     * @param string $back where undoing leads
     */
    public function save(ProjectRecord $record, Project $project, Sewing $sewing, string $says, string $back): void
    {
        $make = function () use ($record, $project, $sewing): void {
            $this->sewings->store($sewing, $record);
            $this->sewings->enter($record, (new Progress($project))->state($sewing));
        };
        $this->changes->commit([$record], $make, '' === $says ? null : new Notice($says, ['project' => $record->name], $back));
    }
}

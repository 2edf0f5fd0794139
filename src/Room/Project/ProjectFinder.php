<?php

declare(strict_types=1);

namespace Octavum\Room\Project;

use Octavum\Account\Account;
use Octavum\Core\Project\Project;
use Octavum\Store\Plan\PlanLoader;
use Octavum\Store\Project\OptionRecord;
use Octavum\Store\Project\ProjectRecord;
use Octavum\Store\Project\ProjectRepository;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

/** A project of the account's own, and its options; what is nobody's, or another's, is not found. */
final readonly class ProjectFinder
{
    public function __construct(private ProjectRepository $projects, private PlanLoader $plan)
    {
    }

    /** @return array{ProjectRecord, Project} */
    public function project(Account $account, string $id): array
    {
        $record = $this->projects->hereOf($account, $id) ?? throw new NotFoundHttpException();
        foreach ($this->plan->projects($account) as $project) {
            if ($project->id === $id) {
                return [$record, $project];
            }
        }
        throw new NotFoundHttpException();
    }

    public function option(ProjectRecord $project, string $id, bool $removed = false): OptionRecord
    {
        foreach ($removed ? $project->options : $project->others() as $option) {
            if ($option->id === $id) {
                return $option;
            }
        }
        throw new NotFoundHttpException();
    }
}

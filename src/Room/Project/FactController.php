<?php

declare(strict_types=1);

namespace Octavum\Room\Project;

use Octavum\Account\Account;
use Octavum\Core\Body\Fact;
use Octavum\Core\Pattern\KeptAlteration;
use Octavum\Store\Change\ChangeLog;
use Octavum\Store\Change\Notice;
use Octavum\Store\Pattern\PatternMapper;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** What always has to be altered for somebody: taken for the pattern of a project, or left out of it. */
#[Route('/project/{id}/fact', requirements: ['id' => Requirement::ULID], methods: ['POST'])]
final class FactController extends AbstractController
{
    public function __construct(
        private readonly ProjectFinder $mine,
        private readonly PatternMapper $patterns,
        private readonly ChangeLog $changes,
    ) {
    }

    /** It is kept for the pattern and the person from now on, and counts in each project of the two. */
    #[Route('/take', name: 'fact_take')]
    public function take(string $id, Request $request, #[CurrentUser] Account $account): Response
    {
        [$record, $project] = $this->mine->project($account, $id);
        $fact = $this->offered($project->factsOffered(), $request->request->getString('name'));
        $pattern = $record->current->version?->pattern;
        if (null === $pattern || null === $project->brief->person || null === $project->current->pattern) {
            throw $this->createNotFoundException();
        }
        $make = function () use ($project, $fact, $pattern): void {
            $kept = new KeptAlteration($project->brief->person->id, $fact->name, $fact->length);
            $this->patterns->keep([...$project->current->pattern->alterations, $kept], $pattern);
        };
        $says = '{fact} counts in {project} now, and in whatever else {person} gets from this pattern.';

        return $this->commit($id, [$pattern], $make, $says, [
            'fact' => $fact->name,
            'project' => $project->name,
            'person' => $project->brief->person->name,
        ]);
    }

    #[Route('/leave', name: 'fact_leave')]
    public function leave(string $id, Request $request, #[CurrentUser] Account $account): Response
    {
        [$record, $project] = $this->mine->project($account, $id);
        $fact = $this->offered($project->factsOffered(), $request->request->getString('name'));
        $option = $record->current;
        $make = static function () use ($option, $fact): void {
            $option->leftOut = [...$option->leftOut, $fact->name];
        };

        return $this->commit($id, [$option], $make, '{project} is sewn without it: {fact}.', [
            'fact' => $fact->name,
            'project' => $project->name,
        ]);
    }

    /** @param list<Fact> $offered */
    private function offered(array $offered, string $name): Fact
    {
        foreach ($offered as $fact) {
            if ($fact->name === $name) {
                return $fact;
            }
        }
        throw $this->createNotFoundException();
    }

    /**
     * @param list<object>          $touched
     * @param array<string, string> $with
     */
    private function commit(string $id, array $touched, \Closure $make, string $says, array $with): Response
    {
        $here = $this->generateUrl('project', ['id' => $id, 'part' => 'pattern']);
        $this->changes->commit($touched, $make, new Notice($says, $with, $here));

        return $this->redirect($here);
    }
}

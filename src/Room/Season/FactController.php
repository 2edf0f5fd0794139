<?php

declare(strict_types=1);

namespace Octavum\Room\Season;

use Doctrine\ORM\EntityManagerInterface;
use Octavum\Account\Account;
use Octavum\Core\Body\Fact;
use Octavum\Core\Pattern\KeptAlteration;
use Octavum\Page\Toast;
use Octavum\Store\PatternMapper;
use Octavum\Store\TakeBack;
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
        private readonly MyProject $mine,
        private readonly PatternMapper $patterns,
        private readonly TakeBack $takeBack,
        private readonly EntityManagerInterface $entities,
        private readonly Toast $toast,
    ) {
    }

    /** It is kept for the pattern and the person from now on, and counts in each project of the two. */
    #[Route('/take', name: 'fact_take')]
    public function take(string $id, Request $request, #[CurrentUser] Account $account): Response
    {
        [$record, $project] = $this->mine->project($account, $id);
        $fact = $this->offered($project->factsOffered(), $request->request->getString('name'));
        $pattern = $record->current->version?->pattern;
        if (null === $pattern || null === $project->person || null === $project->current->pattern) {
            throw $this->createNotFoundException();
        }
        $before = $this->takeBack->state([$pattern]);
        $kept = new KeptAlteration($project->person->id, $fact->name, $fact->length);
        $this->patterns->keep([...$project->current->pattern->alterations, $kept], $pattern);
        $this->entities->flush();

        return $this->done($id, '{fact} counts in {project} now, and in whatever else {person} gets from this pattern.', [
            'fact' => $fact->name,
            'project' => $project->name,
            'person' => $project->person->name,
        ], $this->takeBack->keep($before, [$pattern]));
    }

    #[Route('/leave', name: 'fact_leave')]
    public function leave(string $id, Request $request, #[CurrentUser] Account $account): Response
    {
        [$record, $project] = $this->mine->project($account, $id);
        $fact = $this->offered($project->factsOffered(), $request->request->getString('name'));
        $before = $this->takeBack->state([$record->current]);
        $record->current->leftOut = [...$record->current->leftOut, $fact->name];
        $this->entities->flush();

        return $this->done($id, '{project} is sewn without it: {fact}.', [
            'fact' => $fact->name,
            'project' => $project->name,
        ], $this->takeBack->keep($before, [$record->current]));
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

    /** @param array<string, string> $with */
    private function done(string $id, string $says, array $with, string $key): Response
    {
        $here = $this->generateUrl('project', ['id' => $id]);
        $this->toast->say($says, $with, $this->generateUrl('undo', ['key' => $key, 'back' => $here]));

        return $this->redirect($here);
    }
}

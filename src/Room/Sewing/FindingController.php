<?php

declare(strict_types=1);

namespace Octavum\Room\Sewing;

use Octavum\Account\Mine;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Pattern\KeptAlteration;
use Octavum\Core\Project\Log\Again;
use Octavum\Core\Project\Log\Chosen;
use Octavum\Core\Project\Log\Fate;
use Octavum\Core\Project\Log\Finding;
use Octavum\Core\Project\Log\Fitted;
use Octavum\Core\Project\Log\ProjectState;
use Octavum\Core\Project\Log\Wear;
use Octavum\Core\Project\Log\Worn;
use Octavum\Core\Project\Project;
use Octavum\Input\Entry;
use Octavum\Input\Revision;
use Octavum\Page\ReturnPath;
use Octavum\Store\Change\ChangeLog;
use Octavum\Store\Change\Notice;
use Octavum\Store\Pattern\PatternMapper;
use Octavum\Store\Pattern\PatternRecord;
use Octavum\Store\Project\ProjectRecord;
use Octavum\Store\Project\Sewings;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;

/** How a garment turned out, when it is done and later. */
#[Route('/project/{id}', requirements: ['id' => Requirement::ULID])]
final class FindingController extends AbstractController
{
    public function __construct(
        private readonly Sewings $sewings,
        private readonly PatternMapper $patterns,
        private readonly ChangeLog $changes,
    ) {
    }

    /** The verdict at the end: the project is done by it, and what to change next time goes back to the pattern. */
    #[Route('/finding', name: 'finding', methods: ['GET', 'POST'])]
    public function finding(
        #[Mine] ProjectRecord $record,
        #[Mine] Project $project,
        Request $request,
        Entry $entry,
    ): Response {
        $known = $project->log->sewing->finding;
        $values = [
            'fitted' => $known->fitted->value ?? '',
            'cloth' => $known->cloth->value ?? '',
            'again' => $known->again->value ?? '',
            'change' => $known->change ?? '',
            'note' => $known->note ?? '',
            'day' => ($project->log->sewing->since(ProjectState::Done) ?? $this->sewings->today())->format('Y-m-d'),
            'keep' => '1',
        ];
        if ($request->isMethod('POST')) {
            $day = $entry->date('day', past: true) ?? $this->sewings->today();
            if ($day > $this->sewings->today()) {
                $entry->fault('day', new Sentence('That day is still to come: type the day it was done.'));
            }
            $finding = new Finding(
                $day,
                $entry->choice('fitted', Fitted::class),
                $entry->choice('cloth', Chosen::class),
                again: $entry->choice('again', Again::class),
                change: $entry->text('change', 300),
                note: $entry->text('note', 2000),
            );
            Revision::check($entry, $record->revision, $values);
            if ($entry->isSound()) {
                $this->keep($record, $project, $finding, $entry->boolean('keep'));

                return $this->redirectToRoute('project', ['id' => $record->id, 'part' => 'sewing']);
            }
        }

        return $this->render('sewing/finding.html.twig', [
            'project' => $project,
            'revision' => $record->revision,
            'values' => [] === $entry->typed ? $values : $entry->typed,
            'faults' => $entry->faults(),
        ], new Response(status: $entry->status()));
    }

    /** How often it is worn, looked at later. */
    #[Route('/worn', name: 'worn', methods: ['POST'])]
    public function worn(
        #[Mine] ProjectRecord $record,
        #[Mine] Project $project,
        Request $request,
        Entry $entry,
    ): Response {
        $wear = Wear::tryFrom($entry->raw('wear')) ?? throw $this->createNotFoundException();
        $worn = new Worn(
            $this->sewings->today(),
            $wear,
            Fate::tryFrom($entry->raw('fate')) ?? Fate::Kept,
            mb_substr($entry->raw('note'), 0, 300),
        );
        $back = ReturnPath::to($request, $this->generateUrl('project', ['id' => $record->id, 'part' => 'sewing']));
        $this->changes->commit(
            [$record],
            fn () => $this->sewings->store($project->log->sewing->wearing([...$project->log->sewing->worn, $worn]), $record),
            new Notice('How {project} is worn is kept.', ['project' => $record->name], $back->getTargetUrl()),
        );

        return $back;
    }

    /** @param bool $next whether what to change goes back to the pattern */
    private function keep(ProjectRecord $record, Project $project, Finding $finding, bool $next): void
    {
        $pattern = $record->current->version?->pattern;
        $make = function () use ($record, $project, $finding, $next, $pattern): void {
            $this->sewings->store($project->log->sewing->found($finding)->timed(null), $record);
            if (ProjectState::Done !== $record->state) {
                $this->sewings->enter($record, ProjectState::Done, on: $finding->on);
            }
            $person = $project->brief->person;
            if ($next && null !== $pattern && null !== $project->current->pattern && null !== $person && '' !== $finding->change) {
                $this->alteration($pattern, $project->current->pattern->alterations, new KeptAlteration(
                    $person->id,
                    mb_substr($finding->change, 0, 120),
                ));
            }
        };
        $here = $this->generateUrl('project', ['id' => $record->id, 'part' => 'sewing']);
        $this->changes->commit(
            null === $pattern ? [$record] : [$record, $pattern],
            $make,
            new Notice('{project} is done.', ['project' => $record->name], $here),
        );
    }

    /** @param list<KeptAlteration> $known */
    private function alteration(PatternRecord $pattern, array $known, KeptAlteration $new): void
    {
        foreach ($known as $one) {
            if ($one->person === $new->person && $one->name === $new->name) {
                return;
            }
        }
        $this->patterns->keep([...$known, $new], $pattern);
    }
}

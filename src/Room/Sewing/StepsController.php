<?php

declare(strict_types=1);

namespace Octavum\Room\Sewing;

use Octavum\Account\Mine;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Notion\NotionKind;
use Octavum\Core\Project\Log\Step;
use Octavum\Core\Project\Log\StepKind;
use Octavum\Core\Project\Project;
use Octavum\Core\Project\Time\Steps;
use Octavum\Core\Sewing\Progress;
use Octavum\Input\Entry;
use Octavum\Input\Revision;
use Octavum\Store\Project\ProjectRecord;
use Octavum\Store\Project\Sewings;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Uid\Ulid;

/** The steps of a project as a list to change. */
final class StepsController extends AbstractController
{
    /** Empty lines to type more into. */
    private const MORE = 3;

    public function __construct(private readonly Begun $begun, private readonly Sewings $sewings)
    {
    }

    #[Route('/project/{id}/steps', name: 'steps', requirements: ['id' => Requirement::ULID], methods: ['GET', 'POST'])]
    public function edit(
        #[Mine] ProjectRecord $record,
        #[Mine] Project $project,
        Request $request,
        Entry $entry,
    ): Response {
        $steps = Steps::of($project);
        $values = ['rows' => array_map($this->row(...), $steps, array_keys($steps))];
        if ($request->isMethod('POST')) {
            $typed = $entry->boolean('template') ? [] : $this->read($entry, $steps);
            Revision::check($entry, $record->revision, $values);
            if ($entry->isSound()) {
                $this->begun->save(
                    $record,
                    $project,
                    (new Progress($project))->done('', null)->steps($typed),
                    [] === $typed ? '{project}: its steps are those of the template.' : '{project}: the steps are kept.',
                    $this->generateUrl('project', ['id' => $record->id, 'part' => 'sewing']),
                );

                return $this->redirectToRoute('project', ['id' => $record->id, 'part' => 'sewing', '_fragment' => 'steps']);
            }
        }
        $rows = [] === $entry->typed ? $values : $entry->typed;
        $count = \is_array($rows['rows'] ?? null) ? \count($rows['rows']) : 0;

        return $this->render('sewing/steps.html.twig', [
            'project' => $project,
            'revision' => $record->revision,
            'values' => $rows,
            'lines' => [] === $entry->typed ? range(0, $count + self::MORE - 1) : $entry->rows('rows'),
            'faults' => $entry->faults(),
            'own' => [] !== $project->log->sewing->steps,
        ], new Response(status: $entry->status()));
    }

    /** @return array<string, string> */
    private function row(Step $step, int $place): array
    {
        return [
            'id' => $step->id,
            'place' => (string) (10 * ($place + 1)),
            'name' => $step->name,
            'kind' => $step->kind->value,
            'minutes' => (string) $step->minutes,
            'needs' => $step->needs[0]->value ?? '',
            'waits' => $step->waits,
            'done' => null === $step->done ? '' : '1',
        ];
    }

    /**
     * @param list<Step> $known
     *
     * @return list<Step> by their place; a line without a name is taken out
     */
    private function read(Entry $entry, array $known): array
    {
        $byId = [];
        foreach ($known as $step) {
            $byId[$step->id] = $step;
        }
        $steps = [];
        foreach ($entry->rows('rows') as $n => $i) {
            $at = 'rows.'.$i.'.';
            if ('' === $entry->raw($at.'name')) {
                continue;
            }
            $was = $byId[$entry->raw($at.'id')] ?? null;
            $needs = $entry->choice($at.'needs', NotionKind::class);
            $name = $entry->name($at.'name', Step::LONGEST_NAME);
            $steps[] = [$entry->integer($at.'place', 0, 100_000) ?? 100_000 + $n, new Step(
                $was->id ?? (string) new Ulid(),
                $name,
                $entry->choice($at.'kind', StepKind::class) ?? StepKind::Sew,
                minutes: $entry->integer($at.'minutes', 0, Step::MOST_MINUTES),
                needs: null === $needs ? [] : array_values(array_unique([$needs, ...\array_slice($was->needs ?? [], 1)], \SORT_REGULAR)),
                cloths: $was->cloths ?? [],
                done: $entry->boolean($at.'done') ? $was->done ?? $this->sewings->today() : null,
                waits: $entry->text($at.'waits', 200),
            )];
        }
        if ([] === $steps) {
            $entry->fault('rows', new Sentence('A project has at least one step: type one, or go back to the template.'));
        }
        usort($steps, static fn (array $a, array $b): int => $a[0] <=> $b[0]);

        return array_column($steps, 1);
    }
}

<?php

declare(strict_types=1);

namespace Octavum\Room\Gate;

use Octavum\Account\Account;
use Octavum\Account\AccountSettings;
use Octavum\Core\Cloth\Conservation;
use Octavum\Core\Cloth\Cut;
use Octavum\Core\Match\Criteria\Traits;
use Octavum\Core\Match\Making;
use Octavum\Core\Match\Toile;
use Octavum\Core\Measure\Figure;
use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\LengthFormatter;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Need\Estimator;
use Octavum\Core\Project\Cautions;
use Octavum\Core\Project\Project;
use Octavum\Core\Project\Sewn;
use Octavum\Core\Season\Answer\ProjectAnswer;
use Octavum\Core\Season\Answer\RoleAnswer;
use Octavum\Core\Season\Gate\Check;
use Octavum\Core\Season\Gate\EnvelopeAsk;
use Octavum\Core\Season\Gate\Gate;
use Octavum\Core\Season\Gate\GateLine;
use Octavum\Input\Entry;
use Octavum\Input\Revision;
use Octavum\Page\Toast;
use Octavum\Store\Change\Notice;
use Octavum\Store\Cloth\Stash;
use Octavum\Store\Plan\PlanChecker;
use Octavum\Store\Plan\PlanLoader;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** The gate before cutting: its checks, and the cut. */
#[Route('/project/{id}/gate/{claim}', requirements: ['id' => Requirement::ULID, 'claim' => Requirement::ULID])]
final class GateController extends AbstractController
{
    /** Lines for remnants. */
    private const REMNANTS = 3;

    public function __construct(
        private readonly PlanLoader $plan,
        private readonly PlanChecker $checker,
        private readonly Stash $stash,
        private readonly AccountSettings $settings,
        private readonly CutRecorder $scissors,
        private readonly Toast $toast,
    ) {
    }

    #[Route('', name: 'gate', methods: ['GET'])]
    public function show(string $id, string $claim, #[CurrentUser] Account $account): Response
    {
        [$answer, $role] = $this->found($account, $id, $claim);

        return $role->claim->cutOut ? $this->isCut($answer, $role) : $this->page($answer, $role, $account, new Entry([]));
    }

    /** What is said of the checks is kept; with the scissors, the cloth is cut. */
    #[Route('', name: 'gate_pass', methods: ['POST'])]
    public function pass(
        string $id,
        string $claim,
        Request $request,
        Entry $entry,
        #[CurrentUser] Account $account,
    ): Response {
        [$answer, $role] = $this->found($account, $id, $claim);
        if ($role->claim->cutOut) {
            return $this->isCut($answer, $role, $request->request->getString('used'));
        }
        $said = $this->skipping($entry, $this->said($entry), $answer, $role, $account);
        if ($entry->isSound() && !$entry->boolean('cut')) {
            $this->scissors->keep($account, $id, $claim, $said);

            return $this->redirectToRoute('gate', ['id' => $id, 'claim' => $claim]);
        }
        $record = $this->stash->record($account, $role->claim->cut->id ?? '') ?? throw $this->createNotFoundException();
        $open = array_filter($this->lines($answer, $role, $account, $said), static fn (GateLine $line): bool => !$line->isPassed());
        if ([] !== $open) {
            $entry->fault('checks', new Sentence(
                '{count, plural, one {One check is} other {# checks are}} open: clear or tick each, or skip it with a reason. Nothing is cut yet.',
                ['count' => \count($open)],
            ));
        }
        Revision::check($entry, $record->revision);
        $done = $this->taken($entry, $answer, $role, $account);
        if (!$entry->isSound() || null === $done) {
            return $this->page($answer, $role, $account, $entry, $said);
        }
        $back = $this->generateUrl('project', ['id' => $id]);
        $this->scissors->cut($account, $id, $claim, cut: $record, taken: $done, said: $said, notice: new Notice(
            '{cloth} is cut for {project}.',
            ['cloth' => $role->claim->cloth->name ?? '', 'project' => $answer->project->name],
            $back,
        ));

        return $this->redirect($back);
    }

    /** @return array{ProjectAnswer, RoleAnswer} of cloth that is here, or was before it was cut out */
    private function found(Account $account, string $id, string $claim): array
    {
        $answer = $this->checker->answer($account, $id);
        $role = $answer?->role($claim);

        return null === $answer || null === $role?->claim->cut
            ? throw $this->createNotFoundException()
            : [$answer, $role];
    }

    /** Somebody has cut it meanwhile, or the page is an old one: that stands, and nothing is cut twice. */
    private function isCut(ProjectAnswer $answer, RoleAnswer $role, string $typed = ''): Response
    {
        $this->toast->say(
            '' === $typed
                ? '{cloth} is cut out for {project} already.'
                : '{cloth} was cut for {project} somewhere else meanwhile: that stands, and your {typed} is not written.',
            [
                'cloth' => $role->claim->cloth->name ?? '',
                'project' => $answer->project->name,
                'typed' => mb_substr($typed, 0, 40),
            ],
        );

        return $this->redirectToRoute('project', ['id' => $answer->project->id]);
    }

    /** @return array<string, string> of each check that is ticked, or waived with a word */
    private function said(Entry $entry): array
    {
        $said = [];
        foreach (Check::cases() as $check) {
            $word = $entry->text('word.'.$check->value, 200);
            if ('' !== $word || $entry->boolean('tick.'.$check->value)) {
                $said[$check->value] = $word;
            }
        }

        return $said;
    }

    /**
     * With all that is still open skipped for one reason, where that is typed.
     *
     * @param array<string, string> $said
     *
     * @return array<string, string>
     */
    private function skipping(Entry $entry, array $said, ProjectAnswer $answer, RoleAnswer $role, Account $account): array
    {
        $why = $entry->text('skip', 200);
        foreach ('' === $why ? [] : $this->lines($answer, $role, $account, $said) as $line) {
            if (!$line->isPassed()) {
                $said[$line->check->value] = $why;
            }
        }

        return $said;
    }

    private function taken(Entry $entry, ProjectAnswer $answer, RoleAnswer $role, Account $account): ?Taken
    {
        $cut = $role->claim->cut;
        $cloth = $role->claim->cloth;
        $system = $this->settings->load($account)->system;
        $used = $entry->length('used', $system->lengthUnit());
        if (null === $used && $entry->isSound()) {
            $entry->fault('used', new Sentence('How much was cut off? Type its length along the cloth, such as 1.4 m.'));
        }
        $conservation = null === $cut || null === $cloth ? null : new Conservation($cloth, $cut, $used);
        $remnants = [];
        foreach ($entry->rows('remnants') as $i) {
            $at = 'remnants.'.$i.'.';
            $unit = $system->widthUnit();
            $read = static fn (string $field): ?Length => '' === $entry->raw($at.$field) ? null : $entry->length($at.$field, $unit);
            [$length, $width] = [$read('length'), $read('width')];
            if (null !== $length && null !== $width) {
                $entry->attempt($at.'length', static fn () => $conservation?->checkLength(Cut::ownLength($length)));
                $entry->attempt($at.'width', static fn () => $conservation?->checkWidth(Cut::ownWidth($width)));
                $remnants[] = [$length, $width];
            } elseif (null !== $length || null !== $width) {
                $entry->fault(
                    $at.(null === $length ? 'length' : 'width'),
                    new Sentence('A remnant has a length and a width: type both, or empty the line.'),
                );
            }
        }
        if ([] !== $remnants && $entry->isSound()) {
            $entry->attempt('remnants.0.length', static fn () => $conservation?->checkAll($remnants));
        }
        $spoilt = $entry->text('spoilt', 300);
        $again = $entry->length('again', $system->widthUnit());
        if (null !== $again && '' === $spoilt) {
            $entry->fault('spoilt', new Sentence('What was spoilt? Say it in a word, or empty the length that it takes once more.'));
        }
        $today = $this->scissors->today();
        $left = null === $used || null === $cut ? null : $entry->attempt('used', static fn (): Cut => $cut->cutOff($used, $today, ''));

        $estimator = new Estimator($this->settings->load($account)->assumptions);
        $asked = null === $role->toCut
            ? null
            : (new EnvelopeAsk($estimator))->read($role->line ?? $answer->project, $role->claim, $role->toCut);

        return null === $used || null === $left ? null : new Taken($used, $remnants, $spoilt, $again, $asked);
    }

    /**
     * @param ?array<string, string> $said where it is not what was kept
     *
     * @return list<GateLine>
     */
    private function lines(ProjectAnswer $answer, RoleAnswer $role, Account $account, ?array $said = null): array
    {
        $project = $role->line ?? $answer->project;
        $toile = [];
        if (null !== $project->current->pattern && null !== $project->current->version && null !== $project->current->size) {
            $sewist = $this->settings->load($account)->sewist->having((new Sewn($this->plan->drawn($account)))->made());
            $making = Making::of($project->current->pattern, $project->current->version, $project->brief->person, $sewist)
                ->inSize($project->current->size);
            $cloth = $role->claim->cloth;
            $toile = (new Toile())->reasons($making, null === $cloth ? null : Traits::of($cloth, Making::DEAR));
        }

        return (new Gate())->check($answer, $role, $toile, $said ?? $role->claim->gate);
    }

    /** @param ?array<string, string> $said where it is not what was kept */
    private function page(ProjectAnswer $answer, RoleAnswer $role, Account $account, Entry $entry, ?array $said = null): Response
    {
        $record = $this->stash->record($account, $role->claim->cut->id ?? '');
        $project = $role->line ?? $answer->project;
        $lines = $this->lines($answer, $role, $account, $said);

        return $this->render('gate/show.html.twig', [
            'answer' => $answer,
            'role' => $role,
            'project' => $project,
            'lines' => $lines,
            'isOpen' => Gate::isOpen($lines),
            'revision' => $record?->revision,
            'cautions' => (new Cautions())->collect($answer->project),
            'doubts' => $this->checker->doubts($account, $project, $this->plan->drawn($account)),
            'values' => [] === $entry->typed ? $this->proposed($role, $project, $account) : $entry->typed,
            'faults' => $entry->faults(),
        ], new Response(status: $entry->status()));
    }

    /** @return array<string, mixed> the length that is needed, and of a lay that holds what it leaves in that */
    private function proposed(RoleAnswer $role, Project $project, Account $account): array
    {
        $settings = $this->settings->load($account);
        $tape = new LengthFormatter($settings->system);
        $claim = $role->claim;
        $lay = null === $project->layStale($claim, $settings->assumptions) ? $claim->lay : null;
        $garment = $lay?->garmentOf($project->id, $claim->role, $project->largestSize(), $claim->pieces);
        $rests = [];
        foreach (null === $lay || null === $garment ? [] : $lay->sheetsOf($garment) as $sheet) {
            if ($sheet->cut?->id === $claim->cut?->id) {
                $rests = $lay?->remnants($garment ?? 0, $sheet) ?? [];
            }
        }

        $used = $role->amount();
        $written = null === $used ? '' : $tape->write(Figure::needed($used));
        // rounded up to what a tape shows, it may be more than there is
        $isMore = null !== $used && null !== $claim->cut?->length
            && $claim->cut->length->isLessThan(Length::parse($written, $settings->system->lengthUnit()));

        return [
            'used' => null !== $used && $isMore ? $tape->typed($used) : $written,
            'remnants' => array_map(static fn (array $rest): array => [
                'length' => $tape->write(Figure::owned($rest[0])),
                'width' => $tape->write(Figure::owned($rest[1])),
            ], \array_slice($rests, 0, self::REMNANTS)),
            'proposed' => \count($rests),
        ];
    }
}

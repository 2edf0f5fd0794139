<?php

declare(strict_types=1);

namespace Octavum\Room\Sewing;

use Octavum\Account\Account;
use Octavum\Account\Mine;
use Octavum\Core\Project\Log\Sewing;
use Octavum\Core\Project\Log\Step;
use Octavum\Core\Project\Log\TimeEntry;
use Octavum\Core\Project\Log\Timer;
use Octavum\Core\Project\Project;
use Octavum\Core\Sewing\Progress;
use Octavum\Input\Entry;
use Octavum\Page\ReturnPath;
use Octavum\Page\Toast;
use Octavum\Store\Project\ProjectRecord;
use Octavum\Store\Project\Sewings;
use Psr\Clock\ClockInterface;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** What is done with a step, and the time it takes. */
#[Route('/project/{id}', requirements: ['id' => Requirement::ULID], methods: ['POST'])]
final class StepController extends AbstractController
{
    /** A day. */
    private const MOST_MINUTES = 1440;

    public function __construct(
        private readonly Begun $begun,
        private readonly Sewings $sewings,
        private readonly ClockInterface $clock,
        private readonly Toast $toast,
    ) {
    }

    /** Whatever else is running is paused. */
    #[Route('/steps/{step}/start', name: 'step_start')]
    public function start(
        #[Mine] ProjectRecord $record,
        #[Mine] Project $project,
        string $step,
        Request $request,
        #[CurrentUser] Account $account,
    ): Response {
        $progress = new Progress($project);
        if (null === $progress->step($step)) {
            throw $this->createNotFoundException();
        }
        if ($project->log->sewing->timer?->step === $step) {
            return $this->back($request);
        }
        $own = null === $project->log->sewing->timer ? null : [$record, $project, $project->log->sewing->timer];
        foreach (array_filter([$this->begun->running($account, $record->id), $own]) as [$other, $its, $timer]) {
            $minutes = $timer->minutes($this->now());
            if (Timer::isForgotten($minutes, $this->begun->expected($account, $its, $timer->step))) {
                return $this->ask($other->id, $request);
            }
            $this->begun->save($other, $its, (new Progress($its))->paused($minutes, $this->sewings->today()), '', '');
        }
        [$record, $project] = $this->begun->project($account, $record->id);
        $this->begun->save($record, $project, (new Progress($project))->started($step, $this->now()), '', '');

        return $this->back($request);
    }

    #[Route('/pause', name: 'step_pause')]
    public function pause(
        #[Mine] ProjectRecord $record,
        #[Mine] Project $project,
        Request $request,
        #[CurrentUser] Account $account,
    ): Response {
        $timer = $project->log->sewing->timer;
        if (null === $timer) {
            $this->toast->say('Nothing is running: it was paused somewhere else.');

            return $this->back($request);
        }
        $paused = $this->paused($account, $project, $timer, $request);
        if (null === $paused) {
            return $this->ask($record->id, $request);
        }
        $this->begun->save($record, $project, $paused, 'Paused, and the minutes are kept.', $this->path($request));

        return $this->back($request);
    }

    #[Route('/steps/{step}/done', name: 'step_done')]
    public function done(
        #[Mine] ProjectRecord $record,
        #[Mine] Project $project,
        string $step,
        Request $request,
        #[CurrentUser] Account $account,
    ): Response {
        $at = (new Progress($project))->step($step) ?? throw $this->createNotFoundException();
        $timer = $project->log->sewing->timer;
        $sewing = $project->log->sewing;
        if (null !== $timer && $timer->step === $step) {
            $sewing = $this->paused($account, $project, $timer, $request);
            if (null === $sewing) {
                return $this->ask($record->id, $request);
            }
        }
        $progress = new Progress($project->sewn($sewing));
        $sewing = $progress->done($step, null === $at->done ? $this->sewings->today() : null);
        $says = null === $at->done ? '{project}: that step is done.' : '{project}: that step is open again.';
        $this->begun->save($record, $project, $sewing, $says, $this->path($request));
        $all = [] === array_filter($sewing->steps, static fn (Step $one): bool => null === $one->done);

        return $all && null === $at->done ? $this->redirectToRoute('finding', ['id' => $record->id]) : $this->back($request);
    }

    /** Time that was spent without the timer. */
    #[Route('/time', name: 'step_time')]
    public function time(
        #[Mine] ProjectRecord $record,
        #[Mine] Project $project,
        Request $request,
        Entry $entry,
    ): Response {
        $minutes = $entry->minutes('minutes', self::MOST_MINUTES);
        $day = $entry->date('day', past: true) ?? $this->sewings->today();
        if (null === $minutes || !$entry->isSound() || $day > $this->sewings->today()) {
            $this->toast->say('Nothing is kept: type the time as 45 min, 1 h 30 or an evening, of a day that is not to come.');

            return $this->back($request);
        }
        $progress = new Progress($project);
        $step = null === $progress->step($entry->raw('step')) ? '' : $entry->raw('step');
        $this->begun->save($record, $project, $progress->spent($step, $minutes, $day), 'The time is kept.', $this->path($request));

        return $this->back($request);
    }

    /** A line of time is taken out: by its place and what it says, so that no other is. */
    #[Route('/time/{place}/remove', name: 'step_time_remove', requirements: ['place' => '\d{1,4}'])]
    public function forget(
        #[Mine] ProjectRecord $record,
        #[Mine] Project $project,
        int $place,
        Request $request,
    ): Response {
        $all = $project->log->sewing->stretches;
        $one = $all[$place] ?? null;
        if (null === $one || $request->request->getInt('minutes') !== $one->minutes) {
            $this->toast->say('That was changed somewhere else: look again.');

            return $this->back($request);
        }
        $left = array_values(array_filter($all, static fn (TimeEntry $other): bool => $other !== $one));
        $this->begun->save($record, $project, $project->log->sewing->stretches($left), 'That time is taken out.', $this->path($request));

        return $this->back($request);
    }

    /** @return ?Sewing null when so long a time has to be asked for */
    private function paused(Account $account, Project $project, Timer $timer, Request $request): ?Sewing
    {
        $entry = new Entry($request->request->all());
        $minutes = $entry->minutes('minutes', self::MOST_MINUTES);
        if (null === $minutes) {
            $minutes = $timer->minutes($this->now());
            if ($entry->has('minutes') || Timer::isForgotten($minutes, $this->begun->expected($account, $project, $timer->step))) {
                return null;
            }
        }

        return (new Progress($project))->paused($minutes, $this->sewings->today());
    }

    private function ask(string $project, Request $request): Response
    {
        $this->toast->say('The timer ran for longer than the step takes: say how long it really was. Nothing is kept of it yet.');

        return $this->redirectToRoute('sewing', [
            'have' => $request->request->getString('have'),
            'asks' => $project,
            '_fragment' => 'running',
        ]);
    }

    private function now(): \DateTimeImmutable
    {
        return \DateTimeImmutable::createFromInterface($this->clock->now());
    }

    private function path(Request $request): string
    {
        $back = ReturnPath::path($request);

        return '' === $back ? $this->generateUrl('sewing') : $back;
    }

    private function back(Request $request): Response
    {
        return ReturnPath::to($request, $this->generateUrl('sewing'));
    }
}

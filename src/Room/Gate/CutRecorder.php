<?php

declare(strict_types=1);

namespace Octavum\Room\Gate;

use Octavum\Account\Account;
use Octavum\Core\Measure\Length;
use Octavum\Core\Project\Log\ProjectState;
use Octavum\Store\Change\ChangeLog;
use Octavum\Store\Change\Notice;
use Octavum\Store\Cloth\ClothMapper;
use Octavum\Store\Cloth\CutRecord;
use Octavum\Store\Project\ClaimRecord;
use Octavum\Store\Project\ProjectRecord;
use Octavum\Store\Project\ProjectRepository;
use Octavum\Store\Project\Sewings;
use Symfony\Component\Clock\ClockInterface;

/** Writes what was said at the gate, and cuts: ledger, remnants, claim and project in one transaction, all or nothing. */
final readonly class CutRecorder
{
    public function __construct(
        private ProjectRepository $projects,
        private ClothMapper $cloths,
        private ChangeLog $changes,
        private Sewings $sewings,
        private ClockInterface $clock,
    ) {
    }

    public function today(): \DateTimeImmutable
    {
        return $this->clock->now()->setTime(0, 0);
    }

    /** @param array<string, string> $said of each check, a word where it is waived */
    public function keep(Account $account, string $project, string $claim, array $said): void
    {
        $record = $this->claim($this->project($account, $project), $claim);
        $this->changes->commit([$record], static fn (): array => $record->gate = $said, null);
    }

    /** @param array<string, string> $said */
    public function cut(Account $account, string $project, string $claim, CutRecord $cut, Taken $taken, array $said, Notice $notice): void
    {
        $record = $this->project($account, $project);
        $claimed = $this->claim($record, $claim);
        $make = function () use ($record, $claimed, $cut, $taken, $said): array {
            $note = $record->name.('' === $taken->spoilt ? '' : '; '.$taken->spoilt);
            $was = $this->cloths->cut($cut);
            $made = [];
            foreach ($taken->remnants as [$length, $width]) {
                $made[] = $remnant = new CutRecord($cut->cloth);
                $this->cloths->storeCut($was->remnant($length, $width, $this->today(), $record->name), $remnant);
            }
            $this->cloths->storeCut($was->cutOff($taken->used, $this->today(), $note), $cut);
            $claimed->gate = $said;
            $claimed->cutOut = true;
            [$claimed->used, $claimed->asked] = [$taken->used->micrometres, $taken->asked?->micrometres];
            if (null !== $taken->again) {
                $made[] = $this->again($claimed, $taken->again);
            }
            ++$record->changes;
            $open = array_filter(
                $record->current->claims->toArray(),
                static fn (ClaimRecord $one): bool => !$one->cutOut && (null !== $one->cut || null !== $one->buy),
            );
            if (!$record->state->isCut()) {
                $this->sewings->enter($record, [] === $open ? ProjectState::Cut : ProjectState::Ready);
            }

            return $made;
        };
        $this->changes->commit([$record, $claimed, $cut], $make, $notice);
    }

    /** What was spoilt claims its cloth once more, so that the plan says whether there is enough. */
    private function again(ClaimRecord $spoilt, Length $length): ClaimRecord
    {
        $claim = new ClaimRecord($spoilt->option, $spoilt->copy);
        [$claim->role, $claim->cut, $claim->pieces] = [$spoilt->role, $spoilt->cut, $spoilt->pieces];
        $claim->stated = $length->micrometres;

        return $claim;
    }

    private function project(Account $account, string $id): ProjectRecord
    {
        return $this->projects->hereOf($account, $id) ?? throw new \LogicException('It was found on the plan.');
    }

    private function claim(ProjectRecord $project, string $id): ClaimRecord
    {
        foreach ($project->options as $option) {
            foreach ($option->claims as $claim) {
                if ($claim->id === $id) {
                    return $claim;
                }
            }
        }
        throw new \LogicException('It was found on the plan.');
    }
}

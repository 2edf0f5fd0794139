<?php

declare(strict_types=1);

namespace Octavum\Room\Match;

use Octavum\Account\Account;
use Octavum\Account\AccountSettings;
use Octavum\Core\Cloth\Cloth;
use Octavum\Core\Cloth\ToCut;
use Octavum\Core\Match\Overrule;
use Octavum\Core\Measure\Length;
use Octavum\Core\Piece\Role;
use Octavum\Core\Project\Sewn;
use Octavum\Core\Season\BestUse\BestUse;
use Octavum\Core\Season\BestUse\ClothChange;
use Octavum\Core\Season\BestUse\Proposed;
use Octavum\Page\Toast;
use Octavum\Store\Change\ChangeLog;
use Octavum\Store\Change\Notice;
use Octavum\Store\Cloth\Stash;
use Octavum\Store\Lay\CachedLays;
use Octavum\Store\Overrule\Overrules;
use Octavum\Store\Plan\PlanLoader;
use Octavum\Store\Project\ClaimRecord;
use Octavum\Store\Project\ProjectMapper;
use Octavum\Store\Project\ProjectRepository;
use Octavum\Store\Project\SeasonRecord;
use Octavum\Strip\Scale;
use Octavum\Strip\Strip;
use Octavum\Strip\StripBuilder;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** The best use of the stash for a season, beside the plan, and taking it wholly or in parts. */
final class BestController extends AbstractController
{
    public function __construct(
        private readonly PlanLoader $plan,
        private readonly Stash $stash,
        private readonly ProjectMapper $mapper,
        private readonly AccountSettings $settings,
        private readonly Overrules $overrules,
        private readonly CachedLays $lays,
        private readonly StripBuilder $strips,
    ) {
    }

    #[Route('/match/best', name: 'match_best', methods: ['GET'])]
    public function show(Request $request, #[CurrentUser] Account $account): Response
    {
        $seasons = $this->plan->seasons($account);
        $season = $this->plan->current($account, $seasons, $request->query->getString('season'));

        if (null === $season) {
            return $this->render('season/none.html.twig');
        }
        $proposed = $this->proposed($account, $season);

        return $this->render('match/best.html.twig', [
            'season' => $season,
            'seasons' => $seasons,
            'proposed' => $proposed,
            'strips' => array_map(fn (ClothChange $change): array => $this->strips($change, $account), $proposed->changes),
        ]);
    }

    /** @return array{?Strip, Strip} of a change: the cut it has, and the one it would have, to one scale */
    private function strips(ClothChange $change, Account $account): array
    {
        $settings = $this->settings->load($account);
        [$cloth, $cut] = [$change->from->cloth, $change->from->cut];
        $to = ToCut::of($change->cloth, $change->cut, $settings->assumptions);
        $from = null === $cloth || null === $cut ? null : ToCut::of($cloth, $cut, $settings->assumptions);
        $longest = array_reduce(
            array_filter([$to->length, $from?->length, $change->need, $change->before]),
            static fn (Length $most, Length $one): Length => $most->larger($one),
            Length::zero(),
        );
        $draw = fn (Cloth $of, ToCut $toCut, Length $need): Strip => $this->strips->trying(
            $of,
            $toCut,
            Length::zero(),
            name: $change->project->name,
            amount: $need,
            scale: Scale::thumb($longest),
            system: $settings->system,
        );

        return [
            null === $cloth || null === $from || null === $change->before ? null : $draw($cloth, $from, $change->before),
            $draw($change->cloth, $to, $change->need),
        ];
    }

    /** The changes that are ticked, taken together and taken back together. */
    #[Route('/match/best/{id}', name: 'match_best_take', methods: ['POST'])]
    public function take(
        string $id,
        Request $request,
        ProjectRepository $projects,
        ChangeLog $changeLog,
        Toast $toast,
        #[CurrentUser] Account $account,
    ): Response {
        $season = $this->plan->current($account, $this->plan->seasons($account), $id);
        if (null === $season || $season->id !== $id) {
            throw $this->createNotFoundException();
        }
        $ticked = array_filter((array) ($request->request->all()['take'] ?? []), is_string(...));
        $changes = array_values(array_filter(
            $this->proposed($account, $season)->changes,
            static fn (ClothChange $change): bool => \in_array(self::key($change), $ticked, true),
        ));
        $records = $touched = [];
        foreach ($changes as $change) {
            $record = $projects->hereOf($account, $change->project->id) ?? throw $this->createNotFoundException();
            $records[$record->id] = $record;
            array_push($touched, $record, ...($record->findOption($change->option) ?? $record->current)->claims);
        }
        $make = function () use ($changes, $records, $account): void {
            foreach ($changes as $change) {
                $record = $records[$change->project->id];
                $record->current = $record->findOption($change->option) ?? $record->current;
                $isMain = static fn (ClaimRecord $claim): bool => Role::Main === $claim->role && [] === $claim->pieces;
                foreach (\array_slice(array_values(array_filter($record->current->claims->toArray(), $isMain)), 0, 1) as $claim) {
                    [$claim->cut, $claim->buy, $claim->lay] = [$this->stash->record($account, $change->cut->id), null, null];
                }
                ++$record->changes;
            }
        };
        $back = $this->redirectToRoute('match_best', ['season' => $id]);
        if ([] === $changes) {
            $toast->say('Nothing of it is taken: tick what you want, and look whether it is still proposed.');
        } else {
            $says = '{count, plural, one {One change is} other {# changes are}} taken.';
            $notice = new Notice($says, ['count' => (string) \count($changes)], $back->getTargetUrl());
            $changeLog->commit($touched, $make, $notice);
        }

        return $back;
    }

    private function proposed(Account $account, SeasonRecord $season): Proposed
    {
        $settings = $this->settings->load($account);
        $projects = $this->plan->projects($account);
        $sewist = $settings->sewist->having((new Sewn($projects))->made());

        return (new BestUse($settings->assumptions, $sewist, Overrule::reasons($this->overrules->all($account)), $this->lays))->propose(
            $this->mapper->season($season),
            $projects,
            $this->stash->all($account),
        );
    }

    /** So that what is taken is what was seen. */
    private static function key(ClothChange $change): string
    {
        return implode(' ', [$change->project->id, $change->option ?? '-', $change->cut->id]);
    }
}

<?php

declare(strict_types=1);

namespace Octavum\Room\Season;

use Doctrine\ORM\EntityManagerInterface;
use Octavum\Account\Account;
use Octavum\Account\Mine;
use Octavum\Core\Project\Log\ProjectState;
use Octavum\Input\Entry;
use Octavum\Page\ReturnPath;
use Octavum\Store\Change\ChangeLog;
use Octavum\Store\Change\Notice;
use Octavum\Store\Cloth\ClothRecord;
use Octavum\Store\Plan\PlanLoader;
use Octavum\Store\Project\ClaimRecord;
use Octavum\Store\Project\ProjectRecord;
use Octavum\Store\Project\ProjectRepository;
use Octavum\Store\Project\SeasonRecord;
use Octavum\Store\Project\Sewings;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** A project goes to another season, is set aside until next year, or becomes two: ordinary acts, each taken back in one. */
#[Route('/project/{id}', requirements: ['id' => Requirement::ULID], methods: ['POST'])]
final class MoveController extends AbstractController
{
    /** Days by which a season a year on may begin sooner or later. */
    private const ABOUT = 45;

    public function __construct(
        private readonly ProjectRepository $projects,
        private readonly PlanLoader $plan,
        private readonly Sewings $sewings,
        private readonly EntityManagerInterface $entities,
        private readonly ChangeLog $changes,
    ) {
    }

    /** To a season of the account's, to none, or to the same time next year, for which its cloth is set aside. */
    #[Route('/season', name: 'project_season')]
    public function move(#[Mine] ProjectRecord $record, Request $request, #[CurrentUser] Account $account): Response
    {
        $wanted = $request->request->getString('season');
        $season = 'next year' === $wanted ? $this->nextYear($record->season, $account) : $this->season($wanted, $account);
        if (null === $season) {
            throw $this->createNotFoundException();
        }
        $cloths = 'next year' === $wanted ? $this->cloths($record) : [];
        $former = $record->season;
        $ranked = $this->projects->ranked($former) + $this->projects->ranked($season);
        $touched = [...array_values([$record->id => $record] + $ranked), ...$cloths];
        // a season that is there already is no part of the change
        $made = $this->entities->contains($season) ? [] : [$season];
        $rank = max(1, $request->request->getInt('rank', \count($this->projects->ranked($season)) + 1));
        $make = function () use ($record, $season, $former, $rank, $cloths, $made): array {
            $record->season = $season;
            $record->rank = $rank;
            foreach ($cloths as $cloth) {
                $cloth->setAside = true;
            }
            $this->entities->persist($season);
            $this->projects->renumber($record);
            $this->projects->close($former);

            return $made;
        };
        $back = $this->generateUrl('season', ['id' => $former->id]);

        return $this->commit($request, $touched, $make, new Notice(
            '{project} is in {season} now.',
            ['project' => $record->name, 'season' => $season->name],
            $back,
        ));
    }

    /** A dress becomes two separates of the same cloth, which go with more; what was planned is given up for them. */
    #[Route('/split', name: 'project_split')]
    public function split(#[Mine] ProjectRecord $record, Request $request, Entry $entry): Response
    {
        $named = static fn (string $name, string $else): string => mb_substr('' === $name ? $record->name.$else : $name, 0, 120);
        $names = [$named($entry->raw('first'), ', top'), $named($entry->raw('second'), ', skirt')];
        $ranked = array_values($this->projects->ranked($record->season));
        $make = function () use ($record, $names): array {
            $made = array_map(fn (string $name): ProjectRecord => $this->half($record, $name), $names);
            $this->sewings->enter($record, ProjectState::GivenUp, implode(' + ', $names));
            $this->entities->flush();
            $at = $record->rank;
            $this->projects->renumber($made[1]);
            $made[0]->rank = $at;
            $this->projects->renumber($made[0]);

            return array_merge(...array_map(
                static fn (ProjectRecord $half): array => [$half, $half->current, ...$half->current->claims],
                $made,
            ));
        };

        return $this->commit($request, [...$ranked, $record], $make, new Notice(
            '{project} is two now: choose a pattern for each.',
            ['project' => $record->name],
            $this->generateUrl('season', ['id' => $record->season->id]),
        ));
    }

    private function half(ProjectRecord $whole, string $name): ProjectRecord
    {
        $half = new ProjectRecord($whole->season);
        $half->name = $name;
        [$half->rank, $half->person, $half->certainty] = [$whole->rank, $whole->person, $whole->certainty];
        [$half->deadline, $half->soft, $half->notBefore] = [$whole->deadline, $whole->soft, $whole->notBefore];
        [$half->purpose, $half->occasion] = [$whole->purpose, $whole->occasion];
        foreach ($whole->current->claims as $claim) {
            if (null === $claim->copy && !$claim->cutOut) {
                $its = new ClaimRecord($half->current);
                [$its->role, $its->cut, $its->buy] = [$claim->role, $claim->cut, $claim->buy];
            }
        }
        $this->entities->persist($half);

        return $half;
    }

    private function season(string $id, Account $account): ?SeasonRecord
    {
        return 'none' === $id ? $this->plan->undated($account) : $this->plan->season($account, $id);
    }

    /** The one that begins about a year on, or a new one like it; null of what has no days. */
    private function nextYear(SeasonRecord $season, Account $account): ?SeasonRecord
    {
        if ($season->undated) {
            return null;
        }
        $starts = $season->starts->modify('+52 weeks');
        foreach ($this->plan->seasons($account) as $other) {
            if (!$other->undated && $starts->diff($other->starts)->days <= self::ABOUT) {
                return $other;
            }
        }
        $next = new SeasonRecord($account, $starts);
        $next->name = mb_substr($season->name, 0, 110).' '.$starts->format('Y');
        [$next->weeks, $next->minutesPerWeek, $next->most] = [$season->weeks, $season->minutesPerWeek, $season->most];

        return $next;
    }

    /** @return list<ClothRecord> that nothing else on the plan takes from */
    private function cloths(ProjectRecord $project): array
    {
        $cloths = [];
        foreach ($project->current->claims as $claim) {
            if (null !== $claim->cut && !$claim->cutOut) {
                $cloths[$claim->cut->cloth->id] = $claim->cut->cloth;
            }
        }
        foreach ($this->plan->drawn($project->season->account) as $other) {
            foreach ($other->id !== $project->id && $other->log->state->isOpen() ? $other->current->claims : [] as $claim) {
                unset($cloths[$claim->cloth->id ?? '']);
            }
        }

        return array_values($cloths);
    }

    /** @param list<object> $touched */
    private function commit(Request $request, array $touched, \Closure $make, Notice $notice): Response
    {
        $answer = ReturnPath::to($request, $notice->back);
        $this->changes->commit($touched, $make, new Notice($notice->message, $notice->with, $answer->getTargetUrl()));

        return $answer;
    }
}

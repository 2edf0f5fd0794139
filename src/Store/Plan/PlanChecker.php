<?php

declare(strict_types=1);

namespace Octavum\Store\Plan;

use Doctrine\Bundle\DoctrineBundle\Attribute\AsDoctrineListener;
use Doctrine\ORM\Events;
use Octavum\Account\Account;
use Octavum\Account\AccountSettings;
use Octavum\Core\Match\Overrule;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Notion\Notion;
use Octavum\Core\Project\Project;
use Octavum\Core\Project\Season;
use Octavum\Core\Project\Sewn;
use Octavum\Core\Season\Answer\CheckedSeason;
use Octavum\Core\Season\Answer\OptionAnswer;
use Octavum\Core\Season\Answer\ProjectAnswer;
use Octavum\Core\Season\Check\ClothDoubts;
use Octavum\Core\Season\Check\SeasonCheck;
use Octavum\Core\Season\Reserve\Reservation;
use Octavum\Store\Lay\CachedLays;
use Octavum\Store\Notion\NotionStore;
use Octavum\Store\Overrule\Overrules;

/** Checks an account's plan: a season, a project, an option; what is reserved of each cut. */
#[AsDoctrineListener(Events::onFlush)]
final class PlanChecker
{
    /** @var array<string, array<string, string>> by account, as Overrule::reasons() gives them, until something is saved */
    private array $overruled = [];

    public function __construct(
        private readonly PlanLoader $plan,
        private readonly AccountSettings $settings,
        private readonly NotionStore $notions,
        private readonly Overrules $overrules,
        private readonly CachedLays $cachedLays,
    ) {
    }

    public function onFlush(): void
    {
        $this->overruled = [];
    }

    /** @param ?list<Project> $projects when they are at hand */
    public function check(Account $account, Season $season, ?array $projects = null): CheckedSeason
    {
        return $this->checkAll($account, [$season], $projects ?? $this->plan->projects($account))[0];
    }

    /**
     * @param list<Season>  $seasons
     * @param list<Project> $projects of all seasons
     *
     * @return list<CheckedSeason> one each
     */
    public function checkAll(Account $account, array $seasons, array $projects): array
    {
        return $this->checks($account, $this->notions->all($account))->checkAll($seasons, $projects);
    }

    /** One of them checked; null when it is not on the plan, or asks for no cloth any more. */
    public function answer(Account $account, string $id): ?ProjectAnswer
    {
        foreach ($this->plan->projects($account) as $project) {
            foreach ($project->id === $id ? $this->check($account, $project->season)->projects : [] as $answer) {
                if ($answer->project->id === $id) {
                    return $answer;
                }
            }
        }

        return null;
    }

    /**
     * What a project would come to with each of its other options.
     *
     * @param list<Project> $projects of all seasons
     *
     * @return list<OptionAnswer>
     */
    public function options(Account $account, Project $project, array $projects): array
    {
        return $this->checks($account)->options($project, $projects);
    }

    /**
     * What speaks against a project's main cloth, until it is overruled.
     *
     * @param list<Project> $projects whose outcomes count as experience
     *
     * @return list<Sentence>
     */
    public function doubts(Account $account, Project $project, array $projects): array
    {
        $sewist = $this->settings->load($account)->sewist->having((new Sewn($projects))->made());

        return (new ClothDoubts())->find($project, $sewist, $this->overruled($account));
    }

    /** @return array<string, list<OptionAnswer>> what each project of a season would come to with its other options, by # and project */
    public function allOptions(Account $account, Season $season): array
    {
        return $this->checks($account)->allOptions($season, $this->plan->projects($account));
    }

    /** @return array<string, list<Reservation>> what options that do not lead might take, by cut */
    public function perhaps(Account $account): array
    {
        return (new SeasonCheck($this->settings->load($account)->assumptions))->perhaps($this->plan->projects($account));
    }

    /** @return array<string, list<Reservation>> by cut, in rank order */
    public function promises(Account $account): array
    {
        return (new SeasonCheck($this->settings->load($account)->assumptions))->promises($this->plan->projects($account));
    }

    /** @return array<string, list<Reservation>> the same for a page that asks nothing of other options */
    public function promised(Account $account): array
    {
        return (new SeasonCheck($this->settings->load($account)->assumptions))->promises($this->plan->drawn($account));
    }

    /** @return array<string, string> */
    private function overruled(Account $account): array
    {
        return $this->overruled[$account->id] ??= Overrule::reasons($this->overrules->all($account));
    }

    /** @param list<Notion> $notions */
    private function checks(Account $account, array $notions = []): SeasonCheck
    {
        return new SeasonCheck(
            $this->settings->load($account)->assumptions,
            $notions,
            $this->overruled($account),
            $this->cachedLays,
        );
    }
}

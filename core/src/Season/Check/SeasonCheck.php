<?php

declare(strict_types=1);

namespace Octavum\Core\Season\Check;

use Octavum\Core\Measure\Assumptions;
use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\Rounding;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Measure\Unit;
use Octavum\Core\Measure\Working;
use Octavum\Core\Need\CuttingCloth;
use Octavum\Core\Need\Estimator;
use Octavum\Core\Need\Missing;
use Octavum\Core\Need\Unknown;
use Octavum\Core\Need\Verdict;
use Octavum\Core\Notion\Allotment;
use Octavum\Core\Notion\Notion;
use Octavum\Core\Notion\NotionAnswer;
use Octavum\Core\Project\Claim;
use Octavum\Core\Project\Project;
use Octavum\Core\Project\Season;
use Octavum\Core\Project\Time\Pace;
use Octavum\Core\Project\Time\Turn;
use Octavum\Core\Project\Wish;
use Octavum\Core\Remedy\LayMemory;
use Octavum\Core\Season\Answer\CheckedSeason;
use Octavum\Core\Season\Answer\Lazy;
use Octavum\Core\Season\Answer\OptionAnswer;
use Octavum\Core\Season\Answer\ProjectAnswer;
use Octavum\Core\Season\Answer\RoleAnswer;
use Octavum\Core\Season\Reserve\CutAllocator;
use Octavum\Core\Season\Reserve\Reservation;
use Octavum\Core\Season\Snag\EnoughSnags;
use Octavum\Core\Season\Snag\LaySnags;
use Octavum\Core\Season\Snag\LikingSnags;
use Octavum\Core\Season\Snag\NotionSnags;
use Octavum\Core\Season\Snag\PartSnags;
use Octavum\Core\Season\Snag\PatternSnags;
use Octavum\Core\Season\Snag\SizeSnags;
use Octavum\Core\Season\Snag\Snag;
use Octavum\Core\Season\Snag\TimeSnags;
use Octavum\Core\Season\Snag\UnknownSnags;

/**
 * Goes down a season's rank and says of every project whether its cloth is enough, by how much, and what stands in the
 * way. A cut claimed by several projects is given out in rank order, an earlier season before a later one.
 * Longer than other files: it is the face of the check, and every question to it stands here.
 */
final readonly class SeasonCheck
{
    /** The width at which cloth to be bought is drawn when nothing is said of it, in cm. */
    public const USUAL_WIDTH = 140;

    private Estimator $estimator;
    private CutAllocator $promises;
    private OnCut $onCut;
    private LaySnags $laySnags;
    private EnoughSnags $enough;
    private UnknownSnags $unknown;

    /**
     * @param list<Notion>          $notions   of the stash; none when nobody has written them down
     * @param array<string, string> $overruled as Overrule::reasons() gives them
     * @param ?LayMemory            $memory    of what pieces came to when they were laid; null where that is not asked
     */
    public function __construct(
        private Assumptions $assumptions,
        private array $notions = [],
        array $overruled = [],
        ?LayMemory $memory = null,
    ) {
        $this->estimator = new Estimator($assumptions);
        $this->promises = new CutAllocator($this->estimator, $assumptions);
        $this->onCut = new OnCut($this->estimator, $assumptions, $overruled, $memory);
        $this->laySnags = new LaySnags($assumptions);
        $this->enough = new EnoughSnags();
        $this->unknown = new UnknownSnags();
    }

    /** @param list<Project> $projects of the whole workroom, since another season may have a cut first */
    public function check(Season $season, array $projects): CheckedSeason
    {
        return $this->checkAll([$season], $projects)[0];
    }

    /**
     * Several seasons, between which cloth and notions are given out once.
     *
     * @param list<Season>  $seasons
     * @param list<Project> $projects of the whole workroom
     *
     * @return list<CheckedSeason> one each
     */
    public function checkAll(array $seasons, array $projects): array
    {
        $open = $this->promises->inOrder($projects);
        $promises = $this->promises->allocate($open);
        $notions = $this->notions($open);
        $pace = Pace::of($projects);
        $before = new CutBefore($projects);
        $checked = [];
        foreach ($seasons as $season) {
            $turns = Turn::of(
                array_values(array_filter($open, static fn (Project $one): bool => $one->season->id === $season->id)),
                $pace,
            );
            $answers = array_map(
                fn (Turn $turn): ProjectAnswer => $this->project($turn, $promises, $notions['#'.$turn->project->id] ?? [], $before),
                $turns,
            );
            $wished = array_sum(array_map(static fn (Turn $turn): int => $turn->to - $turn->from, $turns));
            $checked[] = new CheckedSeason($season, $answers, $wished, new Lazy(fn (): array => $this->promises->perhaps($open)));
        }

        return $checked;
    }

    /**
     * What a project would come to with each of its other options, and whom it would leave short.
     *
     * @param list<Project> $projects of the whole workroom
     *
     * @return list<OptionAnswer>
     */
    public function options(Project $project, array $projects): array
    {
        if (!$project->log->state->isOpen()) {
            return [];
        }
        $open = $this->promises->inOrder($projects);

        return $this->optionsOf($project, $open, $this->promises->allocate($open), Pace::of($projects));
    }

    /**
     * The same of every project of a season that has options.
     *
     * @param list<Project> $projects of the whole workroom
     *
     * @return array<string, list<OptionAnswer>> by # and project
     */
    public function allOptions(Season $season, array $projects): array
    {
        $open = $this->promises->inOrder($projects);
        $promises = $this->promises->allocate($open);
        $pace = Pace::of($projects);
        $answers = [];
        foreach ($open as $project) {
            if ($project->season->id === $season->id && [] !== $project->openOptions()) {
                $answers['#'.$project->id] = $this->optionsOf($project, $open, $promises, $pace);
            }
        }

        return $answers;
    }

    /**
     * @param list<Project>                    $open     in the order in which cloth is given out
     * @param array<string, list<Reservation>> $promises by cut
     *
     * @return list<OptionAnswer>
     */
    private function optionsOf(Project $project, array $open, array $promises, Pace $pace): array
    {
        $season = array_values(array_filter($open, static fn (Project $one): bool => $one->season->id === $project->season->id));
        $before = new CutBefore($open);
        $answers = [];
        foreach ($project->openOptions() as $option) {
            $made = $project->made($option);
            $taken = $this->promises->taking($promises, $open, $made);
            $ways = array_map(static fn (Project $one): Project => $one->id === $project->id ? $made : $one, $season);
            $turn =
                array_values(array_filter(Turn::of($ways, $pace), static fn (Turn $one): bool => $one->project === $made))[0] ??
                throw new \LogicException('It is open, and of this season.');
            $answer = $this->project($turn, $taken, [], $before);
            $answers[] = new OptionAnswer($option, $answer, (new Collisions())->find($answer));
        }

        return $answers;
    }

    /**
     * What options that do not lead might take of each cut.
     *
     * @param list<Project> $projects of the whole workroom
     *
     * @return array<string, list<Reservation>> by cut
     */
    public function perhaps(array $projects): array
    {
        return $this->promises->perhaps($projects);
    }

    /**
     * Who has which cut, in the order in which it is given out.
     *
     * @param list<Project> $projects of the whole workroom
     *
     * @return array<string, list<Reservation>> by cut
     */
    public function promises(array $projects): array
    {
        return $this->promises->allocate($projects);
    }

    /**
     * What each envelope asks for besides cloth, given out of the stash in the same order as the cloth.
     *
     * @param list<Project> $open
     *
     * @return array<string, list<NotionAnswer>> by # and project
     */
    private function notions(array $open): array
    {
        $lines = [];
        foreach ($open as $project) {
            $each = $project->log->notionsTaken ? [] : $project->current->version->notions ?? [];
            $lines['#'.$project->id] = array_merge(...array_fill(0, 1 + \count($project->current->copies), $each));
        }

        return (new Allotment($this->notions))->allot($lines);
    }

    /**
     * @param array<string, list<Reservation>> $promises
     * @param list<NotionAnswer>               $notions
     */
    private function project(Turn $turn, array $promises, array $notions, CutBefore $before): ProjectAnswer
    {
        $project = $turn->project;
        $roles = $sizes = [];
        foreach ($project->lines() as $line) {
            foreach ($line->current->claims as $claim) {
                $roles = [
                    ...$roles,
                    ...array_map(
                        static fn (RoleAnswer $role): RoleAnswer => [] === $project->current->copies ? $role : $role->forCopy($line),
                        $this->role($line, $claim, $promises),
                    ),
                ];
            }
            $sizes = $line === $project ? [] : [...$sizes, ...(new SizeSnags())->find($line)];
        }
        $verdict = [] === $roles && $project->wantsCloth() ? Verdict::NotKnown : null;
        $snags = [];
        foreach ($roles as $role) {
            $verdict = null === $role->verdict ? $verdict : $verdict?->graver($role->verdict) ?? $role->verdict;
            $snags = [...$snags, ...$role->snags, ...$before->snags($role->line ?? $project, $role)];
        }
        $snags = [...$snags, ...$sizes, ...$this->snags($turn, $notions)];
        usort($snags, static fn (Snag $a, Snag $b): int => $a->severity->value <=> $b->severity->value);

        return new ProjectAnswer($turn, $roles, $verdict, $snags, $notions);
    }

    /**
     * @param list<NotionAnswer> $notions
     *
     * @return list<Snag> what is to be said of a project besides its cloth
     */
    private function snags(Turn $turn, array $notions): array
    {
        $project = $turn->project;
        $pattern = new PatternSnags();

        return [
            ...$pattern->roles($project),
            ...$pattern->paper($project),
            ...(new PartSnags())->find($project),
            ...(new SizeSnags())->find($project),
            ...(new LikingSnags())->find($project),
            ...(new TimeSnags())->find($turn, $notions),
            ...[] === $this->notions ? [] : (new NotionSnags())->find($project, $notions),
        ];
    }

    /**
     * @param array<string, list<Reservation>> $promises
     *
     * @return non-empty-list<RoleAnswer> one for each cut it takes from
     */
    private function role(Project $project, Claim $claim, array $promises): array
    {
        if ($claim->cutOut) {
            return [new RoleAnswer($claim, null, null, need: null, spare: null, promises: [], working: Working::empty(...))];
        }
        if (null !== $claim->wish) {
            return [$this->toBuy($project, $claim, $claim->wish)];
        }
        if (null === $claim->cloth || null === $claim->cut) {
            $unknown = new Unknown(Missing::Cloth, new Sentence('Choose a cloth, or put it on the shopping list.'));

            return [$this->notKnown($claim, $unknown, $this->unknown->noCloth($project, $claim))];
        }
        $answers = [];
        foreach ($this->promises->places($project, $claim) as [$placed, $laidOut]) {
            if (null !== $placed->cloth && null !== $placed->cut) {
                $answers[] = $this->onCut->answer($project, $placed, $laidOut, cloth: $placed->cloth, cut: $placed->cut, all: $promises);
            }
        }

        return [] === $answers ? throw new \LogicException('A claim on a cut takes from one at least.') : $answers;
    }

    private function toBuy(Project $project, Claim $claim, Wish $wish): RoleAnswer
    {
        [[, $laidOut]] = $this->promises->places($project, $claim);
        $roll = null === $laidOut ? null : $claim->lay?->sheets[0]->width->plus($this->assumptions->selvage->times(2));
        $width = $roll ?? ($wish->width ?? Length::of((string) self::USUAL_WIDTH, Unit::Centimetre));
        $assumed = null === ($roll ?? $wish->width);
        $on = new CuttingCloth($width, $wish->oneWay, $wish->repeat, $assumed, $this->usable($width, $wish));
        $wanted = $project->wanted($claim, $laidOut);
        $need = $this->estimator->estimate($wanted, $on);
        if ($need instanceof Unknown) {
            return $this->notKnown($claim, $need, $this->unknown->explain($project, $claim, $need));
        }
        $tooWide = $this->estimator->tooWide($wanted, $on);
        $verdict = null === $tooWide || $assumed ? Verdict::ToBuy : Verdict::Short;
        $snags = [...$this->enough->tooWide($project, $tooWide), ...$this->laySnags->find($project, $claim)];

        return new RoleAnswer(
            $claim,
            $verdict,
            null,
            need: $need,
            spare: null,
            promises: [],
            working: $need->working(...),
            snags: $snags,
            ways: null,
            atWidth: $width,
            tooWide: $tooWide,
        );
    }

    private function notKnown(Claim $claim, Unknown $unknown, Snag $snag): RoleAnswer
    {
        return new RoleAnswer(
            $claim,
            Verdict::NotKnown,
            null,
            need: $unknown,
            spare: null,
            promises: [],
            working: Working::empty(...),
            snags: [$snag],
        );
    }

    /** Of cloth to be bought, after its wash. */
    private function usable(Length $full, Wish $wish): Length
    {
        return $wish->shrinkage()->across->takenFrom($full->minus($this->assumptions->selvage->times(2)), Rounding::Down);
    }
}

<?php

declare(strict_types=1);

namespace Octavum\Core\Season\BestUse;

use Octavum\Core\Cloth\Cloth;
use Octavum\Core\Cloth\Cut;
use Octavum\Core\Cloth\ToCut;
use Octavum\Core\Match\Criteria\Asks;
use Octavum\Core\Match\Criteria\Sewist;
use Octavum\Core\Match\Criteria\Traits;
use Octavum\Core\Match\Making;
use Octavum\Core\Match\Overrule;
use Octavum\Core\Match\Rule\Judgement;
use Octavum\Core\Match\Rule\Tenor;
use Octavum\Core\Match\Suit;
use Octavum\Core\Measure\Assumptions;
use Octavum\Core\Measure\Length;
use Octavum\Core\Need\CuttingCloth;
use Octavum\Core\Need\Estimator;
use Octavum\Core\Need\Need;
use Octavum\Core\Piece\Role;
use Octavum\Core\Project\Claim;
use Octavum\Core\Project\Project;
use Octavum\Core\Project\Season;
use Octavum\Core\Remedy\LaidNeed;
use Octavum\Core\Remedy\LayMemory;
use Octavum\Core\Remedy\WaysOut;
use Octavum\Core\Season\Reserve\CutAllocator;
use Octavum\Core\Season\Reserve\Reservation;

/**
 * The best use of a stash for a season: which main cloth each open project would have if all were chosen together, its options
 * included. Other roles keep what they have, and so do other seasons.
 */
final readonly class BestUse
{
    /** Cuts that are weighed for a project, those that suit it best. */
    private const WEIGHED = 7;

    private Estimator $estimator;
    private CutAllocator $promises;
    private Suit $suit;

    /**
     * @param array<string, string> $overruled as Overrule::reasons() gives them
     * @param ?LayMemory            $memory    of what pieces came to when they were laid
     */
    public function __construct(
        private Assumptions $assumptions,
        private Sewist $sewist = new Sewist(),
        private array $overruled = [],
        private ?LayMemory $memory = null,
    ) {
        $this->estimator = new Estimator($assumptions);
        $this->promises = new CutAllocator($this->estimator, $assumptions);
        $this->suit = new Suit();
    }

    /**
     * @param list<Project> $projects of the whole workroom
     * @param list<Cloth>   $cloths
     */
    public function propose(Season $season, array $projects, array $cloths): Proposed
    {
        $open = array_values(
            array_filter(
                $this->promises->inOrder($projects),
                static fn (Project $project): bool => $project->season->id === $season->id && null !== self::main($project),
            ),
        );
        [$free, $cuts] = $this->free($open, $projects, $cloths);
        $choices = $found = $sooner = [];
        foreach ($open as $i => $project) {
            $sooner[$i] = $this->sooner($project, $free);
            $laid = $sooner[$i]?->laid;
            [$choices[$i], $found[$i]] =
                null === $laid
                    ? $this->choices($project, null === $sooner[$i] ? $cuts : [], $cuts, $free)
                    : [[new Choice(null, $sooner[$i]->claim->cut->id ?? '', $laid->micrometres, 0, true)], []];
        }
        $assigned = (new Assign())->assign(array_values($choices), array_map(static fn (Length $one): int => $one->micrometres, $free));
        $changes = [];
        $would = $still = 0;
        foreach ($assigned->choices as $i => $choice) {
            $would += null === $choice ? 0 : 1;
            $still += null !== $choice && null === $choice->cut ? 1 : 0;
            if (null !== $choice?->cut && !$choice->present) {
                [$way, $judgement] = $found[$i][$choice->option.' '.$choice->cut];
                [$cloth, $cut] = $cuts[$choice->cut];
                $need = Length::ofMicrometres($choice->need);
                $from = self::main($open[$i]) ?? throw new \LogicException('It has a main cloth.');
                $before =
                    null === $from->cloth || null === $from->cut ? null : $this->need($open[$i], $from, $from->cloth, $from->cut, true);
                $changes[] = new ClothChange(
                    $way,
                    $from,
                    $choice->option,
                    cloth: $cloth,
                    cut: $cut,
                    need: $need,
                    judgement: $judgement,
                    before: $before,
                );
            }
        }

        return new Proposed(
            $changes,
            $this->fits($open, $free),
            $would,
            buys: \count(array_filter($open, static fn (Project $one): bool => null !== self::main($one)?->wish)),
            still: $still,
            isSettled: $assigned->isSettled,
            looked: \count($open),
            sooner: array_values(array_filter($sooner)),
        );
    }

    /** The claim for the main cloth that is still to be cut, of all of its role; null where there is none to choose. */
    private static function main(Project $project): ?Claim
    {
        foreach ($project->current->claims as $claim) {
            if ($claim->isFor(Role::Main, []) && !$claim->cutOut) {
                return $claim;
            }
        }

        return null;
    }

    /**
     * What is left of each cut for the main cloths of these projects.
     *
     * @param list<Project> $open
     * @param list<Project> $projects
     * @param list<Cloth>   $cloths
     *
     * @return array{array<string, Length>, array<string, array{Cloth, Cut, Traits}>}
     */
    private function free(array $open, array $projects, array $cloths): array
    {
        $own = [];
        foreach ($open as $project) {
            $own[self::main($project)->id ?? ''] = true;
        }
        $taken = array_map(
            static fn (array $all): Length => Reservation::total(
                array_values(array_filter($all, static fn (Reservation $promise): bool => !isset($own[$promise->claim->id]))),
            ),
            $this->promises->allocate($projects),
        );
        $free = $cuts = [];
        foreach ($cloths as $cloth) {
            $traits = Traits::of($cloth, Making::DEAR);
            foreach ($cloth->cuts as $cut) {
                $length = $cut->gone || $cloth->keeping->setAside ? null : ToCut::of($cloth, $cut, $this->assumptions)->length;
                if (null !== $length) {
                    $free[$cut->id] = $length->minus($taken[$cut->id] ?? Length::zero())->larger(Length::zero());
                    $cuts[$cut->id] = [$cloth, $cut, $traits];
                }
            }
        }

        return [$free, $cuts];
    }

    /**
     * Its own way on the cuts that suit it best, and its options as they are. What nothing is known about, and what speaks against
     * more than for, is not proposed.
     *
     * @param array<string, array{Cloth, Cut, Traits}> $others cuts that may be proposed; its own is always weighed
     * @param array<string, array{Cloth, Cut, Traits}> $cuts
     * @param array<string, Length>                    $free
     *
     * @return array{list<Choice>, array<string, array{Project, Judgement}>} and how each would be made, by option and cut
     */
    private function choices(Project $project, array $others, array $cuts, array $free): array
    {
        $choices = $found = [];
        foreach ([null, ...$project->openOptions()] as $option) {
            $way = null === $option ? $project : $project->made($option);
            $claim = self::main($way);
            if (null === $claim || null === $way->current->pattern || null === $way->current->version) {
                continue;
            }
            $sewist = $this->sewist->forDays($way->season->days());
            $asks = Asks::of($way->current->pattern, $way->current->version, $way->brief->person, $sewist, $way->largestSize());
            $own = $claim->cut->id ?? '';
            $others += array_intersect_key($cuts, [$own => true]);
            $weighed = 0;
            $tried = null === $option
                ? $this->bySuit($asks, $others, $own, $way->current->version->id)
                : array_intersect_key($cuts, [$own => true]);
            foreach ($tried as $id => $one) {
                [$cloth, $cut, $traits] = $one;
                $judgement = $this->judge($cloth, $traits, $asks, $way->current->version->id);
                $present = null === $option && $own === $id;
                if (!$present && !self::isProposable($judgement, $asks, $traits)) {
                    continue;
                }
                $need = $this->need($way, $claim, $cloth, $cut, $present);
                if (null !== $need && !$free[$id]->isLessThan($need)) {
                    $points = $judgement->points - (null === $option ? 0 : 1);
                    $choices[] = new Choice($option?->id, $id, $need->micrometres, $points, $present);
                    $found[$option?->id.' '.$id] = [$way, $judgement];
                    if (self::WEIGHED === ++$weighed) {
                        break;
                    }
                }
            }
            if (null === $option && null !== $claim->wish) {
                $choices[] = new Choice(null, null, 0, 0, true);
            }
        }

        return [$choices, $found];
    }

    /**
     * @param array<string, array{Cloth, Cut, Traits}> $cuts
     * @param string                                   $own  id of the one it has
     *
     * @return array<string, array{Cloth, Cut, Traits}> its own first, and those that are not refused, the best first
     */
    private function bySuit(Asks $asks, array $cuts, string $own, string $version): array
    {
        $points = $judged = [];
        foreach ($cuts as $id => [$cloth, , $traits]) {
            $judgement = $judged[$cloth->id] ??= $this->judge($cloth, $traits, $asks, $version);
            if ($id === $own || !$judgement->isRefused()) {
                $points[$id] = $id === $own ? \PHP_INT_MAX : $judgement->points;
            }
        }
        arsort($points);

        $sorted = [];
        foreach (array_keys($points) as $id) {
            $sorted[$id] = $cuts[$id];
        }

        return $sorted;
    }

    private function judge(Cloth $cloth, Traits $traits, Asks $asks, string $version): Judgement
    {
        return $this->suit->judge($traits, $asks, $this->overruled[Overrule::key($cloth->id, $version)] ?? null);
    }

    /** What cloth it wants is known, more speaks for this than against it, and what is praised is more than what is open. */
    private static function isProposable(Judgement $judgement, Asks $asks, Traits $traits): bool
    {
        $isKnown = null !== $asks->onlyFor || $asks->advice->isSaid() || $judgement->isOverruled;

        return $isKnown
            && ('' === $traits->meantFor || $judgement->isOverruled)
            && $judgement->points >= 0
            && !$judgement->isUnlikely()
            && \count($judgement->withTenor(Tenor::Praise)) >= \count($judgement->withTenor(Tenor::Question));
    }

    /**
     * What comes before another cloth where its own is short: a lay that is enough, or another version of its pattern that fits.
     *
     * @param array<string, Length> $free
     */
    private function sooner(Project $project, array $free): ?Sooner
    {
        $claim = self::main($project);
        [$cloth, $cut] = [$claim?->cloth, $claim?->cut];
        $left = $free[$cut->id ?? ''] ?? null;
        if (null === $claim || null === $cloth || null === $cut || null === $left || null === $project->current->version) {
            return null;
        }
        $need = $this->need($project, $claim, $cloth, $cut, true);
        if (null === $need || !$left->isLessThan($need)) {
            return null;
        }
        $wanted = $project->wanted($claim);
        $laid = (new LaidNeed($this->assumptions, $this->memory))->find($wanted, $cloth, $cut);
        if (null !== $laid && !$left->isLessThan($laid)) {
            return new Sooner($project, $claim, null, $laid);
        }
        $versions = (new WaysOut($this->estimator, $this->assumptions))->versions($wanted, $project->current->pattern, $cloth, $cut, $left);

        return [] === $versions ? null : new Sooner($project, $claim, $versions[0][0], null);
    }

    private function need(Project $way, Claim $claim, Cloth $cloth, Cut $cut, bool $present): ?Length
    {
        $laidOut = $present ? $this->promises->places($way, $claim)[0][1] : null;
        $on = CuttingCloth::cut($cloth, ToCut::of($cloth, $cut, $this->assumptions, null !== $laidOut));
        $wanted = $way->wanted($claim->takenFrom($cloth, $cut), $laidOut);
        $need = $this->estimator->estimate($wanted, $on);

        return $need instanceof Need && null === $this->estimator->tooWide($wanted, $on) ? $need->amount : null;
    }

    /**
     * How many have enough as it is planned, in rank order.
     *
     * @param list<Project>         $open
     * @param array<string, Length> $free
     */
    private function fits(array $open, array $free): int
    {
        $fits = 0;
        foreach ($open as $project) {
            $claim = self::main($project);
            if (null !== $claim?->wish) {
                ++$fits;
            }
            [$cloth, $cut] = [$claim?->cloth, $claim?->cut];
            $need = null === $claim || null === $cloth || null === $cut ? null : $this->need($project, $claim, $cloth, $cut, true);
            if (null !== $need && isset($free[$cut->id]) && !$free[$cut->id]->isLessThan($need)) {
                ++$fits;
                $free[$cut->id] = $free[$cut->id]->minus($need);
            }
        }

        return $fits;
    }
}

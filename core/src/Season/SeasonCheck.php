<?php

declare(strict_types=1);

namespace Octavum\Core\Season;

use Octavum\Core\Cloth\Cloth;
use Octavum\Core\Cloth\Cut;
use Octavum\Core\Cloth\CutState;
use Octavum\Core\Cloth\ToCut;
use Octavum\Core\Measure\Assumptions;
use Octavum\Core\Measure\Figure;
use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\Rounding;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Measure\Source;
use Octavum\Core\Measure\Unit;
use Octavum\Core\Measure\Working;
use Octavum\Core\Need\Estimator;
use Octavum\Core\Need\LaidOut;
use Octavum\Core\Need\Missing;
use Octavum\Core\Need\On;
use Octavum\Core\Need\TooWide;
use Octavum\Core\Need\Unknown;
use Octavum\Core\Need\Verdict;
use Octavum\Core\Notion\Allotment;
use Octavum\Core\Notion\Notion;
use Octavum\Core\Notion\NotionAnswer;
use Octavum\Core\Pattern\KeptAlteration;
use Octavum\Core\Pattern\Ownership;
use Octavum\Core\Pattern\Role;
use Octavum\Core\Pattern\SizeChooser;
use Octavum\Core\Remedy\WaysOut;

/**
 * Goes down a season's rank and says of every project whether its cloth is enough, by how much, and what stands in the
 * way. A cut claimed by several projects is given out in rank order, an earlier season before a later one.
 */
final readonly class SeasonCheck
{
    /** The width at which cloth to be bought is drawn when nothing is said of it, in cm. */
    public const USUAL_WIDTH = 140;

    private Estimator $estimator;
    private WaysOut $waysOut;
    private ClothSnags $clothSnags;

    /** @param list<Notion> $notions of the stash; none when nobody has written them down */
    public function __construct(private Assumptions $assumptions, private array $notions = [])
    {
        $this->estimator = new Estimator($assumptions);
        $this->waysOut = new WaysOut($this->estimator, $assumptions);
        $this->clothSnags = new ClothSnags($assumptions);
    }

    /** @param list<Project> $projects of the whole workroom, since another season may have a cut first */
    public function check(Season $season, array $projects): CheckedSeason
    {
        $open = $this->inOrder($projects);
        $promises = $this->promises($open);
        $notions = $this->notions($open);
        $answers = [];
        $minutes = 0;
        foreach ($open as $project) {
            if ($project->season->id !== $season->id) {
                continue;
            }
            $from = $minutes;
            $minutes += $project->expectedMinutes() ?? 0;
            $answers[] = $this->project($project, $promises, $notions['#'.$project->id] ?? [], $from, $minutes);
        }

        return new CheckedSeason($season, $answers, $minutes);
    }

    /**
     * Who has which cut, in the order in which it is given out.
     *
     * @param list<Project> $projects of the whole workroom
     *
     * @return array<string, list<Promise>> by cut
     */
    public function promises(array $projects): array
    {
        $promises = [];
        foreach ($this->inOrder($projects) as $project) {
            foreach ($project->claims as $claim) {
                if (null === $claim->cut || null === $claim->cloth || $claim->cutOut) {
                    continue;
                }
                foreach ($this->places($project, $claim) as [$placed, $laidOut]) {
                    if (null !== $placed->cut && null !== $placed->cloth) {
                        $on = On::cut($placed->cloth, ToCut::of($placed->cloth, $placed->cut, $this->assumptions, null !== $laidOut));
                        $promises[$placed->cut->id][] = new Promise($project, $placed, $this->estimator->estimate($project->wanted($placed, $laidOut), $on));
                    }
                }
            }
        }

        return $promises;
    }

    /**
     * The cuts a claim takes from: those of a lay that holds, or the one chosen.
     *
     * @return list<array{Claim, ?LaidOut}>
     */
    private function places(Project $project, Claim $claim): array
    {
        $lay = $claim->lay;
        $garment = $lay?->garmentOf($project, $claim);
        if (null === $lay || null === $garment || null !== $lay->stale($project, $claim, $this->assumptions)) {
            return [[$claim, null]];
        }
        $places = [];
        foreach ($lay->sheetsOf($garment) as $sheet) {
            $places[] = [null === $sheet->cloth || null === $sheet->cut ? $claim : $claim->on($sheet->cloth, $sheet->cut), $lay->laidOut($garment, $sheet)];
        }

        return $places;
    }

    /**
     * @param list<Project> $projects
     *
     * @return list<Project> the open ones, an earlier season first
     */
    private function inOrder(array $projects): array
    {
        $open = array_values(array_filter($projects, static fn (Project $project): bool => $project->state->isOpen()));
        usort($open, static fn (Project $a, Project $b): int => [$a->season->starts, $a->season->id, $a->rank] <=> [$b->season->starts, $b->season->id, $b->rank]);

        return $open;
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
            $lines['#'.$project->id] = $project->notionsTaken ? [] : $project->version->notions ?? [];
        }

        return (new Allotment($this->notions))->of($lines);
    }

    /**
     * @param array<string, list<Promise>> $promises
     * @param list<NotionAnswer>           $notions
     */
    private function project(Project $project, array $promises, array $notions, int $from, int $to): ProjectAnswer
    {
        $roles = array_merge(...array_map(fn (Claim $claim): array => $this->role($project, $claim, $promises), $project->claims));
        $verdict = [] === $roles ? Verdict::NotKnown : null;
        $snags = [];
        foreach ($roles as $role) {
            $verdict = null === $role->verdict ? $verdict : ($verdict?->graver($role->verdict) ?? $role->verdict);
            $snags = [...$snags, ...$role->snags];
        }
        $snags = [...$snags, ...$this->projectSnags($project, $from, $to), ...$this->notionSnags($project, $notions)];
        usort($snags, static fn (Snag $a, Snag $b): int => $a->severity->value <=> $b->severity->value);

        return new ProjectAnswer($project, $roles, $verdict, $snags, $from, $to, $to > $project->season->minutes(), $notions);
    }

    /**
     * @param array<string, list<Promise>> $promises
     *
     * @return non-empty-list<RoleAnswer> one for each cut it takes from
     */
    private function role(Project $project, Claim $claim, array $promises): array
    {
        if ($claim->cutOut) {
            return [new RoleAnswer($claim, null, null, null, null, [], Working::empty())];
        }
        if (null !== $claim->wish) {
            return [$this->toBuy($project, $claim, $claim->wish)];
        }
        if (null === $claim->cloth || null === $claim->cut) {
            $unknown = new Unknown(Missing::Cloth, new Sentence('Choose a cloth, or put it on the shopping list.'));

            return [new RoleAnswer($claim, Verdict::NotKnown, null, $unknown, null, [], Working::empty(), [
                $this->snag(Severity::NotKnown, '{project} has no cloth for {role} yet.', $project, $claim, Action::ChooseInProject, $project->id),
            ])];
        }
        $answers = [];
        foreach ($this->places($project, $claim) as [$placed, $laidOut]) {
            if (null !== $placed->cloth && null !== $placed->cut) {
                $answers[] = $this->onCut($project, $placed, $laidOut, $placed->cloth, $placed->cut, $promises);
            }
        }

        return [] === $answers ? throw new \LogicException('A claim on a cut takes from one at least.') : $answers;
    }

    /** @return list<Snag> */
    private function laySnags(Project $project, Claim $claim): array
    {
        $lay = $claim->lay;
        $why = $lay?->stale($project, $claim, $this->assumptions);
        if (null === $lay || null === $why) {
            return [];
        }

        return $lay->isGeneric($project, $claim) && null !== $project->pattern
            ? [new Snag(Severity::Note, new Sentence('The saved lay of {project} is of generic pieces, so it only guesses: enter the pieces of {pattern}, and lay them.', ['project' => $project->name, 'pattern' => $project->pattern->title]), Action::EnterPieces, $project->version->id ?? $project->pattern->id)]
            : [new Snag(Severity::Tight, new Sentence('The saved lay of {project} does not count any more: {why}.', ['project' => $project->name, 'why' => $why]), Action::LayAgain, $lay->id)];
    }

    private function toBuy(Project $project, Claim $claim, Wish $wish): RoleAnswer
    {
        [[, $laidOut]] = $this->places($project, $claim);
        $roll = null === $laidOut ? null : $claim->lay?->sheets[0]->width->plus($this->assumptions->selvage->times(2));
        $width = $roll ?? $wish->width ?? Length::of((string) self::USUAL_WIDTH, Unit::Centimetre);
        $assumed = null === ($roll ?? $wish->width);
        $on = new On($width, $wish->oneWay, $wish->repeat, $assumed, $this->usable($width, $wish));
        $wanted = $project->wanted($claim, $laidOut);
        $need = $this->estimator->estimate($wanted, $on);
        if ($need instanceof Unknown) {
            return new RoleAnswer($claim, Verdict::NotKnown, null, $need, null, [], Working::empty(), [$this->unknownSnag($project, $claim, $need)]);
        }
        $tooWide = $this->estimator->tooWide($wanted, $on);
        $snags = [...(null === $tooWide ? [] : [$this->tooWideSnag($project, $tooWide)]), ...$this->laySnags($project, $claim)];

        return new RoleAnswer($claim, null === $tooWide || $assumed ? Verdict::ToBuy : Verdict::Short, null, $need, null, [], $need->working, $snags, [], $width, $tooWide);
    }

    /** Of cloth to be bought, after its wash. */
    private function usable(Length $full, Wish $wish): Length
    {
        return $wish->shrinkage()->across->takenFrom($full->minus($this->assumptions->selvage->times(2)), Rounding::Down);
    }

    private function tooWideSnag(Project $project, TooWide $tooWide): Snag
    {
        return new Snag(Severity::Short, new Sentence('{project}: {why}', ['project' => $project->name, 'why' => $tooWide->sentence()]), Action::MakeItEnough, $project->id);
    }

    /** @param array<string, list<Promise>> $all by cut */
    private function onCut(Project $project, Claim $claim, ?LaidOut $laidOut, Cloth $cloth, Cut $cut, array $all): RoleAnswer
    {
        $toCut = ToCut::of($cloth, $cut, $this->assumptions, null !== $laidOut);
        $promises = $all[$cut->id] ?? [];
        [$ahead, $own] = $this->place($promises, $claim);
        $need = $own->need;
        $wanted = $project->wanted($claim, $laidOut);
        $tooWide = $this->estimator->tooWide($wanted, On::cut($cloth, $toCut));
        $stock = [
            ...(null === $tooWide ? [] : [$this->tooWideSnag($project, $tooWide)]),
            ...$this->laySnags($project, $claim),
            ...$this->clothSnags->of($project, $claim, $cloth, $cut),
        ];
        if ($need instanceof Unknown || null === $toCut->length) {
            $unknown = $need instanceof Unknown ? $need : new Unknown(Missing::Length, new Sentence($cut->isTakenFrom() ? 'Measure what is left of it.' : 'Measure the length.'));

            return new RoleAnswer($claim, null === $tooWide ? Verdict::NotKnown : Verdict::Short, $toCut, $unknown, null, $promises, $toCut->working(), [$this->unknownSnag($project, $claim, $unknown), ...$stock], tooWide: $tooWide);
        }
        $available = $toCut->length;
        $working = $toCut->working();
        foreach ($ahead as $promise) {
            $working = $working->less(new Sentence('{project} has it first', ['project' => $promise->project->name]), $promise->amount, Source::Plan);
            $available = $available->minus($promise->amount);
        }
        $available = $available->larger(Length::zero());
        if ([] !== $ahead) {
            $working = $working->result(new Sentence('Left for this'), Figure::exact($available));
        }
        $spare = $available->minus($need->amount);
        $verdict = null === $tooWide ? Verdict::of($spare, $need->amount, $this->assumptions) : Verdict::Short;
        $working = $working->then($need->working)->result(
            new Sentence($spare->isNegative() ? 'Missing, rounded up' : 'To spare, rounded down'),
            $spare->isNegative() ? Figure::needed($spare->negated()) : Figure::owned($spare),
        );
        if (null !== $tooWide) {
            $working = $working
                ->given(new Sentence('{piece}, across', ['piece' => $tooWide->piece]), Figure::needed($tooWide->across), Source::Lay)
                ->given(new Sentence('The cloth between its selvages, after the wash'), Figure::owned($tooWide->usable), Source::Measured);
        }

        return new RoleAnswer($claim, $verdict, $toCut, $need, $spare, $promises, $working, [
            ...$this->enoughSnags($project, $claim, $cloth, $toCut->length, $spare, $promises, $ahead),
            ...array_map(static fn (Sentence $warning): Snag => new Snag(Severity::Tight, new Sentence('{project}: {warning}', ['project' => $project->name, 'warning' => $warning]), Action::ShowCloth, $cloth->id), $need->warnings),
            ...$stock,
        ],
            Verdict::Short === $verdict ? $this->waysOut->of($wanted, $project->pattern, $cloth, $cut, $available, $need, $this->promised($all, $claim)) : [],
            tooWide: $tooWide,
        );
    }

    /**
     * What others are promised of each cut.
     *
     * @param array<string, list<Promise>> $all by cut
     *
     * @return array<string, Length> by cut
     */
    private function promised(array $all, Claim $claim): array
    {
        return array_map(static fn (array $promises): Length => Promise::total(array_values(array_filter($promises, static fn (Promise $promise): bool => $promise->claim->id !== $claim->id))), $all);
    }

    /**
     * @param list<Promise> $promises
     *
     * @return array{list<Promise>, Promise} those ahead of a claim, and its own
     */
    private function place(array $promises, Claim $claim): array
    {
        foreach ($promises as $i => $promise) {
            if ($promise->claim->id === $claim->id) {
                return [\array_slice($promises, 0, $i), $promise];
            }
        }
        throw new \LogicException('A claim on a cut has been promised it.');
    }

    /**
     * @param list<Promise> $promises
     * @param list<Promise> $ahead
     *
     * @return list<Snag>
     */
    private function enoughSnags(Project $project, Claim $claim, Cloth $cloth, Length $toCut, Length $spare, array $promises, array $ahead): array
    {
        if ($spare->isNegative()) {
            $missing = Figure::needed($spare->negated());

            return [[] === $ahead
                ? new Snag(Severity::Short, new Sentence('{project} is {missing} short on {cloth}.', ['project' => $project->name, 'missing' => $missing, 'cloth' => $cloth->name]), Action::MakeItEnough, $project->id)
                : new Snag(Severity::Short, new Sentence('{project} is {missing} short: {others} {count, plural, one {has} other {have}} {cloth} first.', ['project' => $project->name, 'missing' => $missing, 'others' => $this->names($ahead), 'count' => \count($ahead), 'cloth' => $cloth->name]), Action::ShowCloth, $cloth->id)];
        }
        $total = Promise::total($promises);
        $behind = \array_slice($promises, \count($ahead) + 1);
        if ([] === $behind || !$toCut->isLessThan($total)) {
            return [];
        }

        return [new Snag(Severity::Tight, new Sentence('{cloth} is promised more than once: {project} has it first, and {others} would be {missing} short.', ['cloth' => $cloth->name, 'project' => $project->name, 'others' => $this->names($behind), 'missing' => Figure::needed($total->minus($toCut))]), Action::ShowCloth, $cloth->id)];
    }

    /** @param list<Promise> $promises */
    private function names(array $promises): string
    {
        return implode(', ', array_unique(array_map(static fn (Promise $promise): string => $promise->project->name, $promises)));
    }

    /** @return list<Snag> */
    private function projectSnags(Project $project, int $from, int $to): array
    {
        $snags = [];
        $with = ['project' => $project->name];
        if ([] === $project->claims) {
            $snags[] = new Snag(Severity::NotKnown, new Sentence('{project} has no cloth for {role} yet.', $with + ['role' => Role::Main->value]), Action::ChooseInProject, $project->id);
        }
        $planned = array_map(static fn (Claim $claim): Role => $claim->role, $project->claims);
        foreach ([] === $project->claims ? [] : ($project->version?->table->roles() ?? []) as $role) {
            if (!\in_array($role, [...$planned, ...$project->declined], true)) {
                $snags[] = new Snag(Severity::Note, new Sentence('{project}: the envelope also asks for {role}, and none is planned.', $with + ['role' => new Sentence($role->value)]), Action::PlanRole, $project->id.' '.$role->value);
            }
        }
        if (null !== $project->pattern && Ownership::Owned !== $project->pattern->ownership) {
            $snags[] = new Snag(Severity::Tight, new Sentence('{project}: the pattern {pattern} is {ownership}, not owned.', $with + ['pattern' => $project->pattern->title, 'ownership' => $project->pattern->ownership->value]), Action::ShowPattern, $project->pattern->id);
        }
        foreach (array_unique([$project->size, $project->gradedTo]) as $size) {
            if (null !== $size && null !== $project->pattern && !$project->pattern->holdsSize($size)) {
                $snags[] = new Snag(Severity::Tight, new Sentence('{project}: size {size} is outside the copy owned. One size beyond can be graded, which takes time.', $with + ['size' => $size]), Action::ShowPattern, $project->pattern->id);
            }
        }
        $snags = [...$snags, ...$this->paperSnags($project)];
        $snags = [...$snags, ...$this->sizeSnags($project)];
        if (null === $project->expectedMinutes()) {
            $snags[] = new Snag(Severity::Note, new Sentence('{project}: nobody has said how many hours it takes, so it counts none.', $with), Action::ChooseInProject, $project->id);
        }
        if (null !== $project->deadline && $project->season->dayAfter($to) > $project->deadline) {
            $late = $project->deadline->diff($project->season->dayAfter($to))->days;
            $snags[] = new Snag(Severity::Short, new Sentence('{project} would be done {days, plural, one {# day} other {# days}} after its deadline at this rank.', $with + ['days' => max(1, $late)]), Action::MoveRank, $project->id);
        }
        foreach ($project->claims as $claim) {
            if (CutState::Ordered === $claim->cut?->state && null !== $claim->cut->expected && $claim->cut->expected > $project->season->dayAfter($from)) {
                $snags[] = new Snag(Severity::Tight, new Sentence('{project} begins about {start}, before its cloth is here.', $with + ['start' => $project->season->dayAfter($from)]), Action::MoveRank, $project->id);
            }
        }

        return $snags;
    }

    /**
     * @param list<NotionAnswer> $answers
     *
     * @return list<Snag> one for all that is missing, none while nobody has written notions down
     */
    private function notionSnags(Project $project, array $answers): array
    {
        $missing = array_map(static fn (NotionAnswer $answer): string => $answer->text, array_filter($answers, static fn (NotionAnswer $answer): bool => false === $answer->enough));

        return [] === $this->notions || [] === $missing ? [] : [new Snag(Severity::Note, new Sentence('{project}: not here, or not enough: {notions}.', ['project' => $project->name, 'notions' => implode(', ', $missing)]), Action::BuyNotions, $project->season->id)];
    }

    /** @return list<Snag> pieces the copy lacks, and alterations that are not drawn on it */
    private function paperSnags(Project $project): array
    {
        $pattern = $project->pattern;
        if (null === $pattern) {
            return [];
        }
        $snags = [];
        $missing = null === $project->size ? '' : $pattern->missingFor($project->size);
        if ('' !== $missing) {
            $snags[] = new Snag(Severity::Tight, new Sentence('{project}: the copy of {pattern} lacks {pieces}: trace or draft that before cutting.', ['project' => $project->name, 'pattern' => $pattern->title, 'pieces' => $missing]), Action::ShowPattern, $pattern->id);
        }
        $undrawn = array_filter($pattern->alterationsFor($project->person->id ?? ''), static fn (KeptAlteration $alteration): bool => !$alteration->drawn);
        if ([] !== $undrawn) {
            $snags[] = new Snag(Severity::Note, new Sentence('{project}: not drawn on the paper yet: {alterations}.', ['project' => $project->name, 'alterations' => implode(', ', array_map(static fn (KeptAlteration $alteration): string => $alteration->name, $undrawn))]), Action::ShowPattern, $pattern->id);
        }

        return $snags;
    }

    /** @return list<Snag> one when whoever it is for takes a larger size than is planned */
    private function sizeSnags(Project $project): array
    {
        $planned = $project->largestSize();
        if (null === $project->person || null === $project->pattern) {
            return [];
        }
        $advice = (new SizeChooser())->choose($project->person, $project->pattern);
        $order = array_flip($project->pattern->chart->sizes);
        $takes = $advice->gradedTo ?? $advice->size;

        return null === $takes || !isset($order[$planned]) || $order[$planned] >= $order[$takes] ? [] : [new Snag(Severity::Tight, new Sentence('{project}: size {size} is planned, and by the chart {person} takes {takes}.', ['project' => $project->name, 'size' => $planned, 'person' => $advice->person->name, 'takes' => $takes]), Action::ChooseInProject, $project->id)];
    }

    private function unknownSnag(Project $project, Claim $claim, Unknown $unknown): Snag
    {
        [$action, $subject] = match ($unknown->missing) {
            Missing::Width => [Action::MeasureWidth, $claim->cloth->id ?? $project->id],
            Missing::Length => [Action::MeasureLength, $claim->cut->id ?? $project->id],
            Missing::Row => [Action::EnterTable, $project->pattern->id ?? $project->id],
            default => [Action::ChooseInProject, $project->id],
        };

        return new Snag(Severity::NotKnown, match ($unknown->missing) {
            Missing::Width => new Sentence('{cloth} has no width, so nobody can say whether {project} fits.', ['cloth' => $claim->cloth->name ?? '', 'project' => $project->name]),
            Missing::Length => true === $claim->cut?->isTakenFrom()
                ? new Sentence('Something was taken from {cloth}, and nobody said how much: measure what is left before {project}.', ['cloth' => $claim->cloth->name ?? '', 'project' => $project->name])
                : new Sentence('{cloth} has no length, so nobody can say whether {project} fits.', ['cloth' => $claim->cloth->name ?? '', 'project' => $project->name]),
            Missing::Row => null === $unknown->guess
                ? new Sentence('{project}: {settle}', ['project' => $project->name, 'settle' => $unknown->settle])
                : new Sentence('{project}: {settle} {guess}', ['project' => $project->name, 'settle' => $unknown->settle, 'guess' => $unknown->guess->sentence()]),
            default => new Sentence('{project}: {settle}', ['project' => $project->name, 'settle' => $unknown->settle]),
        }, $action, $subject);
    }

    private function snag(Severity $severity, string $message, Project $project, Claim $claim, Action $action, string $subject): Snag
    {
        return new Snag($severity, new Sentence($message, ['project' => $project->name, 'role' => new Sentence($claim->role->value)]), $action, $subject);
    }
}

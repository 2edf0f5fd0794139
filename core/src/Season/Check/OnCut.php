<?php

declare(strict_types=1);

namespace Octavum\Core\Season\Check;

use Octavum\Core\Cloth\Cloth;
use Octavum\Core\Cloth\Cut;
use Octavum\Core\Cloth\ToCut;
use Octavum\Core\Measure\Assumptions;
use Octavum\Core\Measure\Figure;
use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Measure\Source;
use Octavum\Core\Measure\Working;
use Octavum\Core\Need\CuttingCloth;
use Octavum\Core\Need\Estimator;
use Octavum\Core\Need\LaidOut;
use Octavum\Core\Need\Missing;
use Octavum\Core\Need\Need;
use Octavum\Core\Need\NeedRequest;
use Octavum\Core\Need\TooWide;
use Octavum\Core\Need\Unknown;
use Octavum\Core\Need\Verdict;
use Octavum\Core\Project\Claim;
use Octavum\Core\Project\Project;
use Octavum\Core\Remedy\LaidNeed;
use Octavum\Core\Remedy\LayMemory;
use Octavum\Core\Remedy\WaysOut;
use Octavum\Core\Season\Answer\Lazy;
use Octavum\Core\Season\Answer\RoleAnswer;
use Octavum\Core\Season\Reserve\Reservation;
use Octavum\Core\Season\Snag\ClothSnags;
use Octavum\Core\Season\Snag\EnoughSnags;
use Octavum\Core\Season\Snag\LaySnags;
use Octavum\Core\Season\Snag\UnknownSnags;

/** Whether a cut is enough for a role: what those ahead leave of it, less the need. */
final readonly class OnCut
{
    private WaysOut $waysOut;
    private LaySnags $laySnags;
    private ClothSnags $clothSnags;
    private EnoughSnags $enough;
    private UnknownSnags $unknown;

    /** @param array<string, string> $overruled as Overrule::reasons() gives them */
    public function __construct(
        private Estimator $estimator,
        private Assumptions $assumptions,
        array $overruled = [],
        private ?LayMemory $memory = null,
    ) {
        $this->waysOut = new WaysOut($estimator, $assumptions);
        $this->laySnags = new LaySnags($assumptions);
        $this->clothSnags = new ClothSnags($assumptions, $overruled);
        $this->enough = new EnoughSnags();
        $this->unknown = new UnknownSnags();
    }

    /** @param array<string, list<Reservation>> $all by cut */
    public function answer(Project $project, Claim $claim, ?LaidOut $laidOut, Cloth $cloth, Cut $cut, array $all): RoleAnswer
    {
        $toCut = ToCut::of($cloth, $cut, $this->assumptions, null !== $laidOut);
        $promises = $all[$cut->id] ?? [];
        [$ahead, $own] = $this->place($promises, $claim);
        $wanted = $project->wanted($claim, $laidOut);
        $tooWide = $this->estimator->tooWide($wanted, CuttingCloth::cut($cloth, $toCut));
        $stock = [
            ...$this->enough->tooWide($project, $tooWide),
            ...$this->laySnags->find($project, $claim),
            ...$this->clothSnags->find($project, $claim, $cloth, $cut),
        ];
        $need = $own->need;
        if ($need instanceof Unknown || null === $toCut->length) {
            $unknown = $need instanceof Unknown ? $need : $this->noLength($cut);
            $verdict = null === $tooWide ? Verdict::NotKnown : Verdict::Short;
            $snags = [$this->unknown->explain($project, $claim, $unknown), ...$stock];

            return new RoleAnswer(
                $claim,
                $verdict,
                $toCut,
                need: $unknown,
                spare: null,
                promises: $promises,
                working: $toCut->working(...),
                snags: $snags,
                tooWide: $tooWide,
            );
        }
        $left = $this->left($toCut->length, $ahead);
        $spare = $left->minus($need->amount);
        $verdict = null === $tooWide ? Verdict::of($spare, $need->amount, $this->assumptions) : Verdict::Short;
        $laid = Verdict::Short === $verdict && null === $tooWide && null === $laidOut ? $this->laid($wanted, $cloth, $cut, $need) : null;
        $isEnoughLaid = null !== $laid && !$left->isLessThan($laid);
        $snags = [
            ...$isEnoughLaid
                ? $this->enough->laid($project, $claim, $cloth, $spare->negated(), $ahead)
                : $this->enough->find($project, $cloth, $toCut->length, spare: $spare, promises: $promises, ahead: $ahead),
            ...$this->enough->warnings($project, $cloth, $need),
            ...$stock,
        ];
        $ways = Verdict::Short !== $verdict ? null : new Lazy(fn (): array => $this->waysOut->find(
            $wanted,
            $project->current->pattern,
            $cloth,
            cut: $cut,
            available: $left,
            need: $need,
            promised: $this->promised($all, $claim),
        ));
        $working = fn (): Working => $this->working($toCut, $ahead, $left, need: $need, spare: $spare, tooWide: $tooWide);

        return new RoleAnswer(
            $claim,
            $verdict,
            $toCut,
            need: $need,
            spare: $spare,
            promises: $promises,
            working: $working,
            snags: $snags,
            ways: $ways,
            tooWide: $tooWide,
            laid: $laid,
        );
    }

    /** What its own pieces came to when they were laid, with its alterations; null while nobody has laid them on such cloth. */
    private function laid(NeedRequest $wanted, Cloth $cloth, Cut $cut, Need $need): ?Length
    {
        return (new LaidNeed($this->assumptions, $this->memory))->find($wanted, $cloth, $cut)?->smaller($need->amount);
    }

    private function noLength(Cut $cut): Unknown
    {
        return new Unknown(Missing::Length, new Sentence($cut->isTakenFrom() ? 'Measure what is left of it.' : 'Measure the length.'));
    }

    /**
     * @param list<Reservation> $promises
     *
     * @return array{list<Reservation>, Reservation} those ahead of a claim, and its own
     */
    private function place(array $promises, Claim $claim): array
    {
        foreach ($promises as $i => $promise) {
            if ($promise->claim->id === $claim->id) {
                return [\array_slice($promises, 0, $i), $promise];
            }
        }
        throw new \LogicException('A reservation has its cut.');
    }

    /** @param list<Reservation> $ahead */
    private function left(Length $toCut, array $ahead): Length
    {
        return $toCut->minus(Reservation::total($ahead))->larger(Length::zero());
    }

    /** @param list<Reservation> $ahead */
    private function working(ToCut $toCut, array $ahead, Length $left, Need $need, Length $spare, ?TooWide $tooWide): Working
    {
        $working = $toCut->working();
        foreach ($ahead as $promise) {
            $first = new Sentence('{project} has it first', ['project' => $promise->project->name]);
            $working = $working->less($first, $promise->amount, Source::Plan);
        }
        if ([] !== $ahead) {
            $working = $working->result(new Sentence('Left for this'), Figure::exact($left));
        }
        $working = $working
            ->then($need->working())
            ->result(
                new Sentence($spare->isNegative() ? 'Missing, rounded up' : 'To spare, rounded down'),
                $spare->isNegative() ? Figure::needed($spare->negated()) : Figure::owned($spare),
            );

        return null === $tooWide
            ? $working
            : $working
                ->given(new Sentence('{piece}, across', ['piece' => $tooWide->piece]), Figure::needed($tooWide->across), Source::Lay)
                ->given(new Sentence('The cloth between its selvages, after the wash'), Figure::owned($tooWide->usable), Source::Measured);
    }

    /**
     * What others are promised of each cut.
     *
     * @param array<string, list<Reservation>> $all by cut
     *
     * @return array<string, Length> by cut
     */
    private function promised(array $all, Claim $claim): array
    {
        $others = static fn (Reservation $promise): bool => $promise->claim->id !== $claim->id;

        return array_map(static fn (array $promises): Length => Reservation::total(array_values(array_filter($promises, $others))), $all);
    }
}

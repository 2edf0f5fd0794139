<?php

declare(strict_types=1);

namespace Octavum\Room\Match;

use Octavum\Account\Account;
use Octavum\Core\Match\Group;
use Octavum\Core\Match\Making;
use Octavum\Core\Match\Overrule;
use Octavum\Core\Match\Proposal;
use Octavum\Core\Match\WhatItBecomes;
use Octavum\Core\Measure\Length;
use Octavum\Core\Need\CuttingCloth;
use Octavum\Core\Need\Estimator;
use Octavum\Core\Need\Guess;
use Octavum\Core\Need\Need;
use Octavum\Core\Need\Unknown;
use Octavum\Core\Shopping\Curve;
use Octavum\Core\Workroom\Settings;
use Octavum\Store\Overrule\Overrules;
use Octavum\Strip\Scale;

/** Lays a cloth before the library and draws what comes of it. */
final readonly class ClothPages
{
    /** Rows of a group that stand there at once, and of those whose length is not known the guesses that are laid. */
    private const ROWS = 12;
    private const GUESSES = 6;

    /** Of a cut, the part that may be missing for a version to be drawn past its end. */
    private const BEYOND = 0.35;

    public function __construct(private RollDrawing $rolls, private RowDrawing $rows, private Overrules $overrules)
    {
    }

    /**
     * @param non-empty-list<Lying> $lying
     * @param list<Making>          $makings
     */
    public function build(Account $account, array $lying, array $makings, Settings $settings): ClothPage
    {
        $becomes = new WhatItBecomes($settings->assumptions, Overrule::reasons($this->overrules->all($account)));
        $laid = [];
        $longest = Length::ofMetres('1');
        foreach ($lying as $one) {
            $proposals = $becomes->propose($one->cloth, CuttingCloth::cut($one->cloth, $one->toCut), $one->free, $makings);
            $laid[] = [$one, $proposals];
            $longest = $longest->larger($this->longest($one, $proposals));
        }
        $groups = $this->best($laid);
        $scale = Scale::margin($longest, 280);
        $rows = $more = [];
        $guesses = self::GUESSES;
        foreach ($groups as $group => $all) {
            if (Group::Not->value === $group) {
                continue;
            }
            $rows[$group] = [];
            foreach (\array_slice($all, 0, self::ROWS) as [$from, $proposal, $also]) {
                $unknown = $proposal->fit?->need instanceof Unknown;
                $guess = $unknown && $guesses-- > 0 ? $this->guess(
                    $proposal,
                    CuttingCloth::cut($from->cloth, $from->toCut),
                    $settings,
                ) : null;
                $taken = [$from->cut->id => $from->taken()];
                $rows[$group][] = $this->rows->draw(
                    $proposal,
                    $from->cloth,
                    $from->cut,
                    free: $from->free,
                    promised: $taken,
                    scale: $scale,
                    settings: $settings,
                    guess: $guess,
                )
                    ->from($from, $also);
            }
            $more[$group] = array_column(\array_slice($all, self::ROWS), 1);
        }
        [$first, $proposals] = $laid[0];

        return new ClothPage(
            array_map(fn (array $one): array => [$one[0], $this->roll($one[0], $one[1], $longest, $settings)], $laid),
            $rows,
            $more,
            refused: $this->refused(array_column($groups[Group::Not->value], 1)),
            curve: $first->endless && 1 === \count($laid) ? $this->curve($first, $proposals, $settings) : null,
            all: \count($proposals),
        );
    }

    /**
     * Each version once, from the cloth that is best for it.
     *
     * @param non-empty-list<array{Lying, list<Proposal>}> $laid
     *
     * @return array<string, list<array{Lying, Proposal, list<array{Lying, Proposal}>}>> by group, the best first, with the other
     *                                                                                   cloths that are enough
     */
    private function best(array $laid): array
    {
        $versions = [];
        foreach ($laid as [$lying, $proposals]) {
            foreach ($proposals as $proposal) {
                $versions[$proposal->making->version->id][] = [$lying, $proposal];
            }
        }
        $best = [];
        foreach ($versions as $all) {
            usort($all, static fn (array $a, array $b): int => Proposal::compare($a[1], $b[1]));
            $also = array_filter(\array_slice($all, 1), static fn (array $one): bool => true === $one[1]->fit?->isEnough());
            $best[] = [...$all[0], array_values($also)];
        }
        usort($best, static fn (array $a, array $b): int => Proposal::compare($a[1], $b[1]));
        $groups = array_fill_keys(array_column(Group::cases(), 'value'), []);
        foreach ($best as $one) {
            $groups[$one[1]->group->value][] = $one;
        }

        return $groups;
    }

    /** @param list<Proposal> $proposals */
    private function roll(Lying $lying, array $proposals, Length $longest, Settings $settings): Roll
    {
        return $this->rolls->draw(
            $lying->cloth,
            $lying->cut,
            $lying->promises,
            proposals: $proposals,
            longest: $longest,
            assumptions: $settings->assumptions,
            system: $settings->system,
        );
    }

    private function guess(Proposal $proposal, CuttingCloth $on, Settings $settings): ?Guess
    {
        $need = (new Estimator($settings->assumptions))->estimate($proposal->making->wanted(), $on);

        return $need instanceof Unknown ? $need->guess : null;
    }

    /** @param list<Proposal> $proposals */
    private function longest(Lying $lying, array $proposals): Length
    {
        $end = $lying->endless ? Length::ofMetres('1') : $lying->toCut->length ?? Length::ofMetres('1');
        $most = $end->micrometres * (1 + self::BEYOND);
        $longest = $end;
        foreach ($proposals as $proposal) {
            $amount = Group::Not === $proposal->group ? null : $proposal->fit?->amount()?->plus($lying->taken());
            if (null !== $amount && ($lying->endless || $amount->micrometres <= $most)) {
                $longest = $longest->larger($amount);
            }
        }

        return $longest;
    }

    /**
     * @param list<Proposal> $refused
     *
     * @return array<string, list<Proposal>>
     */
    private function refused(array $refused): array
    {
        $reasons = [];
        foreach ($refused as $proposal) {
            $reasons[(string) $proposal->refusal][] = $proposal;
        }
        uasort($reasons, static fn (array $a, array $b): int => \count($b) <=> \count($a));

        return $reasons;
    }

    /** @param list<Proposal> $proposals */
    private function curve(Lying $lying, array $proposals, Settings $settings): Curve
    {
        $needs = [];
        foreach ($proposals as $proposal) {
            $need = $proposal->fit?->need;
            if ($need instanceof Need && $proposal->group->mayBe() && $proposal->points >= 0) {
                $needs[] = $need;
            }
        }
        $shrink = $lying->cloth->material->shrinkage()->along;

        return Curve::of($needs, $shrink, $settings->counter, $settings->assumptions, $lying->cloth->purchase->pricePerMetre);
    }
}

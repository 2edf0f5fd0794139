<?php

declare(strict_types=1);

namespace Octavum\Room\Bench;

use Octavum\Account\Account;
use Octavum\Core\Match\Group;
use Octavum\Core\Match\Making;
use Octavum\Core\Match\Overrule;
use Octavum\Core\Match\Proposal;
use Octavum\Core\Match\WhatItBecomes;
use Octavum\Core\Measure\Length;
use Octavum\Core\Need\Estimator;
use Octavum\Core\Need\Guess;
use Octavum\Core\Need\Need;
use Octavum\Core\Need\On;
use Octavum\Core\Need\Unknown;
use Octavum\Core\Shopping\Curve;
use Octavum\Core\Workroom\Settings;
use Octavum\Store\Overrules;
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

    /** @param list<Making> $makings */
    public function of(Account $account, Lying $lying, array $makings, Settings $settings): ClothPage
    {
        $on = On::cut($lying->cloth, $lying->toCut);
        $overruled = Overrule::reasons($this->overrules->all($account));
        $proposals = (new WhatItBecomes($settings->assumptions, $overruled))->of($lying->cloth, $on, $lying->free, $makings);
        $groups = array_fill_keys(array_column(Group::cases(), 'value'), []);
        foreach ($proposals as $proposal) {
            $groups[$proposal->group->value][] = $proposal;
        }
        $longest = $this->longest($lying, $proposals);
        $scale = Scale::margin($longest, 280);
        $rows = $more = [];
        $guesses = self::GUESSES;
        foreach ($groups as $group => $all) {
            if (Group::Not->value === $group) {
                continue;
            }
            $rows[$group] = [];
            foreach (\array_slice($all, 0, self::ROWS) as $proposal) {
                $unknown = $proposal->fit?->need instanceof Unknown;
                $guess = $unknown && $guesses-- > 0 ? $this->guess($proposal, $on, $settings) : null;
                $rows[$group][] = $this->rows->of(
                    $proposal,
                    $lying->cloth,
                    $lying->cut,
                    $lying->free,
                    [$lying->cut->id => $lying->taken()],
                    $scale,
                    $settings,
                    $guess,
                );
            }
            $more[$group] = \array_slice($all, self::ROWS);
        }

        return new ClothPage(
            $lying,
            $this->rolls->of(
                $lying->cloth,
                $lying->cut,
                $lying->promises,
                $proposals,
                $longest,
                $settings->assumptions,
                $settings->system,
            ),
            $rows,
            $more,
            $this->refused($groups[Group::Not->value]),
            $lying->endless ? $this->curve($lying, $proposals, $settings) : null,
            \count($proposals),
        );
    }

    private function guess(Proposal $proposal, On $on, Settings $settings): ?Guess
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
            if ($need instanceof Need && Group::Not !== $proposal->group && $proposal->points >= 0) {
                $needs[] = $need;
            }
        }
        $shrink = $lying->cloth->shrinkage()->along;

        return Curve::of($needs, $shrink, $settings->counter, $settings->assumptions, $lying->cloth->pricePerMetre);
    }
}

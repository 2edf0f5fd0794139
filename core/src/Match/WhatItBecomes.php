<?php

declare(strict_types=1);

namespace Octavum\Core\Match;

use Octavum\Core\Cloth\Cloth;
use Octavum\Core\Match\Criteria\Traits;
use Octavum\Core\Match\Rule\Judgement;
use Octavum\Core\Match\Rule\Reason;
use Octavum\Core\Measure\Assumptions;
use Octavum\Core\Measure\Length;
use Octavum\Core\Need\CuttingCloth;

/**
 * Lays a cloth before the whole library: every version judged by the rules, its length worked out by the best way known, and what
 * each use would leave. Cost: one judgement a version, one estimate for each that is not refused, then a sort.
 */
final readonly class WhatItBecomes
{
    private Suit $suit;
    private Fitting $fitting;

    /** @param array<string, string> $overruled as Overrule::reasons() gives them */
    public function __construct(Assumptions $assumptions, private array $overruled = [], private int $dear = Making::DEAR)
    {
        $this->suit = new Suit();
        $this->fitting = new Fitting($assumptions);
    }

    /**
     * @param ?Length      $free    of the cut, after what is promised to others; null for as much as is wanted
     * @param list<Making> $makings
     *
     * @return list<Proposal> by group, the best of each first
     */
    public function propose(Cloth $cloth, CuttingCloth $on, ?Length $free, array $makings): array
    {
        $traits = Traits::of($cloth, $this->dear);
        $judged = $suits = [];
        foreach ($makings as $making) {
            $judgement = $this->suit->judge(
                $traits,
                $making->asks,
                $this->overruled[Overrule::key($cloth->id, $making->version->id)] ?? null,
            );
            $fit = $judgement->isRefused() ? null : $this->fitting->judge($making->wanted(), $on, $free);
            $judged[] = [$making, $judgement, $fit];
            $amount = $fit?->amount();
            if (null !== $amount && null === $fit->tooWide && $judgement->points >= 0) {
                $suits[] = [$amount, $judgement->points, $making];
            }
        }
        $uses = new Uses($suits);
        $proposals = array_map(fn (array $one): Proposal => $this->proposal($one[0], $one[1], $one[2], $free, $uses), $judged);
        usort($proposals, Proposal::compare(...));

        return $proposals;
    }

    private function proposal(Making $making, Judgement $judgement, ?Fit $fit, ?Length $free, Uses $uses): Proposal
    {
        if (null === $free || null === $fit?->spare || !$fit->isEnough()) {
            return new Proposal($making, $judgement, $fit);
        }
        $after = $uses->count($fit->spare);
        $use = $this->use($fit->spare, $free, $uses->count($free), $after);

        return new Proposal($making, $judgement, $fit, left: $fit->spare, still: $uses->best($fit->spare), makes: $after, use: $use);
    }

    /** What a use leaves: almost nothing or something useful is good, a length that fits nothing is not. Source: docs/rules.md. */
    private function use(Length $left, Length $free, int $before, int $after): ?Reason
    {
        $with = ['before' => $before, 'after' => $after];

        return Uses::up($left, $free) ?? match (true) {
            0 === $after && $before > 1 => Reason::doubt(1, 'Nothing fits the rest: {before} uses before, none after.', $with),
            $before > 2 && 3 * $after < $before => Reason::doubt(
                1,
                'A large cut for a small thing: {before} uses before, {after} after.',
                $with,
            ),
            default => null,
        };
    }
}

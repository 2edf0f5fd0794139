<?php

declare(strict_types=1);

namespace Octavum\Core\Match;

use Octavum\Core\Measure\Assumptions;
use Octavum\Core\Measure\Length;
use Octavum\Core\Need\CuttingCloth;
use Octavum\Core\Need\Estimator;
use Octavum\Core\Need\Need;
use Octavum\Core\Need\NeedRequest;
use Octavum\Core\Need\Verdict;

/** Whether a length is enough, by the best way known; nothing is guessed, since a guess takes its time and is no verdict. */
final readonly class Fitting
{
    private Estimator $estimator;

    public function __construct(private Assumptions $assumptions)
    {
        $this->estimator = new Estimator($assumptions, guesses: false);
    }

    /** @param ?Length $free null for as much as is wanted */
    public function judge(NeedRequest $wanted, CuttingCloth $on, ?Length $free): Fit
    {
        $need = $this->estimator->estimate($wanted, $on);
        $tooWide = null === $wanted->size ? null : $this->estimator->tooWide($wanted, $on);
        $spare = $need instanceof Need ? $free?->minus($need->amount) : null;
        $verdict = match (true) {
            null !== $tooWide => Verdict::Short,
            !$need instanceof Need => Verdict::NotKnown,
            null === $spare => Verdict::ToBuy,
            default => Verdict::of($spare, $need->amount, $this->assumptions),
        };

        return new Fit($verdict, $need, $spare, $tooWide);
    }
}

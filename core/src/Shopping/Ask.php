<?php

declare(strict_types=1);

namespace Octavum\Core\Shopping;

use Octavum\Core\Measure\Assumptions;
use Octavum\Core\Measure\Figure;
use Octavum\Core\Measure\Length;
use Octavum\Core\Measure\Percent;
use Octavum\Core\Measure\Rounding;
use Octavum\Core\Measure\Sentence;
use Octavum\Core\Measure\Source;
use Octavum\Core\Measure\Working;
use Octavum\Core\Need\Need;
use Octavum\Core\Need\Verdict;

/**
 * The length to ask for at a counter: need / (1 − shrinkage) + straightening both ends, rounded up to the counter's step, and never
 * less than the least the shop cuts. Source: docs/rules.md.
 */
final readonly class Ask
{
    /** @param ?Length $fitting a step more, where that turns tight into fits; null where it does not, or nothing is tight */
    private function __construct(public Length $exact, public Length $length, public Working $working, public ?Length $fitting)
    {
    }

    public static function for(Need $need, Percent $shrink, Counter $counter, Assumptions $assumptions): self
    {
        $before = $shrink->beforeLossOf($need->amount);
        $squaring = $assumptions->squaring->times(2);
        $exact = $before->plus($squaring);
        $stepped = $exact->toStep($counter->step(), Rounding::Up);
        $least = $assumptions->counterLeast ?? Length::zero();
        $length = $stepped->larger($least);
        $more = $length->plus($counter->step());
        $verdict = static fn (Length $bought): Verdict => Verdict::of(
            $shrink->takenFrom($bought->minus($squaring), Rounding::Down)->minus($need->amount),
            $need->amount,
            $assumptions,
        );
        $working = $need->working();
        if (!$shrink->isZero()) {
            $working = $working->plus(
                new Sentence('Will shrink {percent}: {need} / (1 − {percent})', [
                    'percent' => $shrink,
                    'need' => Figure::exact($need->amount),
                ]),
                $before->minus($need->amount),
                Source::Assumed,
            );
        }

        return new self(
            $exact,
            $length,
            $working
                ->plus(new Sentence('Straightening both ends'), $squaring, Source::Assumed)
                ->result(new Sentence('Before rounding to the counter’s {step}', ['step' => $counter->value]), Figure::exact($exact))
                ->result(
                    $stepped->isLessThan($least) ? new Sentence('Ask for the least the shop cuts') : new Sentence('Ask for'),
                    Figure::needed($length),
                ),
            Verdict::Tight === $verdict($length) && Verdict::Fits === $verdict($more) ? $more : null,
        );
    }

    /** @param int $pricePerMetre in the smallest coin; the cost is rounded up */
    public function cost(int $pricePerMetre): int
    {
        return Rounding::Up->divide($this->length->micrometres * $pricePerMetre, 1_000_000);
    }
}

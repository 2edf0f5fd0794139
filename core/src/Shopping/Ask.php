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

/**
 * The length to ask for at a counter: need / (1 − shrinkage) + squaring at both ends, rounded up to the counter's step.
 * Source: docs/rules.md.
 */
final readonly class Ask
{
    private function __construct(public Length $exact, public Length $length, public Working $working)
    {
    }

    public static function for(Need $need, Percent $shrink, Counter $counter, Assumptions $assumptions): self
    {
        $before = $shrink->beforeLossOf($need->amount);
        $squaring = $assumptions->squaring->times(2);
        $exact = $before->plus($squaring);
        $length = $exact->toStep($counter->step(), Rounding::Up);
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
                ->result(new Sentence('Ask for'), Figure::needed($length)),
        );
    }

    /** @param int $pricePerMetre in the smallest coin; the cost is rounded up */
    public function cost(int $pricePerMetre): int
    {
        return Rounding::Up->divide($this->length->micrometres * $pricePerMetre, 1_000_000);
    }
}

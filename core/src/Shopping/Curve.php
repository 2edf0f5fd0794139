<?php

declare(strict_types=1);

namespace Octavum\Core\Shopping;

use Octavum\Core\Measure\Assumptions;
use Octavum\Core\Measure\Percent;
use Octavum\Core\Need\Need;

/**
 * What each length of a cloth would make of the library, and the length to ask for: the knee, beyond which a further length makes
 * little more. Source: docs/rules.md.
 */
final readonly class Curve
{
    /** A share of the way up by which a step must lie above the line to be a knee. A starting value of the house. */
    private const ABOVE = 0.05;

    /**
     * @param list<CurveStep> $steps the shortest first; one for each length that makes more than the one before
     * @param ?CurveStep      $knee  null when there is nothing to choose from
     */
    private function __construct(public array $steps, public ?CurveStep $knee)
    {
    }

    /**
     * @param list<Need> $needs         of what suits the cloth
     * @param ?int       $pricePerMetre in the smallest coin
     */
    public static function of(array $needs, Percent $shrink, Counter $counter, Assumptions $assumptions, ?int $pricePerMetre): self
    {
        $asks = [];
        foreach ($needs as $need) {
            $ask = Ask::for($need, $shrink, $counter, $assumptions);
            $asks[$ask->length->micrometres] ??= [$ask, 0];
            ++$asks[$ask->length->micrometres][1];
        }
        ksort($asks);
        $steps = [];
        $versions = 0;
        foreach ($asks as [$ask, $more]) {
            $versions += $more;
            $steps[] = new CurveStep($ask->length, $versions, null === $pricePerMetre ? null : $ask->cost($pricePerMetre));
        }

        return new self($steps, self::kneeOf($steps));
    }

    /** Whether a further length makes any more. */
    public function makesMore(): bool
    {
        return null !== $this->knee && $this->knee !== $this->steps[\count($this->steps) - 1];
    }

    /**
     * The step farthest above the straight line from the first step to the last: V. Satopää and others, "Finding a Kneedle in a
     * Haystack", 2011. Where none lies above it each length makes as much more as the one before, and the last is asked for.
     *
     * @param list<CurveStep> $steps
     */
    private static function kneeOf(array $steps): ?CurveStep
    {
        $first = $steps[0] ?? null;
        $last = end($steps);
        if (null === $first || false === $last || $last === $first) {
            return $first;
        }
        [$knee, $highest] = [$last, self::ABOVE];
        $long = $last->length->micrometres - $first->length->micrometres;
        foreach ($steps as $step) {
            $along = ($step->length->micrometres - $first->length->micrometres) / $long;
            $above = ($step->versions - $first->versions) / max(1, $last->versions - $first->versions) - $along;
            if ($above > $highest) {
                [$knee, $highest] = [$step, $above];
            }
        }

        return $knee;
    }
}

<?php

declare(strict_types=1);

namespace Octavum\Strip;

use Octavum\Core\Colour\Lab;
use Octavum\Core\Project\Log\Step;
use Octavum\Core\Season\Answer\ProjectAnswer;
use Octavum\Core\Sewing\WhatWaits;

/** Draws the seam of a project. */
final readonly class SeamDrawing
{
    public const WIDTH = 600;

    /** Minutes for a step of which nobody said any. */
    private const UNSAID = 20;

    /** Pixels a letter takes, and two labels stand apart at least. */
    private const LETTER = 7.0;
    private const APART = 8;

    /** On white paper, lighter thread is not seen. */
    private const LIGHTEST = 72.0;
    private const CHALK = '#52615f';

    public function draw(ProjectAnswer $answer): StitchLine
    {
        $hours = $answer->hours;
        $minutes = array_map(static fn (Step $step): int => $hours->minutes($step) ?? self::UNSAID, $hours->steps);
        $scale = self::WIDTH / max(1, array_sum($minutes));
        $next = $hours->next();
        $labels = $this->labels($hours->steps, $minutes, $scale, $next);
        $waits = new WhatWaits();
        $x = 0.0;
        $needle = null;
        $steps = [];
        foreach ($hours->steps as $i => $step) {
            $needle ??= null === $step->done ? $x : null;
            $missing = null !== $step->done ? null : $waits->notion($answer, $step);
            $steps[] = new SeamStep(
                $x,
                $minutes[$i] * $scale,
                $step,
                minutes: $hours->minutes($step),
                label: $labels[$i] ?? '',
                pin: null !== $step->done || [] === $step->needs ? null : (null === $missing ? 'here' : 'missing'),
                waits: null === $step->done && null === $missing && null !== $waits->why($answer, $step),
            );
            $x += $minutes[$i] * $scale;
        }

        return new StitchLine(self::WIDTH, $steps, $needle, $this->thread($answer));
    }

    /**
     * Those for which there is room: the next step's first, then from left to right.
     *
     * @param list<Step> $steps
     * @param list<int>  $minutes
     *
     * @return array<int, string> by place
     */
    private function labels(array $steps, array $minutes, float $scale, ?Step $next): array
    {
        $starts = [];
        $x = 0.0;
        foreach ($minutes as $i => $one) {
            $starts[$i] = $x;
            $x += $one * $scale;
        }
        $order = array_keys($steps);
        usort($order, static fn (int $a, int $b): int => [$steps[$a] !== $next, $a] <=> [$steps[$b] !== $next, $b]);
        $taken = $labels = [];
        foreach ($order as $i) {
            $from = $starts[$i];
            $to = $from + self::LETTER * mb_strlen($steps[$i]->name);
            $free = $to <= self::WIDTH + 40;
            foreach ($taken as [$left, $right]) {
                $free = $free && ($to + self::APART <= $left || $from >= $right + self::APART);
            }
            if ($free || $steps[$i] === $next) {
                $taken[] = [$from, $to];
                $labels[$i] = $steps[$i]->name;
            }
        }

        return $labels;
    }

    private function thread(ProjectAnswer $answer): string
    {
        foreach ($answer->project->current->claims as $claim) {
            foreach ($claim->cloth->look->colours ?? [] as $colour) {
                if (Lab::ofHex($colour)->l <= self::LIGHTEST) {
                    return $colour;
                }
            }
        }

        return self::CHALK;
    }
}

<?php

declare(strict_types=1);

namespace Octavum\Strip\Season;

use Octavum\Core\Project\Season;
use Octavum\Core\Season\Answer\ProjectAnswer;

/** A season's weeks from left to right, in pixels: the names of its months, a line for the end of each week, and the bar of a project. */
final readonly class Ruler
{
    public const WIDTH = 156;

    /** how far apart two names stand at least */
    private const APART = 26;

    public function __construct(private Season $season)
    {
    }

    /** @return array<int, string> pixel → month */
    public function months(): array
    {
        $months = [0 => $this->season->starts->format('M')];
        $first = $this->season->starts->modify('first day of next month');
        while ($first <= $this->season->ends()) {
            $x = (int) round((($this->season->starts->diff($first)->days / 7) * self::WIDTH) / $this->season->weeks);
            if (1 === \count($months) && $x < self::APART) {
                $months = [];
            }
            if ([] === $months || ($x - array_key_last($months) >= self::APART && $x < self::WIDTH - 18)) {
                $months[$x] = $first->format('M');
            }
            $first = $first->modify('first day of next month');
        }

        return $months;
    }

    /** A path. */
    public function lines(): string
    {
        return implode(
            '',
            array_map(
                fn (int $i): string => \sprintf('M%.1f 10v14', 0.5 + ($i * (self::WIDTH - 1)) / $this->season->weeks),
                range(0, $this->season->weeks),
            ),
        );
    }

    /** A path over the weeks off. */
    public function off(): string
    {
        $week = (self::WIDTH - 1) / $this->season->weeks;

        return implode('', array_map(
            static fn (int $one): string => \sprintf('M%.1f 10h%.1fv14h%.1fz', 0.5 + ($one - 1) * $week, $week, -$week),
            $this->season->off,
        ));
    }

    /** What begins after the last week is drawn at the end. */
    public function bar(ProjectAnswer $answer): WeekBar
    {
        $week = self::WIDTH / $this->season->weeks;
        $from = min($this->season->weeksAfter($answer->turn->from) * $week, self::WIDTH - 12);
        // it ends in the week of its last minute, not after the weeks off that follow
        $to = min(self::WIDTH, $this->season->weeksAfter(max(0, $answer->turn->to - 1)) * $week);
        $deadline = $answer->project->brief->dates->deadline;

        return new WeekBar(
            round($from, 1),
            round(max(3, $to - $from), 1),
            null === $deadline ? null : $this->day($deadline),
            array_values(array_map(fn (array $parcel): float => $this->day($parcel[1]), $answer->parcels())),
        );
    }

    /** What lies outside the season stands at its end. */
    private function day(\DateTimeImmutable $day): float
    {
        $weeks = (float) $this->season->starts->diff($day)->format('%r%a') / 7;

        return round(max(2, min(self::WIDTH - 2, ($weeks * self::WIDTH) / $this->season->weeks)), 1);
    }
}

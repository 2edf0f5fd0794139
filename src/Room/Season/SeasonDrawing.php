<?php

declare(strict_types=1);

namespace Octavum\Room\Season;

use Octavum\Core\Measure\Length;
use Octavum\Core\Season\CheckedSeason;
use Octavum\Core\Season\ProjectAnswer;
use Octavum\Core\Season\Promise;
use Octavum\Core\Season\RoleAnswer;
use Octavum\Core\Season\Season;
use Octavum\Core\Workroom\Settings;
use Octavum\Strip\Scale;
use Octavum\Strip\Strip;
use Octavum\Strip\StripBuilder;

/** A checked season as the page draws it: each role's strip to one scale, and each project on the ruler of weeks. */
final readonly class SeasonDrawing
{
    private const RULER = 156;

    public function __construct(private StripBuilder $strips)
    {
    }

    /**
     * @param bool $narrow for the margin of a page
     *
     * @return array{
     *     checked: CheckedSeason,
     *  rows: list<array{
     *     answer: ProjectAnswer, roles: list<array{role: RoleAnswer, strip: ?Strip}>,
     *     weeks: array{x: float, width: float, deadline: ?float},
     * }>,
     *     chalkLine: ?int, months: list<array{x: float, name: string}>, weekLines: string,
     * } for the template season/show.html.twig
     */
    public function of(CheckedSeason $checked, Settings $settings, bool $narrow = false): array
    {
        $longest = $this->longest($checked->projects);
        $scale = $narrow ? Scale::margin($longest) : Scale::row($longest);
        $line = null;
        $rows = [];
        foreach ($checked->projects as $i => $answer) {
            if ($answer->belowChalkLine) {
                $line ??= $i;
            }
            $rows[] = [
                'answer' => $answer,
                'roles' => array_map(
                    fn (RoleAnswer $role): array => [
                        'role' => $role,
                        'strip' => $this->strips->role($role, $answer->project->name, $scale, $settings->system),
                    ],
                    $answer->roles,
                ),
                'weeks' => $this->weeks($answer, $checked->season),
            ];
        }

        return [
            'checked' => $checked,
            'rows' => $rows,
            'chalkLine' => $line,
            'months' => $this->months($checked->season),
            'weekLines' => $this->weekLines($checked->season),
        ];
    }

    /** @param list<ProjectAnswer> $projects */
    private function longest(array $projects): Length
    {
        $longest = Length::zero();
        foreach ($projects as $answer) {
            foreach ($answer->roles as $role) {
                $end = ($role->toCut->length ?? Length::zero())->larger($role->amount() ?? Length::zero());
                $longest = $longest->larger($end)->larger(Promise::total($role->promises));
            }
        }

        return $longest;
    }

    /** @return array{x: float, width: float, deadline: ?float} in pixels on a ruler of 156 */
    private function weeks(ProjectAnswer $answer, Season $season): array
    {
        $week = self::RULER / $season->weeks;
        $x = static fn (int $minutes): float => 0 === $season->minutesPerWeek
            ? 0
            : min(self::RULER, ($minutes / $season->minutesPerWeek) * $week);
        // what begins after the last week is drawn at the end of the ruler
        $from = min($x($answer->from), self::RULER - 12);
        $deadline = $answer->project->deadline;

        return [
            'x' => round($from, 1),
            'width' => round(max(3, $x($answer->to) - $from), 1),
            'deadline' => null === $deadline
                    ? null
                    : round(max(2, min(self::RULER - 2, ((float) $season->starts->diff($deadline)->format('%r%a') / 7) * $week)), 1),
        ];
    }

    /** A line for the end of each week, as a path. */
    private function weekLines(Season $season): string
    {
        return implode(
            '',
            array_map(
                static fn (int $i): string => \sprintf('M%.1f 10v14', 0.5 + ($i * (self::RULER - 1)) / $season->weeks),
                range(0, $season->weeks),
            ),
        );
    }

    /** @return list<array{x: float, name: string}> */
    private function months(Season $season): array
    {
        $months = [['x' => 0.0, 'name' => $season->starts->format('M')]];
        $first = $season->starts->modify('first day of next month');
        while ($first <= $season->ends()) {
            $x = round((($season->starts->diff($first)->days / 7) * self::RULER) / $season->weeks, 1);
            if (1 === \count($months) && $x < 26) {
                $months = [];
            }
            if ([] === $months || ($x - $months[\count($months) - 1]['x'] >= 26 && $x < self::RULER - 18)) {
                $months[] = ['x' => $x, 'name' => $first->format('M')];
            }
            $first = $first->modify('first day of next month');
        }

        return $months;
    }
}
